<?php

declare(strict_types=1);

namespace FeastLadle\Numbers;

use FeastLadle\Document\Node;

/** What a law asks for: a number with its unit and limits, one of some words, or rows of these. */
final readonly class Input
{
    private const MOST_ROWS = 500;

    /**
     * @param list<string> $words
     * @param list<self>   $columns
     */
    private function __construct(
        public string $name,
        public string $unit,
        public float $least,
        public float $most,
        public float|string|null $default,
        public array $words,
        public array $columns,
    ) {
    }

    /** @param float|null $default null: it must be given */
    public static function number(string $name, string $unit, float $least, float $most, ?float $default = null): self
    {
        return new self($name, $unit, $least, $most, $default, [], []);
    }

    /** @param list<string> $words */
    public static function word(string $name, array $words, ?string $default = null): self
    {
        return new self($name, '', 0, 0, $default, $words, []);
    }

    /** @param list<self> $columns */
    public static function rows(string $name, array $columns): self
    {
        return new self($name, '', 0, 0, null, [], $columns);
    }

    public function isNeeded(): bool
    {
        return null === $this->default;
    }

    /** @return float|string|list<Values> */
    public function read(Node $node): float|string|array
    {
        if ([] !== $this->columns) {
            return array_map(fn (Node $row): Values => Values::read($row, $this->columns), $node->items(self::MOST_ROWS, 1));
        }
        if ([] === $this->words) {
            return $node->number($this->least, $this->most, \is_float($this->default) ? $this->default : null);
        }
        $word = $node->string(\is_string($this->default) ? $this->default : null);
        if (!\in_array($word, $this->words, true)) {
            $node->fault('Here must stand one of {known}.', ['known' => implode(', ', $this->words)]);
        }

        return $word;
    }

    /** As a person reads it: "kilograms (kg, 0.01 to 5000, usually 1)". */
    public function told(): string
    {
        if ([] !== $this->columns) {
            return $this->name.': rows of {'.implode('; ', array_map(static fn (self $i): string => $i->told(), $this->columns)).'}';
        }
        $what = [] === $this->words ? trim($this->unit.' '.$this->least.' to '.$this->most) : implode(' | ', $this->words);

        return $this->name.' ('.$what.(null === $this->default ? '' : ', else '.$this->default).')';
    }
}
