<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Words\Sentence;

/** A plan from here that differs from the one in force. */
final readonly class Proposal
{
    /**
     * @param non-empty-list<ProposedMove> $moves
     * @param bool                         $byItself nothing that anybody is told to do within ten minutes changes, no moment is lost
     * @param bool                         $waits    steps only wait for what is before them, in the order in force: that one stands
     */
    public function __construct(
        public string $id,
        public Sentence $because,
        public Sentence $costs,
        public array $moves,
        public bool $byItself,
        public bool $waits,
    ) {
    }
}
