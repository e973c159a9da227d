<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Flow\Ledger;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\Step;

/** A recipe as it is written, with what its flow comes to. */
final readonly class RecipePage
{
    public function __construct(private Larder $larder)
    {
    }

    /** @return array{yield: string, steps: list<array{step: Step, bowls: list<array{name: string, amount: string, byCup: string, how: string}>, sources: list<string>, stands: float, gives: float, pieces: int}>, allergens: list<string>} */
    public function of(Recipe $recipe, Kitchen $kitchen): array
    {
        $ledger = Ledger::follow($recipe, $this->larder, 1.0, 1, $kitchen->roomCelsius, $kitchen->boilingCelsius());
        $writer = new AmountWriter($kitchen->cupMl, $kitchen->scaleStepGrams);
        $steps = [];
        $allergens = [];
        foreach ($ledger->flows as $flow) {
            $bowls = [];
            foreach ($flow->bowls as $bowl) {
                $ingredient = $this->larder->get($bowl->ingredient);
                $grams = $writer->measuredGrams($ingredient, $bowl->grams);
                $bowls[] = ['name' => $ingredient->name, 'amount' => $writer->main($ingredient, $grams), 'byCup' => $writer->byCup($ingredient, $grams), 'how' => $bowl->how];
                foreach ($ingredient->allergens as $allergen) {
                    $allergens[$allergen] = true;
                }
            }
            $steps[] = [
                'step' => $flow->step,
                'bowls' => $bowls,
                'sources' => array_map(static fn (string $s): string => $recipe->step($s)->title, $flow->step->sources()),
                'stands' => $flow->fullestMl,
                'gives' => $flow->gives->massGrams(),
                'pieces' => (int) floor($flow->gives->pieces + 1e-9),
            ];
        }

        return [
            'yield' => $recipe->portion->countsPieces ? floor($ledger->yieldPieces() + 1e-9).' × '.$recipe->portion->pieceName : AmountWriter::weight($ledger->yieldGrams()),
            'steps' => $steps,
            'allergens' => array_keys($allergens),
        ];
    }
}
