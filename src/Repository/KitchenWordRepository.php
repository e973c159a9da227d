<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\KitchenRecord;
use App\Entity\KitchenWord;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<KitchenWord> */
final class KitchenWordRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, KitchenWord::class);
    }

    public function of(KitchenRecord $kitchen, string $word): ?KitchenWord
    {
        return $this->findOneBy(['kitchen' => $kitchen, 'word' => $word]);
    }

    /** @return list<KitchenWord> */
    public function all(KitchenRecord $kitchen): array
    {
        return $this->findBy(['kitchen' => $kitchen], ['word' => 'ASC']);
    }
}
