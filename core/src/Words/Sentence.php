<?php

declare(strict_types=1);

namespace FeastLadle\Words;

use FeastLadle\Document\Placeholders;

/** Something to be told, as a message with its values; the application hands it to its translator. */
final readonly class Sentence
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

    public function text(): string
    {
        return strtr($this->template, $this->placeholders());
    }
}
