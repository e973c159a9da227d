<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\KitchenRecord;
use App\Entity\LarderEntry;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<LarderEntry> */
final class LarderEntryRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, LarderEntry::class);
    }

    public function of(KitchenRecord $kitchen, string $ingredient): ?LarderEntry
    {
        return $this->findOneBy(['kitchen' => $kitchen, 'ingredient' => $ingredient]);
    }

    /** @return list<LarderEntry> */
    public function all(KitchenRecord $kitchen): array
    {
        return $this->findBy(['kitchen' => $kitchen], ['ingredient' => 'ASC']);
    }
}
