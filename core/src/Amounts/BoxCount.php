<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Diet\Sources;
use FeastLadle\Feast\Box;
use FeastLadle\Feast\Feast;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Keeping;
use FeastLadle\Recipe\KeepingPlace;

/** What a kind of gift box comes to: its weight, who must not eat from it, how long packing takes, and until when it is good. */
final readonly class BoxCount
{
    /**
     * @param list<array{dish: PlannedDish, amount: float, grams: float}> $contents
     * @param list<string>                                                $allergens
     * @param \DateTimeImmutable|null                                     $eatBy     by the dish that keeps shortest; null for an empty box
     */
    private function __construct(
        public Box $box,
        public array $contents,
        public float $grams,
        public array $allergens,
        public float $addedSugarGrams,
        public ?\DateTimeImmutable $eatBy,
        public string $shortest,
    ) {
    }

    public static function of(Box $box, Feast $feast, Quantities $quantities, Larder $larder): self
    {
        $contents = [];
        $grams = $sugar = 0.0;
        $allergens = [];
        $keeps = null;
        $shortest = '';
        foreach ($box->holds as $id => $amount) {
            $planned = $quantities->dishes[$id] ?? null;
            if (null === $planned) {
                continue;
            }
            $gives = $planned->batchPlan->ledger->flow($planned->dish->recipe->lastStep)->gives;
            $each = $planned->demand->portion->countsPieces ? ($amount * $gives->massGrams()) / max(1e-9, $gives->pieces) : $amount;
            $contents[] = ['dish' => $planned, 'amount' => $amount, 'grams' => $each];
            $grams += $each;
            $sugar += $gives->massGrams() > 0 ? ($each * $gives->addedSugarGrams($larder)) / $gives->massGrams() : 0.0;
            $allergens = [...$allergens, ...(new Sources($larder))->allergens($planned->dish->recipe)];
            if (null === $keeps || $planned->dish->recipe->keepMinutes < $keeps) {
                $keeps = $planned->dish->recipe->keepMinutes;
                $shortest = $planned->dish->recipe->name;
            }
        }
        $allergens = array_values(array_unique($allergens));
        sort($allergens);

        // Everything is ready by the first moment at the latest; from then on it keeps.
        return new self(
            $box,
            $contents,
            $grams,
            $allergens,
            $sugar,
            null === $keeps ? null : $feast->firstMoment()->at->add(new \DateInterval('PT'.$keeps.'M')),
            $shortest,
        );
    }

    /** Minutes for so many people at the packing table. */
    public function packMinutes(int $people = 1): float
    {
        return ($this->box->count * $this->box->packSeconds) / 60 / max(1, $people);
    }

    /** Grams of all boxes together. */
    public function totalGrams(): float
    {
        return $this->grams * $this->box->count;
    }

    /** @return list<array{dish: PlannedDish, amount: float}> what goes into all of them, in grams or pieces */
    public function totals(): array
    {
        return array_map(
            fn (array $part): array => ['dish' => $part['dish'], 'amount' => $part['amount'] * $this->box->count],
            $this->contents,
        );
    }

    /** How the box is kept: as the one of its sweets that wants the cold, else as the one that keeps shortest. */
    public function keptAs(): ?Keeping
    {
        $kept = null;
        foreach ($this->contents as $content) {
            $keeping = $content['dish']->dish->recipe->keptAs();
            if (null !== $keeping && (null === $kept || self::rank($keeping) < self::rank($kept))) {
                $kept = $keeping;
            }
        }

        return $kept;
    }

    /** @return array{int, int} */
    private static function rank(Keeping $keeping): array
    {
        return [KeepingPlace::Cold === $keeping->place ? 0 : 1, $keeping->minutes];
    }
}
