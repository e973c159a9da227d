<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\DishOutcome;
use App\Entity\FeastRecord;
use App\Repository\DishOutcomeRepository;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Amounts\Quantities;

/** One line for each dish of what became of it. */
final readonly class Outcomes
{
    public function __construct(private DishOutcomeRepository $outcomes, private EntityManagerInterface $entities)
    {
    }

    /** @return array<string, DishOutcome> by dish id */
    public function lines(FeastRecord $feast, Quantities $quantities): array
    {
        return array_map(
            fn (string $dish): DishOutcome => $this->outcomes->of($feast, $dish),
            array_combine(array_keys($quantities->dishes), array_keys($quantities->dishes)),
        );
    }

    /** @param array<string, DishOutcome> $lines a line that says nothing is not kept */
    public function keep(array $lines): void
    {
        foreach ($lines as $line) {
            $says = null !== $line->getMade() || null !== $line->getLeftOver() || '' !== $line->getNote();
            if ($says) {
                $this->entities->persist($line);
            } elseif (null !== $line->getId()) {
                $this->entities->remove($line);
            }
        }
        $this->entities->flush();
    }
}
