<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Slips\SlipAnswer;
use FeastLadle\Solving\PlannedStep;

/** Something that went wrong and that nobody has answered yet. */
final readonly class SlipNow
{
    /** @param list<WayNow> $ways in order of least harm */
    public function __construct(public Event $event, public PlannedStep $step, public SlipAnswer $answer, public array $ways)
    {
    }
}
