<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\Ledger;
use FeastLadle\Recipe\Recipe;

/** One kind of thing that may be wrong with a recipe that reads. */
interface Check
{
    /**
     * @param Ledger $ledger the recipe as written, in one batch
     *
     * @return list<Finding>
     */
    public function check(Recipe $recipe, Ledger $ledger): array;
}
