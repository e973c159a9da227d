<?php

declare(strict_types=1);

namespace FeastLadle\Batch;

use FeastLadle\Flow\Ledger;

/** A dish in its batches: the ledger of one batch and the pots it goes through, or why no pots will do. */
final readonly class BatchPlan
{
    /**
     * @param array<string, PotChoice> $pots    by run id
     * @param list<NoPot>              $missing runs that fit nowhere; empty when the dish can be cooked
     */
    public function __construct(public int $batches, public Ledger $ledger, public array $pots, public array $missing)
    {
    }

    /** In the same pots, with what really stands in them. */
    public function withLedger(Ledger $ledger): self
    {
        return new self($this->batches, $ledger, $this->pots, $this->missing);
    }

    /** @return array<string, PotChoice> by step id */
    public function potOfStep(): array
    {
        $pots = [];
        foreach ($this->pots as $choice) {
            foreach ($choice->run->flows as $flow) {
                $pots[$flow->step->id] = $choice;
            }
        }

        return $pots;
    }
}
