<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\CookEvent;
use App\Entity\Feast;
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
    public function log(Feast $feast): array
    {
        return $this->findBy(['feast' => $feast], ['id' => 'ASC']);
    }

    public function known(Feast $feast, string $clientId): bool
    {
        return null !== $this->findOneBy(['feast' => $feast, 'clientId' => $clientId]);
    }

    /** A number that grows with every event, for pages that ask whether anything is new. */
    public function version(Feast $feast): int
    {
        return (int) $this->createQueryBuilder('e')
            ->select('MAX(e.id)')
            ->where('e.feast = :feast')
            ->setParameter('feast', $feast)
            ->getQuery()
            ->getSingleScalarResult();
    }
}
