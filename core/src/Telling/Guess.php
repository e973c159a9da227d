<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Words\Sentence;

/** Something that was not said and had to be supposed. */
final readonly class Guess
{
    public Sentence $sentence;

    /** @param array<string, string|int|float> $values */
    public function __construct(string $message, array $values = [])
    {
        $this->sentence = new Sentence($message, $values);
    }
}
