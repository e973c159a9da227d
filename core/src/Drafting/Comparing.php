<?php

declare(strict_types=1);

namespace FeastLadle\Drafting;

use FeastLadle\Larder\Larder;

/** In what two revisions of a recipe differ, step by step and bowl by bowl, in words a cook reads. */
final readonly class Comparing
{
    /** Lists of a step whose rows are told apart by what they are about. */
    private const ROWS = [
        'takes' => 'bowl',
        'cues' => 'sign',
        'ties' => 'tie',
        'marks' => 'mark',
        'outputs' => 'output',
        'variants' => 'variant',
    ];

    private const FIRST = ['ingredient', 'base', 'from', 'after', 'kind', 'grows', 'sign', 'dial', 'question', 'name', 'id'];

    public function __construct(private Larder $larder)
    {
    }

    /** @return list<Difference> the dish first, then its steps in the order of the later document */
    public function differences(Draft $before, Draft $after): array
    {
        $differences = $this->fields(
            '',
            $this->without($before->document(), ['steps', 'schools', 'dials', 'excludes']),
            $this->without($after->document(), ['steps', 'schools', 'dials', 'excludes']),
        );
        foreach (['schools' => 'question', 'dials' => 'dial'] as $list => $name) {
            array_push(
                $differences,
                ...$this->rows('', $name, Draft::rows($before->document(), $list), Draft::rows($after->document(), $list)),
            );
        }
        $former = $this->byId($before);
        $latter = $this->byId($after);
        foreach ($latter as $id => $step) {
            $title = $this->title($step);
            if (!isset($former[$id])) {
                $differences[] = new Difference($title, 'step', '', $this->words($this->without($step, ['id', 'title'])));
                continue;
            }
            array_push(
                $differences,
                ...$this->fields(
                    $title,
                    $this->without($former[$id], ['id', ...array_keys(self::ROWS)]),
                    $this->without($step, ['id', ...array_keys(self::ROWS)]),
                ),
            );
            foreach (self::ROWS as $list => $name) {
                array_push($differences, ...$this->rows($title, $name, Draft::rows($former[$id], $list), Draft::rows($step, $list)));
            }
        }
        foreach (array_diff_key($former, $latter) as $step) {
            $differences[] = new Difference($this->title($step), 'step', $this->words($this->without($step, ['id', 'title'])), '');
        }

        return $differences;
    }

    /**
     * @param array<array-key, mixed> $before
     * @param array<array-key, mixed> $after
     *
     * @return list<Difference>
     */
    private function fields(string $where, array $before, array $after): array
    {
        $differences = [];
        foreach (array_keys($before + $after) as $field) {
            $was = $this->words($before[$field] ?? null);
            $is = $this->words($after[$field] ?? null);
            if ($was !== $is) {
                $differences[] = new Difference($where, (string) $field, $was, $is);
            }
        }

        return $differences;
    }

    /**
     * @param list<array<array-key, mixed>> $before
     * @param list<array<array-key, mixed>> $after
     *
     * @return list<Difference>
     */
    private function rows(string $where, string $name, array $before, array $after): array
    {
        $former = $this->keyed($before);
        $latter = $this->keyed($after);
        $differences = [];
        foreach (array_keys($former + $latter) as $key) {
            $was = isset($former[$key]) ? $this->words($former[$key]) : '';
            $is = isset($latter[$key]) ? $this->words($latter[$key]) : '';
            if ($was !== $is) {
                $differences[] = new Difference($where, $name, $was, $is);
            }
        }

        return $differences;
    }

    /**
     * @param list<array<array-key, mixed>> $rows
     *
     * @return array<string, array<array-key, mixed>> by what each is about
     */
    private function keyed(array $rows): array
    {
        $keyed = [];
        foreach ($rows as $row) {
            $about =
                $row['ingredient'] ??
                ($row['base'] ??
                    ($row['from'] ?? ($row['after'] ?? ($row['sign'] ?? ($row['do'] ?? ($row['id'] ?? ($row['dial'] ?? '')))))));
            $key = (\is_string($about) ? $about : '').'/'.$this->words($row['output'] ?? '').'/'.$this->words($row['when'] ?? '');
            for ($n = 2, $free = $key; isset($keyed[$free]); $free = $key.'#'.$n) {
                ++$n;
            }
            $keyed[$free] = $row;
        }

        return $keyed;
    }

    /** @return array<string, array<array-key, mixed>> steps by id; a second of the same id (of another way) gets a number */
    private function byId(Draft $draft): array
    {
        $steps = [];
        foreach ($draft->steps() as $step) {
            $id = \is_string($step['id'] ?? null) ? $step['id'] : '';
            for ($n = 2, $free = $id; isset($steps[$free]); $free = $id.'#'.$n) {
                ++$n;
            }
            $steps[$free] = $step;
        }

        return $steps;
    }

    private static function rank(int|string $field): int
    {
        $rank = array_search($field, self::FIRST, true);

        return false === $rank ? \count(self::FIRST) : $rank;
    }

    /** @param array<array-key, mixed> $step */
    private function title(array $step): string
    {
        return \is_string($step['title'] ?? null) ? $step['title'] : '';
    }

    private function words(mixed $value, string $field = ''): string
    {
        if (\is_array($value)) {
            $parts = [];
            // Fields may stand in any order; what it is about is said first.
            uksort($value, static fn (int|string $a, int|string $b): int => [self::rank($a), $a] <=> [self::rank($b), $b]);
            foreach ($value as $key => $item) {
                $words = $this->words($item, (string) $key);
                if ('' !== $words) {
                    $parts[] =
                        \is_int($key) || \in_array($key, ['ingredient', 'sign', 'how', 'do', 'kind', 'grows'], true)
                            ? $words
                            : $key.' '.$words;
                }
            }

            return implode(', ', $parts);
        }

        return match (true) {
            null === $value, false === $value => '',
            true === $value => 'yes',
            \is_string($value) && 'ingredient' === $field && $this->larder->knows($value) => $this->larder->get($value)->name,
            \is_string($value), \is_int($value), \is_float($value) => (string) $value,
            default => '',
        };
    }

    /**
     * @param array<array-key, mixed> $document
     * @param list<string>            $fields
     *
     * @return array<array-key, mixed>
     */
    private function without(array $document, array $fields): array
    {
        return array_diff_key($document, array_flip($fields));
    }
}
