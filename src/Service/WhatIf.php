<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Explaining\MomentChances;
use FeastLadle\Explaining\PlanComparison;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Schedule\Risk;
use FeastLadle\Solving\Plan;

/** Tries what may be tried with a plan, without losing it: each is planned in earnest. */
final readonly class WhatIf
{
    public function __construct(private RecipeBook $recipes, private FeastPlanner $planner, private DayPolicy $day)
    {
    }

    /**
     * What trying something brings, measured against the plan as it is.
     *
     * @param int $sure of a hundred futures of that plan those in time
     */
    public function verdict(OpenFeast $open, Plan $plan, int $sure, Scenario $scenario): Verdict
    {
        $tried = $this->try($open, $plan, $scenario);

        if (null !== $tried && $scenario->weighs && $tried->isOnTime()) {
            $weighed = PlanComparison::of($open->feast, $plan, $this->chances($open, $plan), $tried, $this->chances($open, $tried));

            return Verdict::weighed($scenario->id, $weighed);
        }

        return null === $tried
            ? Verdict::impossible($scenario->id)
            : Verdict::of($scenario->id, $plan, $tried, [$sure, $this->sure($open, $tried)]);
    }

    /** Of a hundred futures of the least sure moment, those in time. */
    private function sure(OpenFeast $open, Plan $plan): int
    {
        return $plan->isOnTime() && [] !== $plan->steps ? $this->chances($open, $plan)->of100() : 0;
    }

    private function chances(OpenFeast $open, Plan $plan): MomentChances
    {
        return MomentChances::of($open->feast, $plan, Risk::of($plan->problem, $plan->solution, grace: $plan->margins));
    }

    /** @return Plan|null null when the change can't be: the scenario then says nothing */
    public function try(OpenFeast $open, Plan $plan, Scenario $scenario): ?Plan
    {
        $kitchen = $scenario->kitchen ?? $open->kitchen;
        try {
            $feast =
                null === $scenario->document
                    ? $open->feast
                    : (new FeastReader($kitchen, $this->recipes))->read($scenario->document->json());
        } catch (FaultyDocument) {
            return null;
        }

        $notBefore = $this->day->notBefore($open);
        // What is weighed is planned as it would be kept: a trial is looked at less long, and comes out less sure.
        $tried = $scenario->weighs
            ? $this->planner->plan($feast, $kitchen, $notBefore)
            : $this->planner->try($feast, $kitchen, $notBefore);

        // With more of anything, the plan as it is can be cooked as well.
        return $scenario->adds ? $this->planner->orFormer($feast, $kitchen, $tried, $plan, $notBefore) : $tried;
    }
}
