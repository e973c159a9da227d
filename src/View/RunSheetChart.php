<?php

declare(strict_types=1);

namespace App\View;

use App\Service\OpenFeast;
use FeastLadle\Planning\Plan;
use FeastLadle\Planning\PlannedStep;
use FeastLadle\Recipe\AttentionKind;

/**
 * The run sheet as lanes on a time axis: fires, hands, and what stands by itself. Hours in which nobody works and no fire
 * burns are folded.
 *
 * @phpstan-type Block array{step: PlannedStep, x: float, y: float, w: float, h: float, attention: string, label: string, time: string}
 * @phpstan-type Lane array{kind: string, name: string, y: float, h: float, blocks: list<Block>}
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

    /** A letter of the small type of the blocks, about. */
    private const LETTER = 5.7;

    /**
     * @return array{width: float, height: float, gutter: float, head: float, lanes: list<Lane>, ticks: list<array{x: float, label: string, day: string}>, moments: list<array{x: float, name: string, time: string}>, folds: list<array{x: float, w: float, label: string}>}
     */
    public function draw(Plan $plan, OpenFeast $open): array
    {
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
                        return $at + self::FOLD_WIDTH * max(0, $minute - $before) / ($from - $before);
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

        [$lanes, $bottom] = $this->lanes($plan, $open, $x);
        $folds = [];
        $ticks = [];
        $day = '';
        foreach ($awake as $i => [$from, $to]) {
            if ($i > 0) {
                $folds[] = ['x' => $x($awake[$i - 1][1]), 'w' => self::FOLD_WIDTH, 'label' => (string) round(($from - $awake[$i - 1][1]) / 60)];
            }
            foreach ($this->ticks($plan->origin, $from, $to, $perMinute) as [$minute, $at]) {
                $today = $at->format('D j M');
                $ticks[] = ['x' => $x($minute), 'label' => $at->format('H:i'), 'day' => $today === $day ? '' : $today];
                $day = $today;
            }
        }

        return [
            'width' => $x($awake[\count($awake) - 1][1]) + 16,
            'height' => $bottom + 8,
            'gutter' => self::GUTTER,
            'head' => self::HEAD,
            'lanes' => $lanes,
            'ticks' => $ticks,
            'moments' => array_map(static fn (array $m): array => ['x' => $x($m[0]), 'name' => $m[1]->name, 'time' => $m[1]->at->format('H:i')], $moments),
            'folds' => $folds,
        ];
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
     * @param \Closure(int): float $x
     *
     * @return array{list<Lane>, float} lanes, and where the last one ends
     */
    private function lanes(Plan $plan, OpenFeast $open, \Closure $x): array
    {
        $lanes = [];
        $y = self::HEAD;
        $wanted = [];
        foreach ($open->kitchen->burners as $burner) {
            $wanted[] = ['fire', $burner->name, array_filter($plan->steps, static fn (PlannedStep $s): bool => $s->burner === $burner->id)];
        }
        foreach ($open->kitchen->people as $person) {
            $wanted[] = ['hands', $person->name, array_filter($plan->steps, static fn (PlannedStep $s): bool => \in_array($person->id, $s->people, true))];
        }
        $wanted[] = ['alone', '', array_filter($plan->steps, static fn (PlannedStep $s): bool => [] === $s->people && null === $s->burner)];
        foreach ($wanted as [$kind, $name, $steps]) {
            if ([] === $steps && 'fire' !== $kind) {
                continue;
            }
            $rows = [];
            $blocks = [];
            foreach ($steps as $step) {
                $row = 0;
                while (isset($rows[$row]) && $rows[$row] > $step->startMinute) {
                    ++$row;
                }
                $rows[$row] = $step->endMinute;
                $left = $x($step->startMinute);
                $width = max(3.0, $x($step->endMinute) - $left - 1.2);
                $room = (int) floor(($width - 20) / self::LETTER);
                $title = $step->step->title;
                $blocks[] = [
                    'step' => $step, 'x' => round($left, 1), 'y' => $y + 4 + $row * self::ROW, 'w' => round($width, 1), 'h' => self::ROW - 5,
                    'attention' => match ($step->step->attention->kind) {
                        AttentionKind::Constant => 'constant',
                        AttentionKind::Watch => 'watch',
                        AttentionKind::None => 'none',
                    },
                    // Already in the feast's own zone; a template would turn it into the server's.
                    'time' => $step->start->format('H:i').'–'.$step->end->format('H:i'),
                    'label' => $room < 4 ? '' : (mb_strlen($title) <= $room ? $title : mb_substr($title, 0, $room - 1).'…'),
                ];
            }
            $height = max(1, \count($rows)) * self::ROW + 6;
            $lanes[] = ['kind' => $kind, 'name' => $name, 'y' => $y, 'h' => $height, 'blocks' => $blocks];
            $y += $height;
        }

        return [$lanes, $y];
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
