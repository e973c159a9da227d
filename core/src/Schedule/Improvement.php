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

    /** Above this size a change of turns costs too much. */
    private const LARGEST_TURNED = 60;

    /** Until which share of the budget each goes on, in this order. */
    private const BREEDING = 0.35;
    private const TURNS = 0.7;
    private const GROUPS = 0.85;
    private const TURNS_AGAIN = 1.0;

    public function __construct(
        private Network $network,
        private Groups $groups,
        private Neighbours $neighbours,
        private Decoder $decoder,
        private Cost $cost,
        private Randomizer $random,
        private ?Decoder $mirrored,
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
            return $this->reinsertion()->improve($bound, $budget, $iterations);
        }
        if ($this->network->size <= self::LARGEST_BRED) {
            $evolving = new Evolving($this->network, $this->groups, $this->decoder, $this->cost, $this->random, $this->mirrored ? new Justification($this->network, $this->groups, $this->decoder, $this->mirrored) : null);
            $evolving->until(
                (int) ((float) getenv('BR') * $budget->work),
                (int) ((float) getenv('BR') * min($budget->iterations, self::MOST_BRED)),
                $bound,
            );
            $iterations += $evolving->tried;
        }
        if ($this->network->size <= self::LARGEST_TURNED) {
            $uses = new Uses($this->network, new TimingModel($this->network));
            $this->turn($uses, $budget, (float) getenv('TU'), $bound);
            [[$starts, $ends, $chosen], , $iterations] = $this->reinsertion()->improve($bound, $budget->share((float) getenv('GR')), $iterations);
            $this->decoder->timeline->become($starts, $ends, $chosen);
            $this->turn($uses, $budget, 1.0, $bound);
        }

        return $this->reinsertion()->improve($bound, $budget, $iterations);
    }

    private function reinsertion(): Reinsertion
    {
        return new Reinsertion($this->network, $this->groups, $this->neighbours, $this->decoder, $this->cost, $this->random);
    }

    private function turn(Uses $uses, Budget $budget, float $share, int $bound): void
    {
        $timeline = $this->decoder->timeline;
        $sequences = new Sequences($uses, $timeline);
        // Whoever shares a place by other rules than those of turns keeps its schedule.
        if (!$sequences->settle()) {
            return;
        }
        $resequencing = new Resequencing($this->random);
        $best = $resequencing->improve($sequences, (int) ($share * $budget->work) - $timeline->work, $bound);
        $timeline->work += $resequencing->work;
        if ($best->cost() < $this->cost->now()) {
            $best->putInto($timeline);
        }
    }
}
