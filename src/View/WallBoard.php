<?php

declare(strict_types=1);

namespace App\View;

use App\Service\OpenFeast;
use FeastLadle\Day\DayState;
use FeastLadle\Day\StepNow;
use FeastLadle\Day\StepState;
use FeastLadle\Larder\Larder;
use FeastLadle\Solving\PlannedStep;

/**
 * The next hour and a half for the wall: a lane for each person and each fire, what runs with the minutes it still takes, what is coming.
 *
 * @phpstan-type Placed array{id: string, title: string, letter: string, batch: int|null, row: int, x: float, w: float, room: float,
 *     state: string, from: \DateTimeImmutable, until: \DateTimeImmutable, left: int|null, needed: string}
 * @phpstan-type Bar array{id: string, title: string, letter: string, batch: int|null, y: float, h: float, titleY: float,
 *     timeY: float, x: float, w: float, room: float, state: string,
 *     from: \DateTimeImmutable, until: \DateTimeImmutable, left: int|null, needed: string}
 * @phpstan-type Lane array{id: string, name: string, kind: string, bars: list<Bar>, h: float}
 */
final class WallBoard
{
    public const WIDTH = 1000.0;

    /** Minutes that are shown, of these before now. */
    private const SHOWN = 100;
    private const BEFORE = 10;
    private const TICK = 15;

    /** Half a time of day, as it is written under its line. */
    private const LABEL = 24.0;

    /** Less can't hold a word. */
    private const LEAST_WIDTH = 12.0;

    /** Units of height of a row: as high as a wall of lanes has room for. */
    private const ROW = 58;
    private const ROOMY_ROW = 78;
    private const FEW_ROWS = 6;

    /** So many of what comes after have room below. */
    private const LATER = 6;
    private const GAP = 4;

    /** Where the two lines of a bar stand, as shares of its row. */
    private const TITLE = 0.42;
    private const TIME = 0.8;

    /**
     * @return array{isRoomy: bool, lanes: list<Lane>, ticks: list<array{x: float, at: \DateTimeImmutable}>, now: float,
     *     later: list<array{at: \DateTimeImmutable, letter: string, title: string, people: string}>}
     */
    public static function of(OpenFeast $open, DayState $state): array
    {
        $from = $state->at->modify('-'.self::BEFORE.' minutes');
        $x = static fn (\DateTimeImmutable $at): float => self::WIDTH * ($at->getTimestamp() - $from->getTimestamp()) / 60 / self::SHOWN;
        $steps = self::placed($state);
        $lanes = [];
        foreach ($open->kitchen->people as $person) {
            $lanes[] = self::lane($person->id, $person->name, 'person', $x, array_filter(
                $steps,
                static fn (array $s): bool => \in_array($person->id, $s[1]->people, true),
            ));
        }
        foreach ($open->kitchen->burners as $burner) {
            $lanes[] = self::lane($burner->id, $burner->name, 'fire', $x, array_filter(
                $steps,
                static fn (array $s): bool => $s[1]->burner === $burner->id,
            ));
        }
        $lanes[] = self::lane('', '', 'alone', $x, array_filter($steps, static fn (array $s): bool => [] === $s[1]->people));
        $ticks = [];
        $first = (int) ceil($from->getTimestamp() / 60 / self::TICK);
        for ($tick = $first; $tick * self::TICK * 60 <= $from->getTimestamp() + self::SHOWN * 60; ++$tick) {
            $at = $from->setTimestamp($tick * self::TICK * 60);
            if ($x($at) >= self::LABEL) {
                $ticks[] = ['x' => $x($at), 'at' => $at];
            }
        }

        $lanes = array_values(array_filter($lanes, static fn (array $l): bool => [] !== $l['bars']));
        $isRoomy = array_sum(array_column($lanes, 'rows')) <= self::FEW_ROWS;

        return [
            'isRoomy' => $isRoomy,
            'lanes' => array_map(static fn (array $l): array => self::high($l, $isRoomy ? self::ROOMY_ROW : self::ROW), $lanes),
            'ticks' => $ticks,
            'now' => $x($state->at),
            'later' => $isRoomy ? self::later($open, $steps, $from->modify('+'.self::SHOWN.' minutes')) : [],
        ];
    }

    /**
     * @param list<array{StepNow, PlannedStep}> $steps
     *
     * @return list<array{at: \DateTimeImmutable, letter: string, title: string, people: string}> what comes after what is shown
     */
    private static function later(OpenFeast $open, array $steps, \DateTimeImmutable $from): array
    {
        $later = array_filter($steps, static fn (array $s): bool => $s[1]->start >= $from && [] !== $s[1]->people);
        usort($later, static fn (array $a, array $b): int => $a[1]->start <=> $b[1]->start);

        return array_map(static fn (array $s): array => [
            'at' => $s[1]->start,
            'letter' => $s[1]->dish->dish->letter,
            'title' => $s[1]->step->title,
            'people' => implode(', ', array_map(static fn (string $p): string => $open->kitchen->people[$p]->name ?? $p, $s[1]->people)),
        ], \array_slice($later, 0, self::LATER));
    }

    /** @return array<string, array{kind: string, at: \DateTimeImmutable, grams: float, thing: string}> what each held dish wants next */
    public static function tasks(DayState $state, Larder $larder): array
    {
        $tasks = [];
        foreach ($state->holds as $hold) {
            $task = $hold->tasks[0] ?? null;
            if (null !== $task) {
                $tasks[$hold->held->last->planned->key->dish] = [
                    'kind' => $task->kind->value,
                    'at' => $state->plan->origin->modify('+'.(int) round(60 * $task->minute).' seconds'),
                    'grams' => $task->grams ?? 0.0,
                    'thing' => null === $task->ingredient ? '' : $larder->get($task->ingredient)->name,
                ];
            }
        }

        return $tasks;
    }

    /** @return list<array{StepNow, PlannedStep}> what is not over, each where it stands in the plan from here */
    private static function placed(DayState $state): array
    {
        return array_values(array_filter($state->placed(), static fn (array $s): bool => !$s[0]->progress->state->isOver()));
    }

    /**
     * @param \Closure(\DateTimeImmutable): float $x
     * @param array<array{StepNow, PlannedStep}>  $steps
     *
     * @return array{id: string, name: string, kind: string, bars: list<Placed>, rows: int}
     */
    private static function lane(string $id, string $name, string $kind, \Closure $x, array $steps): array
    {
        $bars = $ends = [];
        usort($steps, static fn (array $a, array $b): int => $a[1]->start <=> $b[1]->start);
        foreach ($steps as [$step, $at]) {
            $isRunning = StepState::Running === $step->progress->state;
            $left = max(0.0, $x($isRunning && null !== $step->progress->started ? $step->progress->started : $at->start));
            $right = min(self::WIDTH, $x($at->end));
            if ($left >= self::WIDTH || $right <= 0) {
                continue;
            }
            $width = max(self::LEAST_WIDTH, $right - $left);
            $row = 0;
            while (($ends[$row] ?? -1.0) > $left + 1e-6) {
                ++$row;
            }
            $ends[$row] = $left + $width;
            $bars[] = [
                'id' => $step->id(),
                'title' => $at->step->title,
                'letter' => $at->dish->dish->letter,
                'batch' => $at->dish->batchPlan->batches > 1 ? $at->key->round->batch : null,
                'row' => $row,
                'x' => $left,
                'w' => $width,
                'room' => $width,
                'state' => $step->progress->state->value,
                'from' => $at->start,
                'until' => $at->end,
                'left' => $step->left?->likely,
                'needed' => $at->step->work->attention->kind->value,
            ];
        }

        // Words may stand beyond a short bar as far as the next one.
        foreach ($bars as $k => $bar) {
            $next = array_filter($bars, static fn (array $b): bool => $b['row'] === $bar['row'] && $b['x'] > $bar['x']);
            $bars[$k]['room'] = ([] === $next ? self::WIDTH : min(array_column($next, 'x')) - self::GAP) - $bar['x'];
        }

        return ['id' => $id, 'name' => $name, 'kind' => $kind, 'bars' => $bars, 'rows' => max(1, \count($ends))];
    }

    /**
     * Rows as heights.
     *
     * @param array{id: string, name: string, kind: string, bars: list<Placed>, rows: int} $lane
     *
     * @return Lane
     */
    private static function high(array $lane, int $row): array
    {
        return [
            'id' => $lane['id'],
            'name' => $lane['name'],
            'kind' => $lane['kind'],
            'h' => (float) ($row * $lane['rows']),
            'bars' => array_map(static fn (array $bar): array => [
                ...$bar,
                'y' => (float) ($row * $bar['row']),
                'h' => (float) ($row - self::GAP),
                'titleY' => $row * self::TITLE,
                'timeY' => $row * self::TIME,
            ], $lane['bars']),
        ];
    }
}
