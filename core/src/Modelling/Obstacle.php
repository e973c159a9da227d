<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Document\Placeholders;

/** Why a dish cannot be, or cannot be in time. The template is a message id with {placeholders}. */
final readonly class Obstacle
{
    /** @param array<string, string|int|float> $values */
    public function __construct(public string $dish, public string $template, public array $values = [])
    {
    }

    /** @return array<string, string> keyed "{placeholder}", ready for a translator */
    public function placeholders(): array
    {
        return Placeholders::of($this->values);
    }

    public function text(): string
    {
        return strtr($this->template, $this->placeholders());
    }
}
