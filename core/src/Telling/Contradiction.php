<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Words\Sentence;

/** Two things that were told and can't both be meant. */
final readonly class Contradiction
{
    /** @param string $about id of the thing, or what it is about */
    public function __construct(
        public string $about,
        public Sentence $asks,
        public int $first,
        public int $next,
        public ?ToldAmount $amount = null,
    ) {
    }
}
