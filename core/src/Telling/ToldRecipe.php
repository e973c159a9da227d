<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** A recipe as it was written or told: its name, what it says goes in, what it says is done, before anything is supposed. */
final readonly class ToldRecipe
{
    /**
     * @param list<string> $ingredients lines of a list, when there is one
     * @param list<string> $steps       sentences, in order
     * @param string       $yields      what it makes, as it was said; empty when it was not
     */
    public function __construct(
        public string $name,
        public string $summary,
        public array $ingredients,
        public array $steps,
        public string $yields,
    ) {
    }

    /** What is to be done, as one text. */
    public function text(): string
    {
        return implode("\n\n", $this->steps);
    }
}
