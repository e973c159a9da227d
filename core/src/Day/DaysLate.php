<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Feast\Feast;
use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\RiskReport;
use FeastLadle\Solving\Plan;

/** By how much what had to meet a moment came late in each of many days. */
final readonly class Lateness
{
    public function __construct(private Feast $feast, private Plan $plan)
    {
    }

    /** @param list<array<string, int>> $ends of each run */
    public function report(array $ends, int $seed): RiskReport
    {
        $late = $chances = [];
        foreach ($this->due() as $id => $activity) {
            $of = array_map(fn (array $e): int => $this->late($id, $activity, $e), $ends);
            $late[$id] = pack('n*', ...array_map(static fn (int $m): int => min(65_535, $m), $of));
            $chances[$id] = \count(array_filter($of, static fn (int $m): bool => 0 === $m)) / max(1, \count($of));
        }

        return new RiskReport(\count($ends), $seed, $chances, [], [], $late);
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
                $this->due(),
                fn (Activity $a): bool => ($a->due->at ?? 0) + ($this->plan->margins[$a->id] ?? 0) === $at,
            );
            $late[$moment->id] = [$this->worst($due, $with), $this->worst($due, $without)];
        }

        return $late;
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
            foreach ($due as $id => $activity) {
                $late[] = $this->late($id, $activity, $run);
            }
            $worst[] = max($late);
        }

        return $worst;
    }

    /** @return array<string, Activity> what must meet a moment */
    private function due(): array
    {
        return array_filter($this->plan->problem->activities, static fn (Activity $a): bool => null !== $a->due && $a->due->late > 0);
    }

    /** @param array<string, int> $ends */
    private function late(string $id, Activity $activity, array $ends): int
    {
        return max(0, $ends[$id] - ($activity->due->at ?? 0) - ($this->plan->margins[$id] ?? 0));
    }
}
