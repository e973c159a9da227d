<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\Feast;
use App\Entity\Kitchen;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Feast> */
final class FeastRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Feast::class);
    }

    public function of(Kitchen $kitchen, int $id): ?Feast
    {
        return $this->findOneBy(['kitchen' => $kitchen, 'id' => $id]);
    }

    /** @return list<Feast> the newest first */
    public function all(Kitchen $kitchen): array
    {
        return $this->findBy(['kitchen' => $kitchen], ['id' => 'DESC']);
    }
}
