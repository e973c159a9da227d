<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\DishOutcome;
use App\Entity\FeastRecord;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<DishOutcome> */
final class DishOutcomeRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, DishOutcome::class);
    }

    public function of(FeastRecord $feast, string $dish): DishOutcome
    {
        return $this->findOneBy(['feast' => $feast, 'dish' => $dish]) ?? new DishOutcome($feast, $dish);
    }
}
