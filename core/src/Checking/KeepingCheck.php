<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\Ledger;
use FeastLadle\Keeping\TwoClocks;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;

/** Waits that are longer than a thing keeps, and chilling that leaves it too warm to be called chilled. */
final class KeepingCheck implements Check
{
    /** What has less water than this needs no cold to be safe. */
    private const WET_FROM = 0.25;

    public function __construct(private readonly Larder $larder)
    {
    }

    public function check(Recipe $recipe, Ledger $ledger): array
    {
        $findings = [];
        foreach ($recipe->steps as $step) {
            $given = $ledger->flow($step->id)->gives;
            $wet = $given->waterGrams($this->larder) > self::WET_FROM * $given->massGrams();
            if (Process::Chill === $step->process && $wet && $given->celsius > TwoClocks::COLD_CELSIUS) {
                $findings[] = new Finding(
                    Severity::Warning,
                    $step->id,
                    'It is chilled to {celsius} °C only.',
                    'Chilled is 5 °C or less in the middle: set the target there.',
                    ['celsius' => round($given->celsius, 1)],
                );
            }
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
