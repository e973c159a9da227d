<?php

declare(strict_types=1);

namespace App\Service;

use App\Repository\DayEventRepository;
use FeastLadle\Day\EventKind;
use Psr\Clock\ClockInterface;

/** What the day itself asks of a plan: nothing can start before now; once work is ticked, the plan stays where it was. */
final readonly class DayPolicy
{
    private const COOKING = [EventKind::Started, EventKind::Done, EventKind::NotDone];

    public function __construct(private DayEventRepository $events, private ClockInterface $clock)
    {
    }

    /** @return \DateTimeImmutable|null null when the plan may begin where it likes */
    public function notBefore(OpenFeast $open): ?\DateTimeImmutable
    {
        $now = $this->clock->now();
        $first = $open->feast->firstMoment()->at;
        foreach ($open->feast->shifts as $shift) {
            $first = min($first, $shift->from);
        }

        return $now > $first && $now < $open->feast->lastMoment()->at && !$this->isBegun($open) ? $now : null;
    }

    /** Measuring out is not yet cooking. */
    public function isBegun(OpenFeast $open): bool
    {
        foreach ($this->events->log($open->record) as $event) {
            if (\in_array($event->getKind(), self::COOKING, true)) {
                return true;
            }
        }

        return false;
    }
}
