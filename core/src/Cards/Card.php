<?php

declare(strict_types=1);

namespace FeastLadle\Cards;

use FeastLadle\Amounts\PlannedDish;

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

    /** Ids of the bowls of one batch, numbered from 1; 0 for what is done once. */
    public function bowlId(int $batch, CardStep $step, CardBowl $bowl): string
    {
        return $this->dish->dish->id.'/'.($this->forEachBatch ? $batch : 0).'/'.$step->step->id.'#'.$bowl->number;
    }

    /** @return list<string> of all bowls of all batches */
    public function bowlIds(): array
    {
        $ids = [];
        foreach ($this->batchNumbers() as $batch) {
            foreach ($this->steps as $step) {
                foreach ($step->bowls as $bowl) {
                    $ids[] = $this->bowlId($batch, $step, $bowl);
                }
            }
        }

        return $ids;
    }

    /** @return list<int> */
    public function batchNumbers(): array
    {
        return $this->forEachBatch ? range(1, $this->batches) : [0];
    }
}
