<?php

declare(strict_types=1);

namespace FeastLadle\Portion;

use FeastLadle\Recipe\Portion;

/** How much of one dish is needed: grams, or whole pieces, with the figures it came from. */
final readonly class Demand
{
    private function __construct(
        public Portion $portion,
        public float $uptake,
        public int $guests,
        public float $grownUps,
        public float $forGuests,
        public float $forOffering,
        public float $spareShare,
        public float $total,
        public float $forBoxes = 0.0,
    ) {
    }

    /** A given amount, in the portion's way of counting: a base that dishes take from. */
    public static function exactly(Portion $portion, float $amount): self
    {
        $amount = $portion->countsPieces ? ceil($amount - 1e-9) : $amount;

        return new self($portion, 1.0, 0, 0.0, $amount, 0.0, 0.0, $amount);
    }

    /**
     * need = Σ groups (guests × appetite × uptake × portion) + offering bowls + what boxes hold + spare on what guests eat.
     * Pieces go up to whole for each group, and once more on the sum with the spare.
     *
     * @param non-empty-list<Group> $groups
     */
    public static function of(Portion $portion, array $groups, float $uptake, int $bowls, float $boxes = 0.0): self
    {
        $eaten = 0.0;
        $guests = 0;
        $grownUps = 0.0;
        foreach ($groups as $group) {
            $amount = $group->count * $group->appetite * $uptake * $portion->amount;
            $eaten += $portion->countsPieces ? ceil($amount - 1e-9) : $amount;
            $guests += $group->count;
            $grownUps += $group->count * $group->appetite;
        }
        $spare = Spare::share($uptake, max(1, $guests));
        $offering = $bowls * ($portion->countsPieces ? ceil($portion->amount - 1e-9) : $portion->amount);
        $total = $eaten * (1 + $spare) + $offering + $boxes;

        return new self(
            $portion,
            $uptake,
            $guests,
            $grownUps,
            $eaten,
            $offering,
            $spare,
            $portion->countsPieces ? ceil($total - 1e-9) : $total,
            $boxes,
        );
    }
}
