<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\CookEvent;
use App\Entity\CookEventKind;
use App\Entity\FeastRecord;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<CookEvent> */
final class CookEventRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, CookEvent::class);
    }

    /** @return list<CookEvent> in the order they came */
    public function log(FeastRecord $feast): array
    {
        return $this->findBy(['feast' => $feast], ['id' => 'ASC']);
    }

    public function known(FeastRecord $feast, string $clientId): ?CookEvent
    {
        return $this->findOneBy(['feast' => $feast, 'clientId' => $clientId]);
    }

    /** @return bool false when an event of that client id stands there already; nothing is added then */
    public function add(FeastRecord $feast, string $clientId, CookEventKind $kind, string $step, \DateTimeImmutable $at): bool
    {
        $added = $this->getEntityManager()
            ->getConnection()
            ->executeStatement(
                'INSERT INTO cook_event (feast_id, client_id, kind, step, at) VALUES (?, ?, ?, ?, ?)'
                    .' ON CONFLICT (feast_id, client_id) DO NOTHING',
                [$feast->getId(), $clientId, $kind->value, $step, $at],
                [4 => 'datetime_utc_immutable'],
            );

        return 1 === $added;
    }

    /** @return int|null the version of a feast by its number, 0 before its first event; null when there is no such feast */
    public function versionOf(int $feast): ?int
    {
        $version = $this->getEntityManager()
            ->getConnection()
            ->fetchOne('SELECT (SELECT COALESCE(MAX(id), 0) FROM cook_event WHERE feast_id = f.id) FROM feast f WHERE f.id = ?', [$feast]);

        return is_numeric($version) ? (int) $version : null;
    }

    /** A number that grows with every event, for pages that ask whether anything is new. */
    public function version(FeastRecord $feast): int
    {
        return (int) $this->createQueryBuilder('e')
            ->select('MAX(e.id)')
            ->where('e.feast = :feast')
            ->setParameter('feast', $feast)
            ->getQuery()
            ->getSingleScalarResult();
    }
}
