<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Feast\FeastDocument;
use FeastLadle\Kitchen\Kitchen;

/** One thing to try with a plan: a changed feast, or a kitchen with something that is not there yet. */
final readonly class Scenario
{
    /**
     * @param array<string, string|int>       $values of the message
     * @param string                          $loses  what it costs; empty where it only is another way
     * @param bool                            $adds   more fires, pots or hands: of use only where something is short
     * @param string                          $why    the reason of that way
     * @param array<string, string|int|float> $losses values of what it loses
     * @param bool                            $weighs another plan in time, of which what it gives is weighed against what it costs
     */
    public function __construct(
        public string $id,
        public string $message,
        public array $values,
        public string $loses,
        public ?FeastDocument $document,
        public ?Kitchen $kitchen = null,
        public array $losses = [],
        public string $why = '',
        public bool $adds = false,
        public bool $weighs = false,
    ) {
    }

    /** What changes the kitchen can't be kept from here. */
    public function canBeKept(): bool
    {
        return null !== $this->document;
    }
}
