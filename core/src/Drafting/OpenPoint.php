<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Words\Sentence;

/** Something a told recipe left open: a question for the cook, or a guess that stands until somebody knows better. */
final readonly class OpenPoint
{
    /** What contradicts itself is asked before anything else. */
    private const CONTRADICTS = 2.0;

    /**
     * @param string                   $place  JSON pointer into the draft; empty: the whole
     * @param array{int, int}|null     $about  tokens of the telling that it is about
     * @param array{float, float}|null $either grams of the one and of the other that were told
     * @param float                    $weight how much the answer changes the sweet; questions are asked by it
     */
    private function __construct(
        public bool $isQuestion,
        public string $place,
        public float $weight,
        public Sentence $sentence,
        public ?array $about = null,
        public ?array $either = null,
    ) {
    }

    /** Whether two things were told that can't both be meant. */
    public function isContradiction(): bool
    {
        return self::CONTRADICTS === $this->weight;
    }

    /**
     * @param array<string, string|int|float|Sentence> $values
     * @param array{int, int}                          $about  tokens of the telling that it is about
     */
    public static function asking(string $place, float $weight, string $message, array $values, array $about): self
    {
        return new self(true, $place, $weight, new Sentence($message, $values), $about);
    }

    /**
     * @param array{int, int}          $about  tokens of the telling that it is about
     * @param array{float, float}|null $either grams of the one and of the other
     */
    public static function contradiction(string $place, Sentence $asks, array $about, ?array $either): self
    {
        return new self(true, $place, self::CONTRADICTS, $asks, $about, $either);
    }

    public static function question(string $place, float $weight, string $message, string|int|float ...$values): self
    {
        return new self(true, $place, $weight, new Sentence($message, self::named($values)));
    }

    public static function guess(string $place, string $message, string|int|float ...$values): self
    {
        return new self(false, $place, 0.0, new Sentence($message, self::named($values)));
    }

    public function text(): string
    {
        return $this->sentence->text();
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
