<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\SharedWork;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Timing\StepTimer;
use FeastLadle\Timing\TimeAccount;
use FeastLadle\Words\Sentence;

/** How the minutes that a step has in a plan come about: its law with this pot on this fire, and what the plan makes of it. */
final readonly class StepAccount
{
    public function __construct(private Larder $larder)
    {
    }

    /** @return list<Sentence> the last of them ends at the minutes of the plan */
    public function of(PlannedStep $planned, Kitchen $kitchen): array
    {
        $account = new TimeAccount();
        $dish = $planned->dish;
        $minutes = (new StepTimer($kitchen, $this->larder))->minutes(
            $dish->batchPlan->ledger->flow($planned->step->id),
            $dish->batchPlan->potOfStep()[$planned->step->id] ?? null,
            $dish->scaleOf($planned->step),
            null === $planned->burner ? null : $kitchen->burners[$planned->burner],
            $account,
        );
        $source = null;
        foreach ($planned->step->takes as $take) {
            $source = $take->manner->straightOn ? $take->fromStep : $source;
        }
        $here = $planned->minutes();
        if (null !== $minutes && $here !== $minutes->likely) {
            match (true) {
                null !== $source => $account->say(
                    'It takes each load of “{step}” as it comes out, so it lasts until the last of them: {minutes} min.',
                    ['step' => $dish->dish->recipe->step($source)->title, 'minutes' => $here],
                ),
                null !== $planned->for => $account->say('This time only what is for {moment}: {minutes} min.', [
                    'moment' => $planned->for->name,
                    'minutes' => $here,
                ]),
                \count($planned->people) > $planned->step->work->attention->people => $account->say(
                    '{count} share it, each a part of it: {alone} min ÷ {count}^0.95 = {minutes} min.',
                    [
                        'count' => \count($planned->people),
                        'alone' => round($minutes->likely / SharedWork::share($planned->step->work->attention->people)),
                        'minutes' => $here,
                    ],
                ),
                $planned->step->standsAlone() => $account->say(
                    'The recipe leaves it open from {least} to {most} min: {minutes} min here, so that all goes together.',
                    ['least' => $minutes->min, 'most' => $minutes->max, 'minutes' => $here],
                ),
                $minutes->exact > 1 && [] !== $planned->vessels => $account->say(
                    'Its batches may stand in slower pots beside this one: as long as in the slowest, {minutes} min.',
                    ['minutes' => $here],
                ),
                default => $account->say('Small steps that follow each other are summed before they are rounded: {minutes} min here.', [
                    'minutes' => $here,
                ]),
            };
        }

        return $account->sentences();
    }
}
