<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\Kitchen;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Kitchen> */
final class KitchenRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Kitchen::class);
    }

    /** The home kitchen: the first of the one household, until there are accounts. */
    public function local(): ?Kitchen
    {
        return $this->findOneBy([], ['id' => 'ASC']);
    }

    /** @return list<Kitchen> the home first */
    public function household(): array
    {
        return $this->findBy([], ['id' => 'ASC']);
    }
}
