<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

/** What a step says to whoever works it. */
final readonly class StepWords
{
    /**
     * @param list<Cue>  $cues
     * @param list<Mark> $marks what is to be done inside it
     */
    public function __construct(public string $say, public array $cues, public array $marks)
    {
    }
}
