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

    /** How long one of several outputs keeps, or all of it. */
    public function keepingOf(?string $output): ?Keeping
    {
        return ($this->outputs[(string) $output] ?? null)->keeping ?? $this->keeping;
    }
}
