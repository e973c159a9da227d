<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Document\Fault;
use FeastLadle\Drafting\Draft;
use FeastLadle\Flow\Ledger;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Words\Sentence;

/**
 * A draft as a map of steps and streams that can be touched: drawn from the document as it stands, sound or not.
 *
 * @phpstan-type MapNode array{index: int, id: string, x: float, y: float, w: float, h: float, lines: list<string>,
 *     grams: Sentence|null, flame: bool, faulty: bool, open: bool, result: bool}
 * @phpstan-type MapStream array{path: string, width: float, x: float, y: float}
 */
final class DraftMap
{
    private const WIDTH = 132.0;
    private const HEIGHT = 50.0;
    private const COLUMN = 172.0;
    private const ROW = 86.0;
    private const MARGIN = 18.0;
    private const LETTERS_A_LINE = 18;
    private const THINNEST = 4.0;
    private const THICKEST = 20.0;

    /**
     * @param list<Fault> $faults
     *
     * @return array{width: float, height: float, nodes: list<MapNode>, streams: list<MapStream>}
     */
    public function draw(Draft $draft, ?Ledger $ledger, array $faults, int $open): array
    {
        $steps = $draft->steps();
        $sources = $this->sources($draft);
        $places = $this->places($sources);
        $faulty = [];
        foreach ($faults as $fault) {
            if (1 === preg_match('#^/steps/(\d+)(/|$)#', $fault->pointer, $match)) {
                $faulty[(int) $match[1]] = true;
            }
        }
        $nodes = [];
        foreach ($steps as $index => $step) {
            $id = \is_string($step['id'] ?? null) ? $step['id'] : '';
            $flow = null !== $ledger && isset($ledger->flows[$id]) ? $ledger->flow($id) : null;
            $title = \is_string($step['title'] ?? null) ? $step['title'] : $id;
            $nodes[] = [
                'index' => $index,
                'id' => $id,
                'x' => $this->x($places[$index]),
                'y' => $this->y($places[$index]),
                'w' => self::WIDTH,
                'h' => self::HEIGHT,
                'lines' => \array_slice(explode("\n", wordwrap($title, self::LETTERS_A_LINE, "\n", true)), 0, 2),
                'grams' => null === $flow ? null : AmountWriter::weight($flow->gives->massGrams()),
                'flame' => \is_string($step['flame'] ?? null) && 'none' !== $step['flame'],
                'faulty' => isset($faulty[$index]),
                'open' => $index === $open,
                'result' => ($draft->document()['result'] ?? null) === $id,
            ];
        }
        $columns = [] === $places ? 0 : max(array_column($places, 0));
        $rows = [] === $places ? 0 : max(array_column($places, 1));

        return [
            'width' => 2 * self::MARGIN + $columns * self::COLUMN + self::WIDTH + 20,
            'height' => 2 * self::MARGIN + $rows * self::ROW + self::HEIGHT + 8,
            'nodes' => $nodes,
            'streams' => $this->streams($sources, $places, $draft, $ledger),
        ];
    }

    /** @return array<int, list<array{int, float}>> by step: the steps it takes from, with the share */
    private function sources(Draft $draft): array
    {
        $sources = [];
        foreach ($draft->steps() as $index => $step) {
            $sources[$index] = [];
            foreach (Draft::rows($step, 'takes') as $take) {
                $from = \is_string($take['from'] ?? null) ? $draft->indexOf($take['from']) : null;
                if (null !== $from && $from !== $index) {
                    $share = $take['share'] ?? 1.0;
                    $sources[$index][] = [$from, is_numeric($share) ? (float) $share : 1.0];
                }
            }
        }

        return $sources;
    }

    /**
     * @param array<int, list<array{int, float}>> $sources
     *
     * @return array<int, array{int, int}> column and row of each step
     */
    private function places(array $sources): array
    {
        $columns = array_fill_keys(array_keys($sources), 0);
        // As often as there are steps; a circle, which a draft may still hold, ends there too.
        for ($round = 0, $moved = true; $moved && $round < \count($sources); ++$round) {
            $moved = false;
            foreach ($sources as $index => $from) {
                foreach ($from as [$source]) {
                    if ($columns[$index] <= $columns[$source] && $columns[$source] + 1 < \count($sources)) {
                        $columns[$index] = $columns[$source] + 1;
                        $moved = true;
                    }
                }
            }
        }
        // What is only poured on stands just before whoever takes it.
        foreach ($sources as $index => $from) {
            $takers = array_keys(
                array_filter($sources, static fn (array $list): bool => \in_array($index, array_column($list, 0), true)),
            );
            if ([] === $from && [] !== $takers) {
                $columns[$index] = max(0, min(array_map(static fn (int $t): int => $columns[$t], $takers)) - 1);
            }
        }
        $taken = [];
        $places = [];
        foreach ($sources as $index => $from) {
            $row = isset($from[0], $places[$from[0][0]]) ? $places[$from[0][0]][1] : 0;
            while (isset($taken[$columns[$index]][$row])) {
                ++$row;
            }
            $taken[$columns[$index]][$row] = true;
            $places[$index] = [$columns[$index], $row];
        }

        return $places;
    }

    /**
     * @param array<int, list<array{int, float}>> $sources
     * @param array<int, array{int, int}>         $places
     *
     * @return list<MapStream>
     */
    private function streams(array $sources, array $places, Draft $draft, ?Ledger $ledger): array
    {
        $heaviest =
            null === $ledger
                ? 1.0
                : max([1.0, ...array_map(static fn ($f): float => $f->gives->massGrams(), array_values($ledger->flows))]);
        $streams = [];
        foreach ($sources as $index => $list) {
            foreach ($list as [$from, $share]) {
                $x1 = $this->x($places[$from]) + self::WIDTH;
                $y1 = $this->y($places[$from]) + self::HEIGHT / 2;
                $x2 = $this->x($places[$index]);
                $y2 = $this->y($places[$index]) + self::HEIGHT / 2;
                $bend = max(20.0, abs($x2 - $x1) / 2);
                $id = $draft->step($from)['id'] ?? '';
                $mass =
                    null !== $ledger && \is_string($id) && isset($ledger->flows[$id])
                        ? $ledger->flow($id)->gives->massGrams() * $share
                        : 0.0;
                $streams[] = [
                    'path' => \sprintf(
                        'M%.1f %.1f C%.1f %.1f %.1f %.1f %.1f %.1f',
                        $x1,
                        $y1,
                        $x1 + $bend,
                        $y1,
                        $x2 - $bend,
                        $y2,
                        $x2,
                        $y2,
                    ),
                    'width' => round(max(self::THINNEST, (self::THICKEST * $mass) / $heaviest), 1),
                    'x' => round(($x1 + $x2) / 2, 1),
                    'y' => round(($y1 + $y2) / 2, 1),
                ];
            }
        }

        return $streams;
    }

    /** @param array{int, int} $place */
    private function x(array $place): float
    {
        return self::MARGIN + $place[0] * self::COLUMN;
    }

    /** @param array{int, int} $place */
    private function y(array $place): float
    {
        return self::MARGIN + 6 + $place[1] * self::ROW;
    }
}
