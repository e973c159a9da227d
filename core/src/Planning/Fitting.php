<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Conflict;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;

/** When a whole menu finds no plan: which dishes must be left out so that the others get one, and why. */
final readonly class Fitting
{
    public const NO_ROOM = 'No room was found for it beside the dishes before it on the menu: fires, pots or hands are taken.';

    /** For each question; the answer is wanted soon. */
    private const TRIAL_MS = 40;

    /** So many steps are named. */
    private const MOST_NAMED = 4;

    public function __construct(private FeastPlanner $planner)
    {
    }

    /** @return list<Obstacle> one for each dish to leave out */
    public function whatDoesNotFit(Feast $feast, Kitchen $kitchen, Quantities $quantities, ?\DateTimeImmutable $notBefore): array
    {
        $all = array_keys(array_filter($quantities->dishes, static fn (PlannedDish $d): bool => !$d->dish->isBase));
        $out = [];
        foreach ($all as $dish) {
            $draft = $this->planner->draft($feast, $kitchen, $quantities, $notBefore, array_values(array_diff($all, [$dish])));
            $solution = (new Solver())->solve($draft->problem, self::budget());
            if (SolutionStatus::Feasible !== $solution->status) {
                $out[$dish] =
                    SolutionStatus::Infeasible === $solution->status
                        ? $this->proven($dish, $solution->conflicts[0], $draft, $quantities, $kitchen)
                        : new Obstacle(
                            $dish,
                            'No way was found to do it in this kitchen by these hands, even alone. Fewer guests, a larger pot or '
                                .'another cook would help.',
                        );
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
                $out[$dish] = new Obstacle($dish, self::NO_ROOM);
            }
        }

        return array_values($out);
    }

    /** @param list<string> $without */
    private function solve(Feast $feast, Kitchen $kitchen, Quantities $quantities, ?\DateTimeImmutable $notBefore, array $without): Solution
    {
        return (new Solver())->solve($this->planner->draft($feast, $kitchen, $quantities, $notBefore, $without)->problem, self::budget());
    }

    private static function budget(): Budget
    {
        return Budget::milliseconds(self::TRIAL_MS)->patient(2);
    }

    /** The proof in a cook's words. */
    private function proven(string $dish, Conflict $conflict, ScheduleDraft $draft, Quantities $quantities, Kitchen $kitchen): Obstacle
    {
        $steps = [];
        foreach ($conflict->activities as $id) {
            $key = $draft->steps[$id] ?? null;
            if (null !== $key) {
                $steps[$quantities->dishes[$key->dish]->dish->recipe->step($key->step)->title] = true;
            }
        }
        $values = [
            'steps' => implode(', ', \array_slice(array_keys($steps), 0, self::MOST_NAMED)),
            'things' => ResourceNames::list($kitchen, $conflict->resources),
            'there' => \count($conflict->resources),
        ];

        return new Obstacle(
            $dish,
            match ($conflict->kind) {
                'hold' => 'Its batches stand full at the same time, at "{steps}", and only {there} can hold them: {things}. One more '
                    .'of these would do it, or fewer guests.',
                'resource' => 'There is not enough of {things} for: {steps}.',
                'calendar' => 'No shift is long enough for: {steps}.',
                'need' => 'There are too few for "{steps}": {things}.',
                'link' => 'At this size these take longer than what is before them keeps: {steps}. Smaller batches, in smaller pots, '
                    .'or more hands would do it.',
                default => 'It can\'t be done in this kitchen by these hands, even alone: {steps}.',
            },
            $values,
        );
    }
}
