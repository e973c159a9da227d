<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;

/** When a whole menu finds no plan: which dishes must be left out so that the others get one, and why. */
final readonly class Fitting
{
    /** Orders to try for each question; the answer is wanted soon. */
    private const TRIES = 6;

    public function __construct(private FeastPlanner $planner)
    {
    }

    /** @return list<Obstacle> one for each dish to leave out */
    public function whatDoesNotFit(Feast $feast, Kitchen $kitchen, Quantities $quantities, ?\DateTimeImmutable $notBefore): array
    {
        $all = array_keys($quantities->dishes);
        $out = [];
        foreach ($all as $dish) {
            $solution = $this->solve($feast, $kitchen, $quantities, $notBefore, array_values(array_diff($all, [$dish])));
            if (SolutionStatus::Feasible !== $solution->status) {
                $out[$dish] = new Obstacle($dish, SolutionStatus::Infeasible === $solution->status
                    ? 'It can\'t be done in this kitchen by these hands, even alone.'
                    : 'No way was found to do it in this kitchen by these hands, even alone. Fewer guests, a larger pot or another cook would help.');
            }
        }
        $kept = [];
        foreach ($all as $dish) {
            if (isset($out[$dish])) {
                continue;
            }
            $solution = $this->solve($feast, $kitchen, $quantities, $notBefore, array_values(array_diff($all, $kept, [$dish])));
            if (SolutionStatus::Feasible === $solution->status) {
                $kept[] = $dish;
            } else {
                $out[$dish] = new Obstacle($dish, 'No room was found for it beside the dishes before it on the menu: fires, pots or hands are taken.');
            }
        }

        return array_values($out);
    }

    /** @param list<string> $without */
    private function solve(Feast $feast, Kitchen $kitchen, Quantities $quantities, ?\DateTimeImmutable $notBefore, array $without): Solution
    {
        return (new Solver())->solve($this->planner->draft($feast, $kitchen, $quantities, $notBefore, $without)->problem, Budget::iterations(self::TRIES));
    }
}
