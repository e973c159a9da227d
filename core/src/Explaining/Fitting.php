<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Modelling\ConflictTeller;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Conflict;
use FeastLadle\Schedule\ConflictKind;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Solving\Attempt;
use FeastLadle\Solving\Solve;
use FeastLadle\Solving\Task;

/** When a whole menu finds no plan: which dishes must be left out so that the others get one, and why. */
final readonly class Fitting
{
    /** For each question; the answer is wanted soon. */
    private const TRIAL_MS = 40;

    /** @param int $patience how many times longer a dish looks for room beside the others */
    public function __construct(private Solve $solve, private int $patience = 2)
    {
    }

    /**
     * @param list<string> $first dishes that go before those before them on the menu
     *
     * @return array{list<Obstacle>, Solution|null} one for each dish to leave out, and how the others go together
     */
    public function whatDoesNotFit(Task $task, array $first = []): array
    {
        $all = array_keys(array_filter($task->quantities->dishes, static fn (PlannedDish $d): bool => !$d->dish->isBase));
        $all = array_values(array_unique([...array_intersect($first, $all), ...$all]));
        $out = [];
        foreach ($all as $dish) {
            $alone = $task->without(array_values(array_diff($all, [$dish])));
            $solution = $this->solve->solution($alone, $this->budget());
            if (SolutionStatus::Feasible !== $solution->status) {
                $out[$dish] =
                    $this->saysItAll($solution)
                        ? $this->proven($dish, $solution->conflicts[0], $alone)
                        : (new Relaxing($this->solve))->whatIsShort($alone, $dish) ?? (SolutionStatus::Infeasible === $solution->status
                            ? $this->proven($dish, $solution->conflicts[0], $alone)
                            : new Obstacle($dish, 'No way was found to do it in this kitchen by these hands, even alone.'));
            }
        }
        $kept = [];
        $near = null;
        foreach ($all as $dish) {
            if (isset($out[$dish])) {
                continue;
            }
            $beside = $task->without(array_values(array_diff($all, $kept, [$dish])));
            $solution = $this->solve->solution($beside, $this->budget(), $near);
            if (SolutionStatus::Feasible === $solution->status) {
                $near = $solution;
                $kept[] = $dish;
            } else {
                $out[$dish] = new Obstacle($dish, Attempt::NO_ROOM);
            }
        }

        return [array_values($out), $near];
    }

    /** A try whose dishes without room beside the others say what they lack there, as far as it was found by planning with more of it. */
    public function explained(Task $task, Attempt $tried): Attempt
    {
        $out = array_map(static fn (Obstacle $o): string => $o->dish, $tried->leftOut);
        $task = $task->ofAmounts($tried->plan->quantities);
        $told = function (Obstacle $old) use ($task, $out): Obstacle {
            if (Attempt::NO_ROOM !== $old->sentence->id || $this->solve->hasSpent()) {
                return $old;
            }
            $beside = $task->without(array_values(array_diff($out, [$old->dish])));
            $solution = $this->solve->solution($beside);

            return $this->saysItAll($solution)
                ? $this->proven($old->dish, $solution->conflicts[0], $beside)
                : (new Relaxing($this->solve))->whatIsShortBeside($beside, $old->dish) ?? $old;
        };

        return $tried->with($tried->plan->withObstacles(array_map($told, $tried->plan->obstacles)));
    }

    /** Whether a proof names what is short. That some steps contradict their links may have any cause: that one is tried. */
    private function saysItAll(Solution $solution): bool
    {
        return SolutionStatus::Infeasible === $solution->status
            && \in_array($solution->conflicts[0]->kind, [ConflictKind::Hold, ConflictKind::Resource, ConflictKind::Need], true);
    }

    private function budget(): Budget
    {
        return Budget::milliseconds(self::TRIAL_MS)->patient($this->patience);
    }

    /** The proof in a cook's words. */
    private function proven(string $dish, Conflict $conflict, Task $task): Obstacle
    {
        return (new ConflictTeller($this->solve->model($task), $task->quantities, $task->kitchen))->tell($conflict, $dish);
    }
}
