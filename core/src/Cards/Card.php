<?php

declare(strict_types=1);

namespace FeastLadle\Cards;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\Round;

/** One card: the bowls of one dish that are measured together, for all batches at once or for each batch alike. */
final readonly class Card
{
    /**
     * @param int            $batches how many times this card is measured; 1 for what is done once
     * @param list<CardStep> $steps   in the order of the work; only those with bowls, or that want things ready
     */
    public function __construct(public PlannedDish $dish, public bool $forEachBatch, public int $batches, public array $steps)
    {
    }

    public function bowlId(Round $round, CardStep $step, CardBowl $bowl): string
    {
        return (new BowlKey($this->dish->dish->id, $round, $step->step->id, $bowl->number))->id();
    }

    /** @return list<string> of all bowls of all rounds */
    public function bowlIds(): array
    {
        $ids = [];
        foreach ($this->rounds() as $round) {
            foreach ($this->steps as $step) {
                foreach ($step->bowls as $bowl) {
                    $ids[] = $this->bowlId($round, $step, $bowl);
                }
            }
        }

        return $ids;
    }

    /** @return list<Round> in which it is measured */
    public function rounds(): array
    {
        return $this->forEachBatch ? array_map(Round::ofBatch(...), range(1, $this->batches)) : [Round::once()];
    }
}
