<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Heat\Fuel;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Solving\Plan;

/**
 * What a plan burns of gas or wood, minute by minute: each step at its flame, what is kept hot, and other work at the fires; against what
 * is there, with the minute at which each bottle is empty, and what is to be bought.
 */
final readonly class FuelNeed
{
    /** The power that reaches a pot is known to a fifth: so much more should be there. */
    private const TO_SPARE = 0.2;

    /** Wood is bought by so many kg. */
    private const WOOD_STEP_KG = 5.0;

    /**
     * @param float           $kilograms that are burnt
     * @param int             $buy       full bottles, or kg of wood
     * @param list<BottleEnd> $ends      in their order
     */
    private function __construct(
        public Fuel $fuel,
        public float $kilograms,
        public float $there,
        public int $buy,
        public array $ends,
        public float $bottleKg,
    ) {
    }

    /** @return list<self> of gas and wood, where the plan burns any */
    public static function of(Plan $plan, Kitchen $kitchen): array
    {
        $needs = [];
        $store = $kitchen->storeroom->fuel;
        $all = Burning::of($plan, $kitchen);
        foreach ([Fuel::Gas, Fuel::Wood] as $fuel) {
            $burns = array_values(array_filter($all, static fn (Burning $b): bool => $b->burner->fuel === $fuel));
            $kilograms = array_sum(array_map(static fn (Burning $b): float => $b->amount(), $burns));
            if ($kilograms <= 0) {
                continue;
            }
            $isGas = Fuel::Gas === $fuel;
            $there = $isGas ? array_sum($store->bottles) : $store->woodKg;
            $lacks = max(0.0, (1 + self::TO_SPARE) * $kilograms - $there);
            $needs[] = new self(
                $fuel,
                $kilograms,
                $there,
                $isGas
                    ? (int) ceil($lacks / $store->bottleKg - 1e-9)
                    : (int) (self::WOOD_STEP_KG * ceil($lacks / self::WOOD_STEP_KG - 1e-9)),
                $isGas ? self::ends($burns, $store->bottles) : [],
                $store->bottleKg,
            );
        }

        return $needs;
    }

    /**
     * @param list<Burning> $burns
     * @param list<float>   $bottles
     *
     * @return list<BottleEnd>
     */
    private static function ends(array $burns, array $bottles): array
    {
        $rows = array_map(
            static fn (Burning $b): array => [$b->from->getTimestamp(), $b->until->getTimestamp(), $b->amount() / ($b->minutes() * 60)],
            $burns,
        );
        $times = array_values(array_unique([...array_column($rows, 0), ...array_column($rows, 1)]));
        sort($times);
        $ends = [];
        $left = $bottles[0] ?? 0.0;
        for ($k = 0; $k + 1 < \count($times) && [] !== $bottles; ++$k) {
            $rate = array_sum(array_map(
                static fn (array $r): float => $r[0] <= $times[$k] && $times[$k] < $r[1] ? $r[2] : 0.0,
                $rows,
            ));
            $now = (float) $times[$k];
            while ($rate > 0 && isset($bottles[\count($ends)]) && $left / $rate <= $times[$k + 1] - $now) {
                $now += $left / $rate;
                $number = \count($ends);
                $ends[] = new BottleEnd(
                    $number + 1,
                    $bottles[$number],
                    new \DateTimeImmutable('@'.(int) $now),
                    !isset($bottles[$number + 1]),
                );
                $left = $bottles[$number + 1] ?? 0.0;
            }
            $left -= $rate * ($times[$k + 1] - $now);
        }

        return $ends;
    }
}
