<?php

declare(strict_types=1);

namespace App\View;

use App\Service\OpenFeast;
use App\Service\Speaker;
use FeastLadle\Explaining\FuelNeed;
use FeastLadle\Explaining\StepPlace;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedJob;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Words\Sentence;

/**
 * The run sheet as lanes on a time axis: fires, hands, and what stands by itself. Hours in which nobody works and no fire
 * burns are folded.
 *
 * @phpstan-type Block array{step: PlannedStep, row: int, x: float, y: float, w: float, h: float, slack: float, late: bool,
 *     critical: bool, held: bool, attention: string, label: string, time: string}
 * @phpstan-type Job array{name: string, x: float, y: float, w: float, h: float, label: string, time: string}
 * @phpstan-type Lane array{kind: string, name: string, short: string, y: float, h: float, blocks: list<Block>, jobs: list<Job>}
 */
final class RunSheetChart
{
    private const GUTTER = 118.0;
    private const WIDTH = 1180.0;
    private const ROW = 30.0;
    private const HEAD = 46.0;
    private const FOLD_WIDTH = 34.0;
    private const FOLD_FROM_MINUTES = 75;
    private const LEAST_PER_MINUTE = 1.55;

    /** So many letters of a name have room before the lane. */
    private const NAME_LETTERS = 15;

    /** Minutes; what has less before a moment is missed is drawn heavier. */
    public const LITTLE_TO_SPARE = 20;

    /** Slack beyond this says nothing more. */
    private const MOST_SLACK_SHOWN = 90;

    /** A letter of the small type of the blocks, about. */
    private const LETTER = 5.7;

    public function __construct(private readonly Speaker $speaker)
    {
    }

    /**
     * @param array<string, StepPlace> $places by activity
     *
     * @return array{width: float, height: float, perMinute: float, gutter: float, head: float, lanes: list<Lane>,
     *     ticks: list<array{x: float, label: string, day: string}>, moments: list<array{x: float, name: string, time: string}>,
     *     folds: list<array{x: float, w: float, label: string}>, now: float|null,
     *     bottles: list<array{x: float, number: int, time: string, isLast: bool}>}
     */
    public function draw(
        Plan $plan,
        OpenFeast $open,
        RunSheetSide $side = RunSheetSide::All,
        array $places = [],
        ?\DateTimeImmutable $now = null,
    ): array {
        $moments = [];
        foreach ($open->feast->moments as $moment) {
            $moments[] = [intdiv($moment->at->getTimestamp() - $plan->origin->getTimestamp(), 60), $moment];
        }
        $awake = $this->awake($plan, array_column($moments, 0));
        $minutes = array_sum(array_map(static fn (array $i): int => $i[1] - $i[0], $awake));
        $perMinute = max(self::LEAST_PER_MINUTE, (self::WIDTH - self::GUTTER - self::FOLD_WIDTH * (\count($awake) - 1)) / max(1, $minutes));
        $x = static function (int $minute) use ($awake, $perMinute): float {
            $at = self::GUTTER;
            foreach ($awake as $i => [$from, $to]) {
                if ($i > 0) {
                    $before = $awake[$i - 1][1];
                    if ($minute < $from) {
                        return $at + (self::FOLD_WIDTH * max(0, $minute - $before)) / ($from - $before);
                    }
                    $at += self::FOLD_WIDTH;
                }
                if ($minute <= $to) {
                    return $at + max(0, $minute - $from) * $perMinute;
                }
                $at += ($to - $from) * $perMinute;
            }

            return $at;
        };

        [$lanes, $bottom] = $this->lanes($plan, $open, $x, $side, $places);
        $folds = [];
        $ticks = [];
        $day = '';
        foreach ($awake as $i => [$from, $to]) {
            if ($i > 0) {
                $folds[] = [
                    'x' => $x($awake[$i - 1][1]),
                    'w' => self::FOLD_WIDTH,
                    'label' => (string) round(($from - $awake[$i - 1][1]) / 60),
                ];
            }
            foreach ($this->ticks($plan->origin, $from, $to, $perMinute) as [$minute, $at]) {
                $today = $this->speaker->day($at, new Sentence('EEE d MMM'), $open->feast->timeZone);
                $ticks[] = ['x' => $x($minute), 'label' => $at->format('H:i'), 'day' => $today === $day ? '' : $today];
                $day = $today;
            }
        }

        return [
            'width' => $x($awake[\count($awake) - 1][1]) + 16,
            'height' => $bottom + 8,
            'perMinute' => $perMinute,
            'gutter' => self::GUTTER,
            'head' => self::HEAD,
            'lanes' => $lanes,
            'ticks' => $ticks,
            'moments' => array_map(
                static fn (array $m): array => ['x' => $x($m[0]), 'name' => $m[1]->name, 'time' => $m[1]->at->format('H:i')],
                $moments,
            ),
            'folds' => $folds,
            'now' => null === $now ? null : $x(intdiv($now->getTimestamp() - $plan->origin->getTimestamp(), 60)),
            'bottles' => $side->showsFires() ? $this->bottles($plan, $open, $x) : [],
        ];
    }

    /**
     * @param \Closure(int): float $x
     *
     * @return list<array{x: float, number: int, time: string, isLast: bool}> where a bottle of gas is empty
     */
    private function bottles(Plan $plan, OpenFeast $open, \Closure $x): array
    {
        $bottles = [];
        foreach (FuelNeed::of($plan, $open->kitchen) as $need) {
            foreach ($need->ends as $end) {
                $bottles[] = [
                    'x' => $x(intdiv($end->at->getTimestamp() - $plan->origin->getTimestamp(), 60)),
                    'number' => $end->number,
                    'time' => $end->at->setTimezone($open->feast->timeZone)->format('H:i'),
                    'isLast' => $end->isLast,
                ];
            }
        }

        return $bottles;
    }

    /**
     * @param list<int> $moments
     *
     * @return non-empty-list<array{int, int}> minutes in which somebody works, a fire burns, or guests eat
     */
    private function awake(Plan $plan, array $moments): array
    {
        $busy = [];
        foreach ($plan->steps as $step) {
            if ([] !== $step->people || null !== $step->burner) {
                $busy[] = [$step->startMinute - 8, $step->endMinute + 8];
            }
        }
        foreach ($plan->jobs as $job) {
            $busy[] = [$job->startMinute - 8, $job->endMinute + 8];
        }
        foreach ($moments as $moment) {
            $busy[] = [$moment - 10, $moment + 25];
        }
        sort($busy);
        $awake = [];
        foreach ($busy as $interval) {
            $last = array_key_last($awake);
            if (null !== $last && $interval[0] - $awake[$last][1] < self::FOLD_FROM_MINUTES) {
                $awake[$last][1] = max($awake[$last][1], $interval[1]);
            } else {
                $awake[] = $interval;
            }
        }

        return [] === $awake ? [[0, 60]] : $awake;
    }

    /**
     * @param \Closure(int): float     $x
     * @param array<string, StepPlace> $places
     *
     * @return array{list<Lane>, float} lanes, and where the last one ends
     */
    private function lanes(Plan $plan, OpenFeast $open, \Closure $x, RunSheetSide $side, array $places): array
    {
        $lanes = [];
        $y = self::HEAD;
        $rowOf = array_flip(array_map(static fn (PlannedStep $s): string => $s->activity, $plan->steps));
        $wanted = $this->wanted($plan, $open, $side);
        $shorts = ShortNames::of(array_column($wanted, 1), self::NAME_LETTERS);
        foreach ($wanted as [$kind, $name, $steps, $jobs]) {
            if ([] === $steps && [] === $jobs && 'fire' !== $kind) {
                continue;
            }
            $rows = [];
            $blocks = [];
            $others = [];
            foreach ($jobs as $job) {
                $others[] = $this->box($job->startMinute, $job->endMinute, $job->name, $x, $y, $rows) + [
                    'name' => $job->name,
                    'time' => $this->span($job->start, $job->end, $open),
                ];
            }
            foreach ($steps as $step) {
                $place = $places[$step->activity] ?? null;
                $box = $this->box($step->startMinute, $step->endMinute, $step->step->title, $x, $y, $rows);
                $due = $plan->problem->activities[$step->activity]->due ?? null;
                $blocks[] = $box + [
                    'step' => $step,
                    'row' => $rowOf[$step->activity] + 1,
                    'slack' => null === $place
                            ? 0.0
                            : round($x($step->endMinute + min(self::MOST_SLACK_SHOWN, $place->slackMinutes)) - $x($step->endMinute), 1),
                    'late' => null !== $due && $due->late > 0 && $step->endMinute > $due->at + ($plan->margins[$step->activity] ?? 0),
                    'critical' => null !== $place?->slipMinutes && $place->slipMinutes < self::LITTLE_TO_SPARE,
                    'held' => isset($open->feast->pins[$step->activity]),
                    'attention' => match ($step->step->work->attention->kind) {
                        AttentionKind::Constant => 'constant',
                        AttentionKind::Watch => 'watch',
                        AttentionKind::None => 'none',
                    },
                    'time' => $this->span($step->start, $step->end, $open),
                ];
            }
            $height = max(1, \count($rows)) * self::ROW + 6;
            $lanes[] = [
                'kind' => $kind,
                'name' => $name,
                'short' => $shorts[$name],
                'y' => $y,
                'h' => $height,
                'blocks' => $blocks,
                'jobs' => $others,
            ];
            $y += $height;
        }

        return [$lanes, $y];
    }

    /**
     * @return list<array{string, string, array<int, PlannedStep>, array<int, PlannedJob>}> kind, name, steps and other work
     *     of each lane
     */
    private function wanted(Plan $plan, OpenFeast $open, RunSheetSide $side): array
    {
        $wanted = [];
        foreach ($side->showsFires() ? $open->kitchen->burners : [] as $burner) {
            $wanted[] = [
                'fire',
                $burner->name,
                array_filter($plan->steps, static fn (PlannedStep $s): bool => $s->burner === $burner->id),
                array_filter($plan->jobs, static fn (PlannedJob $j): bool => $j->burner === $burner->id),
            ];
        }
        foreach ($side->showsPeople() ? $open->kitchen->people : [] as $person) {
            $wanted[] = [
                'hands',
                $person->name,
                array_filter($plan->steps, static fn (PlannedStep $s): bool => \in_array($person->id, $s->people, true)),
                array_filter($plan->jobs, static fn (PlannedJob $j): bool => \in_array($person->id, $j->people, true)),
            ];
        }
        foreach (RunSheetSide::Dishes === $side ? $plan->quantities->dishes : [] as $dish) {
            $wanted[] = [
                'dish',
                $dish->dish->recipe->name,
                array_filter($plan->steps, static fn (PlannedStep $s): bool => $s->dish === $dish),
                [],
            ];
        }
        if (RunSheetSide::All === $side) {
            $wanted[] = [
                'alone',
                '',
                array_filter($plan->steps, static fn (PlannedStep $s): bool => [] === $s->people && null === $s->burner),
                [],
            ];
        }

        return $wanted;
    }

    /**
     * @param \Closure(int): float              $x
     * @param array<int, list<array{int, int}>> $rows what stands in each row of the lane; filled here
     *
     * @return array{x: float, y: float, w: float, h: float, label: string}
     */
    private function box(int $from, int $to, string $title, \Closure $x, float $y, array &$rows): array
    {
        $row = 0;
        while ([] !== array_filter($rows[$row] ?? [], static fn (array $taken): bool => $taken[0] < $to && $from < $taken[1])) {
            ++$row;
        }
        $rows[$row][] = [$from, $to];
        $left = $x($from);
        $width = max(3.0, $x($to) - $left - 1.2);
        $room = (int) floor(($width - 20) / self::LETTER);

        return [
            'x' => round($left, 1),
            'y' => $y + 4 + $row * self::ROW,
            'w' => round($width, 1),
            'h' => self::ROW - 5,
            'label' => self::fitting($title, $room),
        ];
    }

    /** As many whole words as there is room for: half a word would not be what is read out. */
    private static function fitting(string $title, int $room): string
    {
        if (mb_strlen($title) <= $room) {
            return $title;
        }
        $cut = mb_strrpos(mb_substr($title, 0, max(0, $room)), ' ');

        return false === $cut ? '' : rtrim(mb_substr($title, 0, $cut), ' ,;:').'…';
    }

    /** In the feast's own zone; a template would turn it into the server's. */
    private function span(\DateTimeImmutable $from, \DateTimeImmutable $to, OpenFeast $open): string
    {
        return $from->setTimezone($open->feast->timeZone)->format('H:i').'–'.$to->setTimezone($open->feast->timeZone)->format('H:i');
    }

    /** @return list<array{int, \DateTimeImmutable}> full or half hours */
    private function ticks(\DateTimeImmutable $origin, int $from, int $to, float $perMinute): array
    {
        $step = $perMinute > 2.2 ? 30 : 60;
        $ticks = [];
        // Ticks follow the clock on the wall, also where it changes.
        for ($minute = $from; $minute <= $to; ++$minute) {
            $at = $origin->setTimestamp($origin->getTimestamp() + 60 * $minute);
            if (0 === (int) $at->format('i') % $step) {
                $ticks[] = [$minute, $at];
                $minute += 20;
            }
        }

        return $ticks;
    }
}
