<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\CookEventKind;
use App\Entity\FeastRecord;
use App\Repository\CookEventRepository;
use FeastLadle\Cards\BowlKey;
use FeastLadle\Day\DayLog;
use FeastLadle\Day\Event;
use FeastLadle\Day\Happening\StepDone;
use FeastLadle\Day\Happening\StepNotDone;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** What has been done on the day, derived from the list of events. */
final readonly class CookingDay
{
    public function __construct(
        private CookEventRepository $events,
        private ClockInterface $clock,
    ) {
    }

    /** @return array<string, \DateTimeImmutable> when a step was done, by step key; undone ones are not in it */
    public function done(FeastRecord $feast): array
    {
        $done = [];
        foreach ($this->events->log($feast) as $event) {
            if (CookEventKind::Done === $event->getKind()) {
                $done[$event->getStep()] ??= $event->getAt();
            } else {
                unset($done[$event->getStep()]);
            }
        }

        return $done;
    }

    /** All that was said, as the core reads it. */
    public function log(FeastRecord $feast): DayLog
    {
        $events = [];
        foreach ($this->events->log($feast) as $event) {
            if (BowlKey::isOne($event->getStep())) {
                continue;
            }
            $what = CookEventKind::Done === $event->getKind()
                ? new StepDone($event->getStep(), null, null, null)
                : new StepNotDone($event->getStep());
            // Of two in one second the one that came later counts.
            $id = \sprintf('%09d', $event->getId());
            $events[] = new Event($id, $event->getAt(), null, null, null, false, $what, $event->getKind()->value.$event->getStep());
        }

        return DayLog::of($events);
    }

    public function version(FeastRecord $feast): int
    {
        return $this->events->version($feast);
    }

    /** The same for a feast by its number, in one query; null where there is no such feast. */
    public function versionOf(int $feast): ?int
    {
        return $this->events->versionOf($feast);
    }

    /**
     * Records an event once: the same client id again, from a double click or a second try, changes nothing.
     *
     * @throws ConflictHttpException when the id was used for something else: that is told, never taken for the same
     */
    public function record(FeastRecord $feast, CookEventKind $kind, string $step, string $clientId): void
    {
        if (!$this->events->add($feast, $clientId, $kind, $step, $this->clock->now())) {
            $known = $this->events->known($feast, $clientId);
            if ($known?->getKind() !== $kind || $known->getStep() !== $step) {
                throw new ConflictHttpException('This was not taken in: its id stands for something else already. Load the page again.');
            }
        }
    }
}
