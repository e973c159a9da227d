<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Feast\Feast;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Words\Sentence;

/** What another plan of the same feast, in time as well, gives and costs beside the first. */
final readonly class PlanComparison
{
    /** Minutes and futures of a hundred that are worth a word. */
    private const MINUTES_NOTICED = 5;
    private const POINTS_NOTICED = 2;

    /** Minutes by which a sweet stands longer that somebody tastes. */
    private const WAIT_NOTICED = 30;

    /**
     * The day's beginning first, then each moment that gets surer or less sure, what is fresher or less fresh, then work.
     *
     * @return list<Sentence> empty where nobody would notice a difference
     */
    public static function of(Feast $feast, Plan $plan, MomentChances $chances, Plan $other, MomentChances $its): array
    {
        $said = [];
        $later = intdiv(self::dayBegins($feast, $other) - self::dayBegins($feast, $plan), 60);
        if (abs($later) >= self::MINUTES_NOTICED) {
            $said[] = new Sentence($later > 0 ? 'the day begins {minutes} min later' : 'the day begins {minutes} min sooner', [
                'minutes' => abs($later),
            ]);
        }
        foreach ($chances->moments as $i => $moment) {
            $points = $its->moments[$i]->of100() - $moment->of100();
            // What became less sure is named by the sweet that is to blame then; what became surer, by the one that was.
            $dish = $plan->quantities->dishes[($points < 0 ? $its->moments[$i] : $moment)->least ?? ''] ?? null;
            if (null !== $dish && null !== $moment->chance && abs($points) >= self::POINTS_NOTICED) {
                $id = $points < 0 ? '{what}, {moment}: {points} of 100 less sure' : '{what}, {moment}: {points} of 100 surer';
                $said[] = new Sentence($id, [
                    'what' => $dish->dish->recipe->name,
                    'moment' => $moment->moment->name,
                    'points' => abs($points),
                ]);
            }
        }
        foreach ($plan->timings as $id => $timing) {
            $ready = $other->timings[$id]->ready ?? $timing->ready;
            $sooner = intdiv($timing->ready->getTimestamp() - $ready->getTimestamp(), 60);
            if (abs($sooner) >= self::WAIT_NOTICED) {
                $said[] = new Sentence($sooner > 0 ? '{what} ready {minutes} min sooner' : '{what} ready {minutes} min later', [
                    'what' => $plan->quantities->dishes[$id]->dish->recipe->name,
                    'minutes' => abs($sooner),
                ]);
            }
        }
        $before = self::handMinutesBefore($feast, $other) - self::handMinutesBefore($feast, $plan);
        if (abs($before) >= self::MINUTES_NOTICED) {
            $said[] = new Sentence($before > 0 ? '{minutes} min more in the days before' : '{minutes} min less in the days before', [
                'minutes' => abs($before),
            ]);
        }
        $more = $other->handMinutes() - $plan->handMinutes();
        if (abs($more) >= self::MINUTES_NOTICED) {
            $said[] = new Sentence($more > 0 ? '{minutes} min more by hand' : '{minutes} min less by hand', ['minutes' => abs($more)]);
        }

        return $said;
    }

    /** Minutes in which somebody is at a step on the days before. */
    private static function handMinutesBefore(Feast $feast, Plan $plan): int
    {
        $midnight = self::midnight($feast);
        $minutes = 0;
        foreach ($plan->steps as $step) {
            $until = min($step->end->getTimestamp(), $midnight);
            $minutes += [] === $step->people ? 0 : max(0, intdiv($until - $step->start->getTimestamp(), 60));
        }

        return $minutes;
    }

    /** Seconds since the epoch at which the day of the first moment begins. */
    private static function midnight(Feast $feast): int
    {
        return $feast->firstMoment()->at->setTimezone($feast->timeZone)->setTime(0, 0)->getTimestamp();
    }

    /** Seconds since the epoch at which the first hands are wanted on the day of the first moment. */
    public static function dayBegins(Feast $feast, Plan $plan): int
    {
        $midnight = self::midnight($feast);
        $byHand = array_filter($plan->steps, static fn (PlannedStep $s): bool => [] !== $s->people);
        $starts = array_map(static fn (PlannedStep $s): int => $s->start->getTimestamp(), $byHand);

        return min([$feast->firstMoment()->at->getTimestamp(), ...array_filter($starts, static fn (int $at): bool => $at >= $midnight)]);
    }
}
