<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\Ledger;
use FeastLadle\Recipe\Recipe;

/** Waits that are longer than a thing keeps. */
final class KeepingCheck implements Check
{
    public function check(Recipe $recipe, Ledger $ledger): array
    {
        $findings = [];
        foreach ($recipe->steps as $step) {
            foreach ($step->ties as $tie) {
                $keeps = $recipe->step($tie->after)->gives->keeping?->minutes;
                if (null !== $keeps && $tie->minMinutes > $keeps && \in_array($tie->after, $step->sources(), true)) {
                    $findings[] = new Finding(
                        Severity::Error,
                        $step->id,
                        'It must wait {min} min after "{after}", which keeps only {keeps} min.',
                        'Shorten the wait, or say that it keeps longer.',
                        ['min' => $tie->minMinutes, 'after' => $recipe->step($tie->after)->title, 'keeps' => $keeps],
                    );
                }
            }
        }

        return $findings;
    }
}
