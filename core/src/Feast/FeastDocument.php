<?php

declare(strict_types=1);

namespace FeastLadle\Feast;

use FeastLadle\Document\JsonWriter;

/**
 * A feast while it is changed: its document, by changes with a name. Whether it can be so is told by reading it; until then any value may
 * stand in a field, as somebody typed it.
 */
final readonly class FeastDocument
{
    /** @param array<string, mixed> $fields */
    private function __construct(public array $fields)
    {
    }

    /** @param array<string, mixed> $document */
    public static function of(array $document): self
    {
        return new self($document);
    }

    public function json(): string
    {
        return JsonWriter::write($this->fields);
    }

    /** @return list<array<array-key, mixed>> rows of a list; what is no row is left out */
    public function rows(string $list): array
    {
        $rows = $this->fields[$list] ?? null;

        return \is_array($rows) ? array_values(array_filter($rows, \is_array(...))) : [];
    }

    /** @param array<array-key, mixed> $row */
    public function withRow(string $list, array $row): self
    {
        return $this->with($list, [...$this->rows($list), $row]);
    }

    /** Without the row at a place; the same when there is none. */
    public function withoutRow(string $list, int $place): self
    {
        $rows = $this->rows($list);
        unset($rows[$place]);

        return $this->with($list, array_values($rows));
    }

    /**
     * With these on the menu and nothing else; what hangs on other dishes goes with them.
     *
     * @param list<array<array-key, mixed>> $rows
     */
    public function withDishes(array $rows): self
    {
        return $this->with('dishes', $rows)->with('pins', [])->with('boxes', array_values(array_filter(
            $this->rows('boxes'),
            static fn (array $box): bool => \is_array($box['holds'] ?? null)
                && [] === array_diff_key($box['holds'], array_column($rows, null, 'id')),
        )));
    }

    /** Minutes by which everything is wished ready before its moment. */
    public function withMargin(mixed $minutes): self
    {
        return $this->with('marginMinutes', $minutes);
    }

    /** @param list<string> $rules ids of rules of the kitchen */
    public function withRules(array $rules): self
    {
        return $this->with('rules', $rules);
    }

    /** @param int $day days from the feast's day; −1 is the day before */
    public function withShift(string $person, int $day, string $from, string $to): self
    {
        return $this->withRow('hands', ['person' => $person, 'day' => $day, 'from' => $from, 'to' => $to]);
    }

    /** The first shift of somebody on the day begins so many hours sooner, but not before midnight. */
    public function withShiftBegunSooner(string $person, int $hours): self
    {
        $rows = $this->rows('hands');
        foreach ($rows as $i => $shift) {
            $from = $shift['from'] ?? null;
            if (
                $person === ($shift['person'] ?? null)
                && 0 === ($shift['day'] ?? 0)
                && \is_string($from)
                && 1 === preg_match('/^(\d\d):(\d\d)$/D', $from, $clock)
            ) {
                $rows[$i]['from'] = \sprintf('%02d:%s', max(0, (int) $clock[1] - $hours), $clock[2]);
                break;
            }
        }

        return $this->with('hands', $rows);
    }

    /** Nobody is there before a time of the clock on the day. */
    public function withNobodyBefore(string $time): self
    {
        $rows = $this->rows('hands');
        foreach ($rows as $i => $shift) {
            if (0 === ($shift['day'] ?? 0) && ($shift['from'] ?? '') < $time && $time < ($shift['to'] ?? '')) {
                $rows[$i]['from'] = $time;
            }
        }

        return $this->with('hands', $rows);
    }

    /** A step held at a time of the clock, instead of where it was held before. */
    public function withPin(string $step, mixed $day, string $time): self
    {
        return $this->withoutPin($step)->withRow('pins', ['step' => $step, 'day' => $day, 'time' => $time]);
    }

    public function withoutPin(string $step): self
    {
        $pins = array_filter($this->rows('pins'), static fn (array $pin): bool => $step !== ($pin['step'] ?? null));

        return $this->with('pins', array_values($pins));
    }

    /**
     * The dish at a place of the menu with other wishes; the same when there is none.
     *
     * @param array<string, mixed> $wishes
     */
    public function withDish(int $place, array $wishes): self
    {
        $dishes = $this->rows('dishes');
        if (!isset($dishes[$place])) {
            return $this;
        }
        $dishes[$place] = [...$dishes[$place], ...$wishes];

        return $this->with('dishes', $dishes);
    }

    /** One thing in place of another in a dish; null: as it is written. */
    public function withInstead(string $dish, string $for, ?string $ingredient, float $ratio = 1.0): self
    {
        foreach ($this->rows('dishes') as $place => $row) {
            if (($row['id'] ?? null) !== $dish) {
                continue;
            }
            $others = array_values(array_filter(
                \is_array($row['instead'] ?? null) ? $row['instead'] : [],
                static fn (mixed $e): bool => \is_array($e) && ($e['for'] ?? null) !== $for,
            ));
            $fresh = null === $ingredient ? [] : [['for' => $for, 'ingredient' => $ingredient, 'ratio' => $ratio]];

            return $this->withDish($place, ['instead' => [...$others, ...$fresh]]);
        }

        return $this;
    }

    private function with(string $field, mixed $value): self
    {
        return new self([...$this->fields, $field => $value]);
    }
}
