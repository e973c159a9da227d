<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Feast\Feast;
use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Solving\Plan;

/** By how much what had to meet a moment came late in each of many days. */
final readonly class DaysLate
{
    public function __construct(private Feast $feast, private Plan $plan)
    {
    }

    /** @param list<array<string, int>> $ends of each run */
    public function report(array $ends, int $seed): RiskReport
    {
        $late = [];
        foreach ($this->plan->problem->due() as $id => $activity) {
            $late[$id] = array_map(fn (array $of): int => $this->late($activity, $of), $ends);
        }

        return RiskReport::of(\count($ends), $seed, $late);
    }

    /**
     * @param list<array<string, int>> $with    of each run, planned anew
     * @param list<array<string, int>> $without by the first plan alone
     *
     * @return array<string, array{list<int>, list<int>}> minutes late, by moment
     */
    public function byMoment(array $with, array $without): array
    {
        $late = [];
        foreach ($this->feast->moments as $moment) {
            $at = intdiv($moment->at->getTimestamp() - $this->plan->origin->getTimestamp(), 60);
            $due = array_filter(
                $this->plan->problem->due(),
                fn (Activity $a): bool => ($a->due->at ?? 0) + ($this->plan->margins[$a->id] ?? 0) === $at,
            );
            $late[$moment->id] = [$this->worst($due, $with), $this->worst($due, $without)];
        }

        return $late;
    }

    /**
     * Whether a dish met all its moments in a run; a base, whether everything did.
     *
     * @param array<string, int> $ends
     */
    public function isInTime(string $dish, array $ends): bool
    {
        $of = [];
        foreach ($this->plan->steps as $step) {
            $of[$step->activity] = $step->key->dish;
        }
        $due = $this->plan->problem->due();
        $its = array_filter($due, static fn (Activity $a): bool => ($of[$a->id] ?? null) === $dish);

        return 0 === max([0, ...array_values(array_map(fn (Activity $a): int => $this->late($a, $ends), [] === $its ? $due : $its))]);
    }

    /**
     * @param array<string, Activity>  $due
     * @param list<array<string, int>> $ends of each run
     *
     * @return list<int>
     */
    private function worst(array $due, array $ends): array
    {
        $worst = [];
        foreach ($ends as $run) {
            $late = [0];
            foreach ($due as $activity) {
                $late[] = $this->late($activity, $run);
            }
            $worst[] = max($late);
        }

        return $worst;
    }

    /** @param array<string, int> $ends */
    private function late(Activity $activity, array $ends): int
    {
        return $activity->late($ends[$activity->id], $this->plan->margins[$activity->id] ?? 0);
    }
}
