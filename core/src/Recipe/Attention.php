<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** Attention of a step: the kind, the share of a person it takes in percent, and how often to look. */
final readonly class Attention
{
    public function __construct(public AttentionKind $kind, public int $percent, public int $lookEveryMinutes, public int $people, public Skill $skill)
    {
    }
}
