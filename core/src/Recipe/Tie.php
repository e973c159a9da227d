<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** A tie to a former step: this one starts at least and at most so many minutes after that one's end. */
final readonly class Tie
{
    /** @param int $place which tie it is in the document, from 0 */
    public function __construct(
        public string $after,
        public int $minMinutes,
        public ?int $maxMinutes,
        public string $why,
        public int $place = 0,
    ) {
    }
}
