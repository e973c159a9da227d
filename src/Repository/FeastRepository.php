<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\FeastRecord;
use App\Entity\KitchenRecord;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<FeastRecord> */
final class FeastRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, FeastRecord::class);
    }

    public function of(KitchenRecord $kitchen, int $id): ?FeastRecord
    {
        return $this->findOneBy(['kitchen' => $kitchen, 'id' => $id]);
    }

    /** @return list<FeastRecord> the newest first */
    public function all(KitchenRecord $kitchen): array
    {
        return $this->findBy(['kitchen' => $kitchen], ['id' => 'DESC']);
    }
}
