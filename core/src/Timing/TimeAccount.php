<?php

declare(strict_types=1);

namespace FeastLadle\Timing;

use FeastLadle\Words\Sentence;

/** How the minutes of a step come about, told while they are computed. */
final class TimeAccount
{
    /** @var list<Sentence> */
    private array $sentences = [];

    /** @param array<string, string|int|float|Sentence> $values */
    public function say(string $template, array $values = []): void
    {
        $this->sentences[] = new Sentence($template, $values);
    }

    /** @return list<Sentence> */
    public function sentences(): array
    {
        return $this->sentences;
    }
}
