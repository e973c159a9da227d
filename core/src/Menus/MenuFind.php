<?php

declare(strict_types=1);

namespace FeastLadle\Menus;

use FeastLadle\Explaining\MomentChances;
use FeastLadle\Explaining\Word;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Solving\Plan;

/** A set of sweets that holds, and the plan that proves it. */
final readonly class MenuFind
{
    /**
     * @param list<array<string, mixed>> $rows    of the feast's document, those that stood on it already left out
     * @param list<Recipe>               $recipes of these rows, as they are made
     */
    public function __construct(public array $rows, public array $recipes, public Plan $plan, public MomentChances $chances)
    {
    }

    public function word(): Word
    {
        return $this->chances->word($this->plan);
    }

    /**
     * The surer word first, then the fewer minutes by hand, then the better chance.
     *
     * @return array{int, int, int} the lower, the better
     */
    public function rank(): array
    {
        return [(int) array_search($this->word(), Word::cases(), true), $this->plan->handMinutes(), -$this->chances->of100()];
    }
}
