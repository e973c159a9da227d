<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\Quantities;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Tray\Ball;
use FeastLadle\Words\Sentence;

/**
 * What lies on a grown-up's plate, drawn to scale: each sweet as wide as it lies, on a plate of 28 cm, beside what a guest eats.
 *
 * @phpstan-type Heap array{letter: string, name: string, x: float, y: float, r: float, pieces: int, circles: list<float>, grams: Sentence}
 */
final readonly class PlateDrawing
{
    public const PLATE_MM = 280.0;

    /** What a guest eats of sweets, in grams, where nothing else is set. */
    public const USUAL_GRAMS = 160.0;

    /** A spooned sweet lies about so high. */
    private const HEAP_MM = 22.0;

    /** Pieces of one sweet lie so many radii apart from the middle. */
    private const SIDE_BY_SIDE = 0.9;

    public function __construct(private Larder $larder)
    {
    }

    /** Pieces of a grown-up's portion; 1 for what is spooned. */
    public function pieces(PlannedDish $planned): int
    {
        return $planned->demand->portion->countsPieces ? (int) max(1, round($planned->demand->portion->amount)) : 1;
    }

    /** Of one piece, or of the heap, as it lies. */
    public function radiusMm(PlannedDish $planned): float
    {
        if ($planned->demand->portion->countsPieces) {
            return Ball::diameterMm($planned->portionGrams / max(0.01, $planned->demand->portion->amount), 1.2) / 2;
        }
        $gives = $planned->batchPlan->ledger->flow($planned->dish->recipe->lastStep)->gives;
        $ml = $gives->massGrams() > 0 ? ($gives->volumeMl($this->larder) / $gives->massGrams()) * $planned->portionGrams : 0.0;

        return sqrt(($ml * 1000) / self::HEAP_MM / \M_PI);
    }

    /** @return list<float> where pieces lie, from the middle of them all */
    public static function sideBySide(int $pieces, float $radius): array
    {
        return array_map(
            static fn (int $n): float => self::SIDE_BY_SIDE * $radius * (2 * $n - $pieces + 1),
            range(0, $pieces - 1),
        );
    }

    /**
     * @return array{heaps: list<Heap>, served: float, eaten: float, cap: float, usual: bool, share: float} served: every
     *     sweet in full; eaten: by the share who take each
     */
    public function of(Quantities $quantities, ?float $capGrams): array
    {
        $dishes = array_values(array_filter($quantities->dishes, static fn ($p): bool => !$p->dish->isBase));
        $heaps = [];
        $served = $eaten = 0.0;
        foreach ($dishes as $i => $planned) {
            $pieces = $this->pieces($planned);
            $radius = $this->radiusMm($planned);
            $angle = (2 * \M_PI * $i) / max(1, \count($dishes)) - \M_PI / 2;
            $ring = \count($dishes) > 1 ? 80.0 : 0.0;
            $heaps[] = [
                'letter' => $planned->dish->letter,
                'name' => $planned->dish->recipe->name,
                'x' => round($ring * cos($angle), 1),
                'y' => round($ring * sin($angle), 1),
                'r' => round($radius, 1),
                'pieces' => $pieces,
                'circles' => array_map(
                    static fn (float $x): float => round($ring * cos($angle) + $x, 1),
                    self::sideBySide($pieces, $radius),
                ),
                'grams' => AmountWriter::weight($planned->portionGrams),
            ];
            $served += $planned->portionGrams;
            $eaten += $planned->portionGrams * $planned->demand->uptake;
        }

        return [
            'heaps' => $heaps,
            'served' => $served,
            'eaten' => $eaten,
            'cap' => $capGrams ?? self::USUAL_GRAMS,
            'usual' => null === $capGrams,
            'share' => $eaten / ($capGrams ?? self::USUAL_GRAMS),
        ];
    }
}
