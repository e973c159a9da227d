<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

/** What was understood of a telling. */
final readonly class Heard
{
    /**
     * @param list<Fragment>                $fragments
     * @param list<ToldStep>                $steps
     * @param list<ToldAmount>              $amounts      as they were told, things without an amount among them
     * @param list<ToldAmount>              $unused       told, and never said where they go
     * @param list<ToldAmount>              $alternatives
     * @param list<array{Fragment, string}> $setAside     what is no step, and why
     * @param list<Contradiction>           $contradictions
     */
    public function __construct(
        public Text $text,
        public array $fragments,
        public array $steps,
        public array $amounts,
        public array $unused,
        public array $alternatives,
        public array $setAside,
        public array $contradictions,
        public Frame $frame,
    ) {
    }
}
