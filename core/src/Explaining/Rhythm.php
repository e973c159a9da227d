<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Solving\Plan;

/** The beat of a dish that goes in many equal batches: how often one begins, how long it takes, how many are on the way. */
final readonly class Rhythm
{
    /** From so many batches on a beat says more than a list. */
    public const FROM_BATCHES = 4;

    private function __construct(
        public PlannedDish $dish,
        public int $batches,
        public \DateTimeImmutable $from,
        public int $everyMinutes,
        public int $takesMinutes,
        public int $atOnce,
    ) {
    }

    /** @return list<self> one for each dish with so many batches, in the order of the menu */
    public static function of(Plan $plan): array
    {
        $spans = [];
        foreach ($plan->steps as $step) {
            if (null !== $step->key->round->batch) {
                $span = $spans[$step->key->dish][$step->key->round->batch] ?? [$step->startMinute, $step->endMinute, $step->start];
                $spans[$step->key->dish][$step->key->round->batch] = [
                    min($span[0], $step->startMinute),
                    max($span[1], $step->endMinute),
                    min($span[2], $step->start),
                ];
            }
        }
        $rhythms = [];
        foreach (array_intersect_key($plan->quantities->dishes, $spans) as $dish => $planned) {
            $batches = array_values($spans[$dish]);
            if (\count($batches) < self::FROM_BATCHES) {
                continue;
            }
            usort($batches, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
            $gaps = $lengths = [];
            $atOnce = 0;
            foreach ($batches as $i => [$start, $end]) {
                $lengths[] = $end - $start;
                if ($i > 0) {
                    $gaps[] = $start - $batches[$i - 1][0];
                }
                $atOnce = max($atOnce, \count(array_filter($batches, static fn (array $b): bool => $b[0] <= $start && $start < $b[1])));
            }
            sort($gaps);
            sort($lengths);
            $rhythms[] = new self(
                $planned,
                \count($batches),
                $batches[0][2],
                $gaps[intdiv(\count($gaps), 2)],
                $lengths[intdiv(\count($lengths), 2)],
                $atOnce,
            );
        }

        return $rhythms;
    }
}
