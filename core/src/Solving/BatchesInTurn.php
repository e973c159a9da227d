<?php

declare(strict_types=1);

namespace FeastLadle\Solving;

use FeastLadle\Modelling\ScheduleModel;
use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;

/**
 * Batches of a dish are alike: whichever is done first is called the first, and is eaten first. Kept where the schedule then holds as it
 * did and costs no more.
 */
final class BatchesInTurn
{
    /** @param list<string> $held ids of steps that somebody holds at a time: their dishes stay as they are */
    public static function of(ScheduleModel $model, Solution $solution, array $held): Solution
    {
        if (SolutionStatus::Feasible !== $solution->status) {
            return $solution;
        }
        $ends = [];
        foreach ($model->steps as $id => $key) {
            if (null !== $key->round->batch) {
                $ends[$key->dish][$key->round->batch] = max($ends[$key->dish][$key->round->batch] ?? 0, $solution->activities[$id]->end);
            }
        }
        $called = [];
        foreach ($ends as $dish => $byBatch) {
            $isHeld = [] !== array_filter($held, static fn (string $pin): bool => str_starts_with($pin, $dish.'/'));
            ksort($byBatch);
            $inTurn = $byBatch;
            asort($inTurn);
            if ($isHeld || array_keys($inTurn) === array_keys($byBatch)) {
                continue;
            }
            foreach (array_combine(array_keys($inTurn), array_keys($byBatch)) as $old => $new) {
                $called[$dish.'/'.$old.'/'] = $dish.'/'.$new.'/';
            }
        }
        if ([] === $called) {
            return $solution;
        }
        $renamed = new Solution(
            $solution->status,
            $solution->objective,
            $solution->bound,
            self::rename($solution->activities, $called),
            self::rename($solution->holds, $called),
            $solution->seed,
            $solution->conflicts,
            $solution->iterations,
        );

        return self::isAsGood($model, $solution, $renamed) ? $renamed : $solution;
    }

    private static function isAsGood(ScheduleModel $model, Solution $solution, Solution $renamed): bool
    {
        foreach ($model->problem->activities as $id => $activity) {
            $due = $activity->due;
            if (null !== $due && $due->cost($renamed->activities[$id]->end) !== $due->cost($solution->activities[$id]->end)) {
                return false;
            }
        }

        return [] === (new Audit())->faults($model->problem, $renamed);
    }

    /**
     * @template T of Placement|list<list<string>>
     *
     * @param array<string, T>      $things
     * @param array<string, string> $called beginning of an id → what it begins with then
     *
     * @return array<string, T> in the order in which they stood
     */
    private static function rename(array $things, array $called): array
    {
        $renamed = $things;
        foreach ($things as $id => $thing) {
            foreach ($called as $old => $new) {
                if (str_starts_with($id, $old)) {
                    $renamed[$new.substr($id, \strlen($old))] = $thing;
                }
            }
        }

        return $renamed;
    }
}
