<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Document\Placeholders;

/** Something a told recipe left open: a question for the cook, or a guess that stands until somebody knows better. */
final readonly class OpenPoint
{
    /**
     * @param string                          $place  JSON pointer into the draft; empty: the whole
     * @param float                           $weight how much the answer changes the sweet; questions are asked by it
     * @param array<string, string|int|float> $values
     */
    public function __construct(
        public bool $isQuestion,
        public string $place,
        public float $weight,
        public string $template,
        public array $values = [],
    ) {
    }

    public static function question(string $place, float $weight, string $template, string|int|float ...$values): self
    {
        return new self(true, $place, $weight, $template, self::named($values));
    }

    public static function guess(string $place, string $template, string|int|float ...$values): self
    {
        return new self(false, $place, 0.0, $template, self::named($values));
    }

    public function text(): string
    {
        return strtr($this->template, Placeholders::of($this->values));
    }

    /**
     * @param array<array-key, string|int|float> $values
     *
     * @return array<string, string|int|float>
     */
    private static function named(array $values): array
    {
        $named = [];
        foreach ($values as $name => $value) {
            $named[(string) $name] = $value;
        }

        return $named;
    }
}
