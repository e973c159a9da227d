<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Flame;
use FeastLadle\Larder\Danger;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\Skill;
use FeastLadle\Recipe\Step;

/** Work that is left alone and must not be, that needs a second person, or that the wrong hands do. */
final class HandsCheck implements Check
{
    /** Nobody beats a stiff mass much longer without handing the spoon on. */
    private const LONGEST_TURN = 30.0;

    /** The shortest wait after which a cooker may be opened. */
    private const PRESSURE_FALLS = 5;

    public function check(Recipe $recipe, Ledger $ledger): array
    {
        $findings = [];
        foreach ($recipe->steps as $step) {
            array_push($findings, ...$this->alone($step), ...$this->hands($step), ...$this->pressure($recipe, $step));
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function alone(Step $step): array
    {
        if (AttentionKind::Constant === $step->work->attention->kind) {
            return [];
        }
        if ($step->process->facts()->neverAlone) {
            return [
                Danger::HotSugar === $step->process->facts()->danger
                    ? new Finding(Severity::Error, $step->id, 'Hot sugar is left alone.', 'It needs constant attention.')
                    : new Finding(Severity::Error, $step->id, 'Hot fat is left alone.', 'Frying needs constant attention.'),
            ];
        }
        if (Process::Merge === $step->process && Flame::None !== $step->work->flame) {
            return [
                new Finding(Severity::Error, $step->id, 'A hot pour is left alone.', 'It needs constant attention, better of two people.'),
            ];
        }

        return [];
    }

    /** @return list<Finding> */
    private function hands(Step $step): array
    {
        $findings = [];
        if ($step->process->facts()->leastPeople > max(1, $step->work->attention->people)) {
            $findings[] = new Finding(
                Severity::Error,
                $step->id,
                'Hot fat is ladled into a boiling mass by one person.',
                'It needs two: one stirs without a pause, one ladles.',
            );
        }
        if (
            Skill::Child === $step->work->attention->skill
            && AttentionKind::None !== $step->work->attention->kind
            && (Flame::None !== $step->work->flame || $step->process->facts()->hotHands)
        ) {
            $findings[] = new Finding(
                Severity::Error,
                $step->id,
                'A child would stand at the fire.',
                'Give it to a grown-up; children peel, roll and garnish.',
            );
        }
        if (
            Process::StirToBall === $step->process
            && $step->work->time->likelyMinutes > self::LONGEST_TURN
            && 0 === $step->work->attention->turnMinutes
        ) {
            $findings[] = new Finding(
                Severity::Warning,
                $step->id,
                'It is stirred hard for {minutes} min without anyone taking over.',
                'Say after how many minutes the spoon goes on to the next.',
                ['minutes' => round($step->work->time->likelyMinutes)],
            );
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function pressure(Recipe $recipe, Step $step): array
    {
        $findings = [];
        foreach ($step->sources() as $source) {
            if (Process::Pressure !== $recipe->step($source)->process) {
                continue;
            }
            $waits = array_filter($step->ties, static fn ($t): bool => $t->after === $source && $t->minMinutes >= self::PRESSURE_FALLS);
            if ([] === $waits) {
                $findings[] = new Finding(
                    Severity::Error,
                    $step->id,
                    'The cooker would be opened under pressure.',
                    'Tie it to "{source}" with at least {min} min, until the pressure has fallen by itself.',
                    ['source' => $recipe->step($source)->title, 'min' => self::PRESSURE_FALLS],
                );
            }
        }

        return $findings;
    }
}
