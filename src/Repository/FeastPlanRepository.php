<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\FeastPlan;
use App\Entity\FeastRecord;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<FeastPlan> */
final class FeastPlanRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, FeastPlan::class);
    }

    /** Writes the plan of a feast over the one before, in one statement: two first views at the same moment both may. */
    public function keep(FeastRecord $feast, string $fingerprint, string $document, \DateTimeImmutable $at): void
    {
        $this->getEntityManager()
            ->getConnection()
            ->executeStatement(
                'INSERT INTO feast_plan (feast_id, fingerprint, document, computed_at) VALUES (?, ?, ?, ?)'
                    .' ON CONFLICT (feast_id) DO UPDATE'
                    .' SET fingerprint = excluded.fingerprint, document = excluded.document, computed_at = excluded.computed_at',
                [$feast->getId(), $fingerprint, $document, $at],
                [3 => 'datetime_utc_immutable'],
            );
        $kept = $this->findOneBy(['feast' => $feast]);
        if (null !== $kept) {
            $this->getEntityManager()->refresh($kept);
        }
    }

    public function of(FeastRecord $feast): FeastPlan
    {
        return $this->findOneBy(['feast' => $feast]) ?? new FeastPlan($feast);
    }
}
