<?php

declare(strict_types=1);

namespace FeastLadle\Day;

/** Two people say the opposite of one step: both are kept, and the later counts. */
final readonly class Contradiction
{
    public function __construct(public Event $first, public Event $counts)
    {
    }
}
