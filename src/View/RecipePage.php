<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Checking\Finding;
use FeastLadle\Checking\RecipeChecker;
use FeastLadle\Flow\Ledger;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\Step;

/**
 * A recipe as it is written, or grown to any yield, with what its flow comes to.
 *
 * @phpstan-import-type Node from FlowDrawing
 * @phpstan-import-type Stream from FlowDrawing
 */
final readonly class RecipePage
{
    /** How far a recipe may be grown or shrunk on its page. */
    public const SMALLEST = 0.01;
    public const LARGEST = 2000.0;

    public function __construct(private Larder $larder, private FlowDrawing $drawing, private RecipeChecker $checker)
    {
    }

    /**
     * @param float|null $wanted grams or pieces to make; null: as written
     *
     * @return array{yield: string, made: float, unit: string, factor: float, flow: array{width: float, height: float, nodes: list<Node>, streams: list<Stream>}, findings: list<Finding>, steps: list<array{step: Step, bowls: list<array{name: string, amount: string, byCup: string, how: string}>, sources: list<array{title: string, how: string}>, stands: float, gives: float, pieces: int}>, allergens: list<string>}
     */
    public function of(Recipe $recipe, Kitchen $kitchen, ?float $wanted = null): array
    {
        $follow = fn (float $factor): Ledger => Ledger::follow($recipe, $this->larder, $factor, 1, $kitchen->roomCelsius, $kitchen->boilingCelsius());
        $made = static fn (Ledger $ledger): float => $recipe->portion->countsPieces ? $ledger->yieldPieces() : $ledger->yieldGrams();
        $factor = null === $wanted ? 1.0 : min(self::LARGEST, max(self::SMALLEST, $wanted / $made($follow(1.0))));
        $ledger = $follow($factor);
        // Spice grows slower than the body: two corrections bring the yield to what was asked.
        for ($i = 0; $i < 2 && null !== $wanted && $factor > self::SMALLEST && $factor < self::LARGEST; ++$i) {
            $factor *= $wanted / $made($ledger);
            $ledger = $follow($factor);
        }
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
            foreach ($flow->step->takes as $take) {
                if (null !== $take->fatDepthMm && null !== $take->ingredient) {
                    $bowls[] = ['name' => $this->larder->get($take->ingredient)->name, 'amount' => $take->fatDepthMm.' mm deep', 'byCup' => '', 'how' => $take->how];
                    foreach ($this->larder->get($take->ingredient)->allergens as $allergen) {
                        $allergens[$allergen] = true;
                    }
                }
            }
            $steps[] = [
                'step' => $flow->step,
                'bowls' => $bowls,
                'sources' => $this->sources($recipe, $flow->step),
                'stands' => $flow->fullestMl,
                'gives' => $flow->gives->massGrams(),
                'pieces' => (int) floor($flow->gives->pieces + 1e-9),
            ];
        }

        return [
            'made' => $recipe->portion->countsPieces ? floor($made($ledger) + 1e-6) : round($made($ledger)),
            'unit' => $recipe->portion->countsPieces ? $recipe->portion->pieceName.'s' : 'g',
            'factor' => $factor,
            'flow' => $this->drawing->draw($recipe, $ledger, $writer),
            'findings' => $this->checker->check($recipe),
            'yield' => $recipe->portion->countsPieces ? floor($ledger->yieldPieces() + 1e-6).' × '.$recipe->portion->pieceName : AmountWriter::weight($ledger->yieldGrams()),
            'steps' => $steps,
            'allergens' => array_keys($allergens),
        ];
    }

    /** @return list<array{title: string, how: string}> */
    private function sources(Recipe $recipe, Step $step): array
    {
        $sources = [];
        foreach ($step->takes as $take) {
            if (null !== $take->fromStep) {
                $sources[] = ['title' => $recipe->step($take->fromStep)->title, 'how' => $take->how];
            }
        }

        return $sources;
    }
}
