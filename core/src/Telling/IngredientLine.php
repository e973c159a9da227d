<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Larder\Ingredient;

/** A line as a cook writes or says it, understood as far as it goes; every guess is marked. */
final readonly class IngredientLine
{
    /**
     * @param Quantity|null   $quantity   null when no amount was said ("salt to taste")
     * @param SpokenUnit|null $unit       null when none was said
     * @param Ingredient|null $ingredient null when nothing in the larder goes by that name
     * @param string          $named      the words that were taken for the ingredient
     * @param string          $note       what stood after it: "chopped", "to taste"
     * @param float|null      $grams      null when it can't be said
     * @param list<Guess>     $guesses    what had to be supposed
     */
    public function __construct(
        public ?Quantity $quantity,
        public ?SpokenUnit $unit,
        public ?Ingredient $ingredient,
        public string $named,
        public string $note,
        public ?float $grams,
        public array $guesses,
    ) {
    }
}
