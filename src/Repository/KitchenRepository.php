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

    /** The one local kitchen, until there are accounts. */
    public function local(): ?Kitchen
    {
        return $this->findOneBy([], ['id' => 'ASC']);
    }
}
