<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\Feast;
use App\Entity\FeastPlan;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<FeastPlan> */
final class FeastPlanRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, FeastPlan::class);
    }

    public function of(Feast $feast): FeastPlan
    {
        return $this->findOneBy(['feast' => $feast]) ?? new FeastPlan($feast);
    }
}
