<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\RecipeDraft;
use FeastLadle\Checking\Finding;
use FeastLadle\Document\Fault;
use FeastLadle\Drafting\Draft;
use FeastLadle\Flow\Ledger;
use FeastLadle\Recipe\Recipe;

/** A draft, and what the reader and the checks say of it. */
final readonly class OpenDraft
{
    /**
     * @param list<Fault>   $faults   empty when it reads by every way it allows
     * @param list<Finding> $findings of the recipe it reads as
     */
    public function __construct(
        public RecipeDraft $record,
        public Draft $draft,
        public array $faults,
        public ?Recipe $recipe,
        public ?Ledger $ledger,
        public array $findings,
    ) {
    }
}
