<?php

declare(strict_types=1);

namespace FeastLadle\Cards;

use FeastLadle\Recipe\Process;

/** What must stand there before a step is begun that nobody may leave: bowls, vessels, tools, hands. */
final readonly class Ready
{
    /**
     * @param list<int>     $bowls     numbers of bowls that enter in it and straight after it
     * @param list<string>  $vessels   names; the step's own first
     * @param list<Process> $processes it and what follows straight on: each wants its tools
     * @param int           $people    at once
     */
    public function __construct(public array $bowls, public array $vessels, public array $processes, public int $people)
    {
    }
}
