<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\KitchenRecord;
use App\Entity\RecipeRecord;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<RecipeRecord> */
final class RecipeRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, RecipeRecord::class);
    }

    public function of(KitchenRecord $kitchen, string $slug): ?RecipeRecord
    {
        return $this->findOneBy(['kitchen' => $kitchen, 'slug' => $slug]);
    }

    /** @return list<RecipeRecord> by name */
    public function book(KitchenRecord $kitchen): array
    {
        return $this->findBy(['kitchen' => $kitchen], ['name' => 'ASC']);
    }

    /** @return list<string> documents of recipes and drafts that bring ingredients of their own */
    public function documentsThatBring(): array
    {
        $rows = $this->getEntityManager()->getConnection()->fetchFirstColumn(
            "SELECT document FROM recipe_revision WHERE document LIKE '%\"ingredients\":%'
             UNION ALL SELECT document FROM recipe_draft WHERE document LIKE '%\"ingredients\":%'",
        );

        return array_values(array_filter($rows, \is_string(...)));
    }

    /** Names the revisions there are, all kitchens together. */
    public function state(): string
    {
        $row = $this->getEntityManager()->getConnection()->fetchNumeric('SELECT COUNT(*), MAX(id) FROM recipe_revision');

        return implode('/', array_map(static fn (mixed $n): string => is_numeric($n) ? (string) $n : '', false === $row ? [] : $row));
    }
}
