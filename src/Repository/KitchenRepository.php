<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\KitchenRecord;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<KitchenRecord> */
final class KitchenRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, KitchenRecord::class);
    }

    /** The home kitchen: the first of the one household, until there are accounts. */
    public function local(): ?KitchenRecord
    {
        return $this->findOneBy([], ['id' => 'ASC']);
    }

    /** @return list<KitchenRecord> the home first */
    public function household(): array
    {
        return $this->findBy([], ['id' => 'ASC']);
    }
}
