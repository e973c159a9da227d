<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\DayEvent;
use App\Entity\FeastRecord;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<DayEvent> */
final class DayEventRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, DayEvent::class);
    }

    /** @return list<DayEvent> in the order in which they happened; of two in one instant the greater id counts */
    public function log(FeastRecord $feast): array
    {
        return $this->findBy(['feast' => $feast], ['at' => 'ASC', 'clientId' => 'ASC']);
    }

    public function known(FeastRecord $feast, string $clientId): ?DayEvent
    {
        return $this->findOneBy(['feast' => $feast, 'clientId' => $clientId]);
    }

    /** @return bool false when an event of that client id stands there already; nothing is added then */
    public function add(DayEvent $event): bool
    {
        $added = $this->getEntityManager()
            ->getConnection()
            ->executeStatement(
                'INSERT INTO day_event (feast_id, client_id, kind, subject, by_person, at, arrived, body) VALUES (?, ?, ?, ?, ?, ?, ?, ?)'
                    .' ON CONFLICT (feast_id, client_id) DO NOTHING',
                [
                    $event->getFeast()->getId(),
                    $event->getClientId(),
                    $event->getKind()->value,
                    $event->getSubject(),
                    $event->getBy(),
                    $event->getAt(),
                    $event->getArrived(),
                    $event->getBody(),
                ],
                [5 => 'datetime_utc_immutable', 6 => 'datetime_utc_immutable'],
            );

        return 1 === $added;
    }

    /** @return int|null the version of a feast by its number, 0 before its first event; null when there is no such feast */
    public function versionOf(int $feast): ?int
    {
        $version = $this->getEntityManager()
            ->getConnection()
            ->fetchOne('SELECT (SELECT COALESCE(MAX(id), 0) FROM day_event WHERE feast_id = f.id) FROM feast f WHERE f.id = ?', [$feast]);

        return is_numeric($version) ? (int) $version : null;
    }

    /** A number that grows with every event, for pages that ask whether anything is new. */
    public function version(FeastRecord $feast): int
    {
        return $this->versionOf((int) $feast->getId()) ?? 0;
    }
}
