<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Solving\Plan;

/**
 * How many fires and hands are at work through the day, against what there is; hours in which nothing happens are left out.
 *
 * @phpstan-type Curve array{name: string, most: float, unit: string, needs: string, has: string, peak: float,
 *     peakAt: \DateTimeImmutable|null, levels: list<array{y: float, label: string}>}
 */
final class LoadDrawing
{
    private const WIDTH = 1080.0;
    private const HEIGHT = 120.0;
    private const IDLE_MINUTES = 60;

    /** @return array{width: float, height: float, curves: list<Curve>, ticks: list<array{x: float, label: string}>} */
    public function draw(Plan $plan, Feast $feast, Kitchen $kitchen): array
    {
        if ([] === $plan->steps) {
            return ['width' => self::WIDTH, 'height' => self::HEIGHT, 'curves' => [], 'ticks' => []];
        }
        $times = [];
        foreach ($plan->steps as $step) {
            $times[$step->startMinute] = true;
            $times[$step->endMinute] = true;
        }
        foreach ($feast->shifts as $shift) {
            foreach ([$shift->from, $shift->to] as $at) {
                $times[intdiv($at->getTimestamp() - $plan->origin->getTimestamp(), 60)] = true;
            }
        }
        ksort($times);
        $times = array_values(array_filter(array_keys($times), static fn (int $t): bool => $t >= $plan->steps[0]->startMinute - 30));
        $spans = [];
        $all = 0;
        for ($i = 0; $i + 1 < \count($times); ++$i) {
            [$from, $to] = [$times[$i], $times[$i + 1]];
            $fires = 0;
            $hands = 0.0;
            foreach ($plan->steps as $step) {
                if ($step->startMinute < $to && $step->endMinute > $from) {
                    $fires += null === $step->burner ? 0 : 1;
                    $hands += (\count($step->people) * $step->step->work->attention->percent) / 100;
                }
            }
            $there = 0;
            foreach ($feast->shifts as $shift) {
                $at = $plan->origin->getTimestamp() + 60 * $from;
                $there += $shift->from->getTimestamp() <= $at && $at < $shift->to->getTimestamp() ? 1 : 0;
            }
            // A long stretch with nothing on is drawn short.
            $wide = 0 === $fires && 0.0 === $hands && $to - $from > self::IDLE_MINUTES ? self::IDLE_MINUTES / 4 : $to - $from;
            $spans[] = [
                'from' => $from,
                'x' => $all,
                'w' => $wide,
                'fires' => (float) $fires,
                'hands' => $hands,
                'there' => (float) $there,
            ];
            $all += $wide;
        }
        $scale = self::WIDTH / max(1, $all);
        $ticks = [];
        $lastX = -1e9;
        foreach ($spans as $span) {
            if ($span['x'] * $scale - $lastX > 56) {
                $lastX = $span['x'] * $scale;
                $ticks[] = [
                    'x' => round($lastX, 1),
                    'label' => $plan->origin
                        ->modify('+'.$span['from'].' minutes')
                        ->setTimezone($feast->timeZone)
                        ->format('H:i'),
                ];
            }
        }

        return [
            'width' => self::WIDTH,
            'height' => self::HEIGHT,
            'ticks' => $ticks,
            'curves' => [
                $this->curve('Fires', $spans, 'fires', (float) \count($kitchen->burners), $scale, $plan, $feast),
                $this->curve('Hands', $spans, 'hands', null, $scale, $plan, $feast),
            ],
        ];
    }

    /**
     * @param list<array{from: int, x: int|float, w: int|float, fires: float, hands: float, there: float}> $spans
     *
     * @return Curve
     */
    private function curve(string $name, array $spans, string $of, ?float $has, float $scale, Plan $plan, Feast $feast): array
    {
        $key = 'fires' === $of ? 'fires' : 'hands';
        $most = max(1.0, $has ?? 0.0, ...array_column($spans, $key), ...null === $has ? array_column($spans, 'there') : []);
        $y = static fn (float $v): float => round(self::HEIGHT - ($v / $most) * (self::HEIGHT - 14), 1);
        $needs = 'M0 '.self::HEIGHT;
        $there = '';
        $peak = -1.0;
        $peakAt = null;
        foreach ($spans as $span) {
            [$left, $right] = [round($span['x'] * $scale, 1), round(($span['x'] + $span['w']) * $scale, 1)];
            $needs .= 'L'.$left.' '.$y($span[$key]).'L'.$right.' '.$y($span[$key]);
            $there .=
                ('' === $there ? 'M' : 'L').$left.' '.$y($has ?? $span['there']).'L'.$right.' '.$y($has ?? $span['there']);
            if ($span[$key] > $peak) {
                $peak = $span[$key];
                $peakAt = $plan->origin->modify('+'.$span['from'].' minutes')->setTimezone($feast->timeZone);
            }
        }
        $levels = [];
        for ($n = 0; $n <= (int) $most; $n += max(1, (int) ceil($most / 5))) {
            $levels[] = ['y' => $y((float) $n), 'label' => (string) $n];
        }

        return [
            'name' => $name,
            'most' => $most,
            'unit' => $of,
            'needs' => $needs.'L'.self::WIDTH.' '.self::HEIGHT.'Z',
            'has' => $there,
            'peak' => round($peak, 1),
            'peakAt' => $peakAt,
            'levels' => $levels,
        ];
    }
}
