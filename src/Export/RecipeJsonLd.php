<?php

declare(strict_types=1);

namespace App\Export;

use App\Service\Speaker;
use FeastLadle\Flow\Ledger;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Words\Sentence;

/** A recipe as a schema.org Recipe in JSON-LD, for programs that know nothing of flows: amounts and steps survive, ties and laws do not. */
final readonly class RecipeJsonLd
{
    public function __construct(private Larder $larder, private Speaker $speaker)
    {
    }

    /** @param string $document the recipe's own document, which travels along so that this program gets back what it gave */
    public function write(Recipe $recipe, Kitchen $kitchen, string $document): string
    {
        $ledger = Ledger::follow($recipe, $this->larder, 1.0, 1, $kitchen->climate);
        $grams = [];
        $steps = [];
        foreach ($ledger->flows as $flow) {
            foreach ($flow->bowls as $bowl) {
                $grams[$bowl->ingredient] = ($grams[$bowl->ingredient] ?? 0.0) + $bowl->grams;
            }
            foreach ($flow->step->takes as $take) {
                if (null !== $take->fatDepthMm && null !== $take->ingredient) {
                    $grams[$take->ingredient] ??= 0.0;
                }
            }
            $steps[] = [
                '@type' => 'HowToStep',
                'name' => $flow->step->title,
                'text' => '' === $flow->step->words->say ? $flow->step->title : $flow->step->words->say,
            ];
        }
        $ingredients = [];
        foreach ($grams as $id => $amount) {
            $ingredient = $this->larder->get($id);
            $ingredients[] =
                $this->speaker->say(0.0 === $amount
                    ? new Sentence('{thing}, for frying', ['thing' => $ingredient->name])
                    : new Sentence('{amount} {thing}', ['amount' => AmountWriter::exact($amount), 'thing' => $ingredient->name]));
        }

        return json_encode(
            [
                '@context' => ['https://schema.org', ['ladle' => 'urn:feast-ladle:']],
                '@type' => 'Recipe',
                'name' => $recipe->name,
                'description' => $recipe->summary,
                'recipeYield' => $this->speaker->say(
                    $recipe->portion->told($recipe->portion->countsPieces ? floor($ledger->yieldPieces() + 1e-6) : $ledger->yieldGrams()),
                ),
                'recipeIngredient' => $ingredients,
                'recipeInstructions' => $steps,
                'ladle:document' => $document,
            ],
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        );
    }
}
