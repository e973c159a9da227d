<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/**
 * Attention of a step: the kind, the share of a person it takes in percent, how often to look, and how long one can stir
 * before another takes the spoon.
 */
final readonly class Attention
{
    /** @param int $turnMinutes 0: no need to take turns */
    public function __construct(
        public AttentionKind $kind,
        public int $percent,
        public int $lookEveryMinutes,
        public int $people,
        public Skill $skill,
        public int $turnMinutes = 0,
    ) {
    }
}
