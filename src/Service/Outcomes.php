<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\DishOutcome;
use App\Entity\FeastRecord;
use App\Repository\DishOutcomeRepository;
use Doctrine\ORM\EntityManagerInterface;
use FeastLadle\Amounts\Quantities;
use FeastLadle\Day\PortionNow;

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

    /**
     * Lines that say nothing yet begin with what the day's log tells: what was made, and what is left where it was said how trays emptied.
     *
     * @param array<string, DishOutcome> $lines
     * @param array<string, PortionNow>  $portions by dish
     *
     * @return list<string> dishes that were filled in so
     */
    public function begun(array $lines, array $portions): array
    {
        $filled = [];
        foreach ($lines as $dish => $line) {
            $portion = $portions[$dish] ?? null;
            $isEmpty = null === $line->getMade() && null === $line->getLeftOver() && '' === $line->getNote();
            if (null !== $portion && $portion->isReady && $isEmpty) {
                $line->setMade($portion->countsPieces ? $portion->made : round($portion->made));
                $line->setLeftOver(null === $portion->ladle ? null : round($portion->ladle->left));
                $filled[] = $dish;
            }
        }

        return $filled;
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
