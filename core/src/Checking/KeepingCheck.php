<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\HeatedWet;
use FeastLadle\Flow\Ledger;
use FeastLadle\Keeping\TwoClocks;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\Step;
use FeastLadle\Recipe\Take;

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
        $heated = new HeatedWet($recipe, $ledger, $this->larder);
        foreach ($recipe->steps as $step) {
            foreach ($step->takes as $take) {
                if (
                    null !== $take->fromStep
                    && $step->id !== $recipe->lastStep
                    && $heated->clockRuns($take->fromStep)
                    && $ledger->flow($take->fromStep)->gives->spoils($this->larder)
                    && !self::saysHowLong($recipe, $step, $take)
                ) {
                    $findings[] = new Finding(
                        Severity::Warning,
                        $step->id,
                        '"{source}" is warm and wet, and nothing says how long it may stand.',
                        'Tie this step to it by so many minutes at most, or say how long it keeps. The plan lets it stand {most} min.',
                        ['source' => $recipe->step($take->fromStep)->title, 'most' => (int) TwoClocks::WARN_MINUTES],
                    );
                }
            }
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

    private static function saysHowLong(Recipe $recipe, Step $step, Take $take): bool
    {
        foreach ($step->ties as $tie) {
            if ($tie->after === $take->fromStep && null !== $tie->maxMinutes) {
                return true;
            }
        }

        return $take->manner->straightOn
            || $step->vessel?->continues === $take->fromStep
            || null !== $recipe->step((string) $take->fromStep)->gives->keepingOf($take->output);
    }
}
