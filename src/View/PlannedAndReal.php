<?php

declare(strict_types=1);

namespace App\View;

use App\Service\OpenFeast;
use FeastLadle\Day\DayState;
use FeastLadle\Day\StepNow;
use FeastLadle\Day\StepState;
use FeastLadle\Solving\Plan;

/**
 * The plan the day began with and what became of it, one above the other for each step, with the line of now.
 *
 * @phpstan-type Row array{id: string, letter: string, title: string, y: float, planned: array{x: float, w: float},
 *     real: array{x: float, w: float, state: string}|null, from: \DateTimeImmutable, until: \DateTimeImmutable,
 *     began: \DateTimeImmutable|null, ended: \DateTimeImmutable|null, late: int|null, isGuess: bool}
 */
final class PlannedAndReal
{
    private const WIDTH = 1000.0;
    private const ROW = 26.0;
    private const LEAST = 3.0;

    /**
     * @return array{rows: list<Row>, height: float, now: float|null, ticks: list<array{x: float, at: \DateTimeImmutable}>}
     */
    public static function of(OpenFeast $open, Plan $plan, ?DayState $state, \DateTimeImmutable $now): array
    {
        $steps = [];
        foreach ($state->steps ?? [] as $step) {
            $steps[$step->id()] = $step;
        }
        [$first, $last] = [$plan->steps[0]->start, $open->feast->lastMoment()->at];
        $begins = null;
        foreach ($plan->steps as $step) {
            $progress = ($steps[$step->key->id()] ?? null)?->progress;
            $last = max($last, $step->end, $progress->ended ?? $step->end);
            $isToday = $step->start > $open->feast->firstMoment()->at->modify('-16 hours');
            $begins = $isToday ? min($begins ?? $step->start, $step->start, $progress->started ?? $step->start) : $begins;
        }
        $first = $begins ?? $first;
        $minutes = max(1, ($last->getTimestamp() - $first->getTimestamp()) / 60);
        $x = static fn (\DateTimeImmutable $at): float => max(
            0.0,
            min(self::WIDTH, self::WIDTH * ($at->getTimestamp() - $first->getTimestamp()) / 60 / $minutes),
        );
        $rows = [];
        foreach ($plan->steps as $k => $step) {
            $is = $steps[$step->key->id()] ?? null;
            $began = $is?->progress->started;
            $ended = $is?->progress->ended;
            $rows[] = [
                'id' => $step->key->id(),
                'letter' => $step->dish->dish->letter,
                'title' => $step->step->title,
                'y' => self::ROW * $k,
                'planned' => ['x' => $x($step->start), 'w' => max(self::LEAST, $x($step->end) - $x($step->start))],
                'real' => null === $is || null === $began ? null : self::real($is, $began, $ended ?? $now, $x),
                'from' => $step->start,
                'until' => $step->end,
                'began' => $began,
                'ended' => $ended,
                'late' => null === $ended ? null : (int) round(($ended->getTimestamp() - $step->end->getTimestamp()) / 60),
                'isGuess' => $is->progress->startedIsGuess ?? false,
            ];
        }
        $ticks = [];
        for ($at = $first->setTime((int) $first->format('H') + 1, 0); $at < $last; $at = $at->modify('+1 hour')) {
            $ticks[] = ['x' => $x($at), 'at' => $at];
        }

        return [
            'rows' => $rows,
            'height' => self::ROW * \count($rows),
            'now' => $now >= $first && $now <= $last ? $x($now) : null,
            'ticks' => $ticks,
        ];
    }

    /**
     * @param \Closure(\DateTimeImmutable): float $x
     *
     * @return array{x: float, w: float, state: string}
     */
    private static function real(StepNow $step, \DateTimeImmutable $began, \DateTimeImmutable $until, \Closure $x): array
    {
        return [
            'x' => $x($began),
            'w' => max(self::LEAST, $x($until) - $x($began)),
            'state' => StepState::Running === $step->progress->state ? 'running' : 'done',
        ];
    }
}
