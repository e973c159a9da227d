<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** What comes of a step: what goes off, pieces, parts, and how long they keep. */
final readonly class StepYield
{
    /** @param array<string, Output> $outputs by id; empty when it gives one thing */
    public function __construct(
        public Leaving $leaving,
        public ?PieceMaking $pieces,
        public ?Keeping $keeping,
        public array $outputs,
    ) {
    }
}
