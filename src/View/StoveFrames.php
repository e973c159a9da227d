<?php

declare(strict_types=1);

namespace App\View;

use App\Service\OpenFeast;
use App\Service\Speaker;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Words\Sentence;

/**
 * The kitchen from above, minute by minute: what stands on each fire, how full, who is at it; what stands beside. One frame for
 * every moment at which something changes.
 *
 * @phpstan-type Fire array{name: string, x: float, r: float, ring: float, items: list<array{from: int, to: int,
 *     letter: string, short: string, vessel: string, title: string, who: string, flame: int, full: int, fill: float}>}
 * @phpstan-type Beside array{from: int, to: int, letter: string, title: string, who: string, where: string}
 */
final class StoveFrames
{
    private const COLUMN = 250.0;
    private const POT = 92.0;

    public function __construct(private readonly Speaker $speaker)
    {
    }

    /**
     * @return array{width: float, height: float, fires: list<Fire>, beside: list<Beside>, instants: list<array{
     *     label: string, day: string}>, first: int} from and to: numbers of instants, the last not included
     */
    public function of(Plan $plan, OpenFeast $open, ?\DateTimeImmutable $now = null): array
    {
        $instants = [];
        foreach ($plan->steps as $step) {
            $instants[$step->startMinute] = true;
            $instants[$step->endMinute] = true;
        }
        ksort($instants);
        $instants = array_keys($instants);
        $number = array_flip($instants);
        $items = [];
        $beside = [];
        foreach ($plan->steps as $step) {
            $who = implode(', ', array_map(static fn (string $p): string => $open->kitchen->people[$p]->name, $step->people));
            $span = [
                'from' => $number[$step->startMinute],
                'to' => $number[$step->endMinute],
                'letter' => $step->dish->dish->letter,
                'title' => $step->step->title,
                'who' => $who,
            ];
            if ($span['from'] >= $span['to']) {
                continue;
            }
            $vessels = implode(', ', array_map(static fn (string $v): string => $open->kitchen->vessels[$v]->name, $step->vessels));
            if (null !== $step->burner) {
                $items[$step->burner][] = [
                    ...$span,
                    'short' => mb_strimwidth($step->step->title, 0, 25, '…'),
                    'vessel' => $vessels,
                    'flame' => (int) round(3 * $step->flame->share()),
                    'full' => ($full = $this->full($step)),
                    'fill' => round(self::POT * sqrt(min(100, $full) / 100), 1),
                ];
            } else {
                $beside[] = [...$span, 'where' => $vessels];
            }
        }
        $fires = [];
        foreach (array_values($open->kitchen->burners) as $i => $burner) {
            $fires[] = [
                'name' => $burner->name,
                'x' => self::COLUMN * ($i + 0.5),
                'r' => self::POT,
                'ring' => round(min(80.0, 28 + $burner->ringDiameterMm / 6), 1),
                'items' => $items[$burner->id] ?? [],
            ];
        }
        $labels = array_map(function (int $minute) use ($plan, $open): array {
            $at = $plan->origin->modify('+'.$minute.' minutes')->setTimezone($open->feast->timeZone);

            return ['label' => $at->format('H:i'), 'day' => $this->speaker->day($at, new Sentence('EEEE'), $open->feast->timeZone)];
        }, $instants);
        // It opens where the most fires burn, or on the day itself at this minute.
        $first = 0;
        $most = -1;
        foreach (array_keys($instants) as $i) {
            $burning = 0;
            foreach ($fires as $fire) {
                $burning += \count(array_filter($fire['items'], static fn (array $item): bool => $item['from'] <= $i && $i < $item['to']));
            }
            if ($burning > $most) {
                [$first, $most] = [$i, $burning];
            }
        }
        $minute = null === $now ? null : ($now->getTimestamp() - $plan->origin->getTimestamp()) / 60;
        foreach (null === $minute ? [] : $instants as $i => $instant) {
            $first = 0 === $i || $instant <= $minute ? $i : $first;
        }

        return [
            'width' => self::COLUMN * max(1, \count($fires)),
            'height' => 250.0,
            'fires' => $fires,
            'beside' => $beside,
            'instants' => $labels,
            'first' => $first,
        ];
    }

    /** Percent of brimful at the fullest of the step. */
    private function full(PlannedStep $step): int
    {
        $choice = $step->dish->batchPlan->potOfStep()[$step->step->id] ?? null;
        if (null === $choice) {
            return 0;
        }
        $ml = $choice->standsMl($step->dish->batchPlan->ledger->flow($step->step->id));

        return (int) round((100 * $ml) / $choice->vessel()->shape->brimfulMl());
    }
}
