<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\CookEvent;
use App\Entity\CookEventKind;
use App\Entity\Feast;
use App\Repository\CookEventRepository;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\Persistence\ManagerRegistry;
use Psr\Clock\ClockInterface;

/** What has been done on the day, derived from the list of events. */
final readonly class CookingDay
{
    public function __construct(
        private CookEventRepository $events,
        private EntityManagerInterface $entities,
        private ManagerRegistry $registry,
        private ClockInterface $clock,
    ) {
    }

    /** @return array<string, \DateTimeImmutable> when a step was done, by step key; undone ones are not in it */
    public function done(Feast $feast): array
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

    public function version(Feast $feast): int
    {
        return $this->events->version($feast);
    }

    /** Records an event once: the same client id again, from a double click or a second try, changes nothing. */
    public function record(Feast $feast, CookEventKind $kind, string $step, string $clientId): void
    {
        if ($this->events->known($feast, $clientId)) {
            return;
        }
        $this->entities->persist(new CookEvent($feast, $clientId, $kind, $step, $this->clock->now()));
        try {
            $this->entities->flush();
        } catch (UniqueConstraintViolationException) {
            // Two requests at the same moment: the other one has recorded it.
            $this->registry->resetManager();
        }
    }
}
