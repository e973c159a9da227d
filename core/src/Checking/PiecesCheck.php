<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\Ledger;
use FeastLadle\Recipe\Recipe;

/** What is fried by the load must come in pieces: of a mass nobody knows how much goes into the fat at a time. */
final class PiecesCheck implements Check
{
    public function check(Recipe $recipe, Ledger $ledger): array
    {
        $findings = [];
        foreach ($recipe->steps as $step) {
            if ($step->process->friesInFat() && $ledger->flow($step->id)->taken->pieces < 1) {
                $findings[] = new Finding(
                    Severity::Error,
                    $step->id,
                    'What it fries does not come in pieces.',
                    'Shape it in a step before, and say what a piece weighs.',
                );
            }
        }

        return $findings;
    }
}
