<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

use Random\Randomizer;

/**
 * Makes a schedule cheaper until the budget or the bound ends it: breeds orders (Evolving), changes turns (Resequencing) and places groups
 * anew (Reinsertion) by turns, each from the best the others have found.
 */
final readonly class Improvement
{
    private const LARGEST_BRED = 80;
    private const MOST_BRED = 20_000;

    /** In interval tests, where a budget counts iterations. */
    private const WORK_OF_AN_ITERATION = 2_000;

    /** Above this size a change of turns costs too much. */
    private const LARGEST_TURNED = 150;

    /** Until which share of the budget orders are bred, turns are changed, groups placed anew and turns changed again. */
    private const SHARES = [0.35, 0.7, 0.85, 1.0];

    /** Short schedules are bred best, since they can be pushed. */
    private const SHARES_OF_SHORT = [0.6, 0.75, 0.85, 1.0];

    /** With so much time it begins twice, and goes on with the better: where one beginning leads nowhere, another often does. */
    private const TWICE_FROM_MS = 3000.0;
    private const SHARE_OF_EACH = 0.45;

    /** Of the time that is added where something is late, turns are changed for so much. */
    private const PATIENTLY = 0.6;

    public function __construct(
        private Network $network,
        private Groups $groups,
        private Decoder $decoder,
        private Cost $cost,
        private Randomizer $random,
        private Reinsertion $reinsertion,
        private ?Justification $justification,
    ) {
    }

    /**
     * @param int  $iterations made so far
     * @param bool $stay       whether it began from a former schedule, near which it is to stay
     *
     * @return array{array{array<int, int>, array<int, int>, array<int, list<int>|null>}, int, int} starts, ends and choices
     *     of the best, its objective, iterations
     */
    public function improve(int $bound, Budget $budget, int $iterations, bool $stay): array
    {
        if ($stay) {
            return $this->reinsertion->improve($bound, $budget, $iterations);
        }
        if ($budget->inMilliseconds() < self::TWICE_FROM_MS || !is_finite($budget->inMilliseconds())) {
            return $this->once($bound, $budget, $iterations);
        }
        $timeline = $this->decoder->timeline;
        $beginning = [$timeline->start, $timeline->end, $timeline->chosen];
        $first = $this->once($bound, $budget->share(self::SHARE_OF_EACH), $iterations);
        if ($first[1] <= $bound) {
            return $first;
        }
        $timeline->become(...$beginning);
        $timeline->work = 0;
        $second = $this->once($bound, $budget->share(self::SHARE_OF_EACH), $first[2]);
        $better = $second[1] < $first[1] ? $second : $first;
        $timeline->become(...$better[0]);
        $timeline->work = 0;

        return $this->reinsertion->improve($bound, $budget->share(1.0 - 2 * self::SHARE_OF_EACH), $second[2]);
    }

    /**
     * @return array{array{array<int, int>, array<int, int>, array<int, list<int>|null>}, int, int}
     */
    private function once(int $bound, Budget $budget, int $iterations): array
    {
        [$bred, $turned, $placed, $turnedAgain] = $this->network->problem->objective->makespan ? self::SHARES_OF_SHORT : self::SHARES;
        if ($this->network->size <= self::LARGEST_BRED) {
            $evolving = new Evolving($this->network, $this->groups, $this->decoder, $this->cost, $this->random, $this->justification);
            $evolving->until((int) ($bred * $budget->work), (int) ($bred * min($budget->iterations, self::MOST_BRED)), $bound);
            $iterations += $evolving->tried;
        }
        if ($this->network->size <= self::LARGEST_TURNED) {
            $uses = new Uses($this->network, TimingModel::of($this->network));
            $this->turn($uses, $budget->share($turned), $bound);
            [[$starts, $ends, $chosen], , $iterations] = $this->reinsertion->improve($bound, $budget->share($placed), $iterations);
            $this->decoder->timeline->become($starts, $ends, $chosen);
            $this->turn($uses, $budget->share($turnedAgain), $bound);
            if ($budget->patience > 1 && $this->cost->isLate()) {
                $this->turn($uses, $budget->share($turnedAgain + self::PATIENTLY * ($budget->patience - 1)), $bound);
            }
        }

        return $this->reinsertion->improve($bound, $budget, $iterations);
    }

    private function turn(Uses $uses, Budget $budget, int $bound): void
    {
        $timeline = $this->decoder->timeline;
        $sequences = Sequences::of($uses, $timeline);
        // What shares a place by other rules than those of turns keeps its schedule.
        if (!$sequences->settle()) {
            return;
        }
        $resequencing = new Resequencing($this->random);
        $best = $resequencing->improve($sequences, $budget->workOr(self::WORK_OF_AN_ITERATION) - $timeline->work, $bound);
        $timeline->work += $resequencing->work;
        if ($best->cost() < $this->cost->now()) {
            $best->putInto($timeline);
        }
    }
}
