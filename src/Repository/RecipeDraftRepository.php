<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\KitchenRecord;
use App\Entity\RecipeDraft;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<RecipeDraft> */
final class RecipeDraftRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, RecipeDraft::class);
    }

    public function of(KitchenRecord $kitchen, int $id): ?RecipeDraft
    {
        return $this->findOneBy(['kitchen' => $kitchen, 'id' => $id]);
    }

    public function ofRecipe(KitchenRecord $kitchen, string $slug): ?RecipeDraft
    {
        return $this->findOneBy(['kitchen' => $kitchen, 'ofSlug' => $slug]);
    }

    /** @return list<RecipeDraft> the one last worked on first */
    public function all(KitchenRecord $kitchen): array
    {
        return $this->findBy(['kitchen' => $kitchen], ['changedAt' => 'DESC']);
    }
}
