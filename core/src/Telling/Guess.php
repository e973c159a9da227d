<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Document\Placeholders;

/** Something that was not said and had to be supposed. The template is a message id with {placeholders}. */
final readonly class Guess
{
    /** @param array<string, string|int|float> $values */
    public function __construct(public string $template, public array $values = [])
    {
    }

    /** @return array<string, string> keyed "{placeholder}" */
    public function placeholders(): array
    {
        return Placeholders::of($this->values);
    }
}
