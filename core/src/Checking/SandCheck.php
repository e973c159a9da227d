<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\Ledger;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Larder\Larder;
use FeastLadle\Larder\Origin;
use FeastLadle\Recipe\KeepingPlace;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;

/** Milk boiled down so far that its own sugar turns sandy in the cold. */
final readonly class SandCheck implements Check
{
    /** Grams of lactose in 100 g of water above which it does, sooner or later. */
    public const LIMIT = 18.0;

    public function __construct(private Larder $larder)
    {
    }

    public function check(Recipe $recipe, Ledger $ledger): array
    {
        foreach ($recipe->steps as $step) {
            if (Process::Chill !== $step->process && KeepingPlace::Cold !== $step->gives->keeping?->place) {
                continue;
            }
            $lactose = $this->lactose($ledger->flow($step->id));
            if ($lactose > self::LIMIT) {
                return [
                    new Finding(
                        Severity::Warning,
                        $step->id,
                        'Cold, it turns sandy in time: {lactose} g of milk sugar in 100 g of its water, above {limit}.',
                        'Boil it down less, eat it the same day, or keep it warm.',
                        ['lactose' => round($lactose, 1), 'limit' => self::LIMIT],
                    ),
                ];
            }
        }

        return [];
    }

    /** Grams of milk sugar in 100 g of water; 0 where nothing of milk, or no water, is in it. */
    private function lactose(StepFlow $flow): float
    {
        $lactose = 0.0;
        foreach ($flow->gives->grams as $id => $grams) {
            $thing = $this->larder->get($id);
            if (Origin::Dairy === $thing->caveats->diet && 0.0 === $thing->addedSugarShare()) {
                $lactose += $grams * $thing->composition->sugar;
            }
        }
        $water = $flow->gives->waterGrams($this->larder);

        return $water > 0 ? (100 * $lactose) / $water : 0.0;
    }
}
