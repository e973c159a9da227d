<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Flame;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Cue;
use FeastLadle\Recipe\CueKind;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\Step;
use FeastLadle\Recipe\TargetKind;

/** Signs that nobody can use: only a taste, none at all where one never leaves the pot, a wrong sign without a rescue. */
final class CueCheck implements Check
{
    public function check(Recipe $recipe, Ledger $ledger): array
    {
        $findings = [];
        foreach ($recipe->steps as $step) {
            array_push($findings, ...$this->of($step));
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function of(Step $step): array
    {
        $done = array_filter($step->words->cues, static fn (Cue $c): bool => CueKind::Done === $c->kind);
        $findings = [];
        if ([] !== $done && [] === array_filter($done, static fn (Cue $c): bool => !$c->tasting)) {
            $findings[] = new Finding(
                Severity::Warning,
                $step->id,
                'The only sign that it is done is its taste.',
                'Add a sign that can be seen, felt, weighed or heard, for those who do not taste before the offering.',
            );
        }
        if (
            AttentionKind::Constant === $step->work->attention->kind
            && Flame::None !== $step->work->flame
            && [] === $done
            && TargetKind::None === $step->work->target->kind
        ) {
            $findings[] = new Finding(
                Severity::Warning,
                $step->id,
                'It is never left, but nothing says when it is done.',
                'Add the sign by which a cook stops.',
            );
        }
        foreach ($step->words->cues as $cue) {
            if (CueKind::Wrong === $cue->kind && '' === $cue->rescue) {
                $findings[] = new Finding(
                    Severity::Warning,
                    $step->id,
                    '"{sign}" has no rescue.',
                    'Say what helps, or that nothing does.',
                    ['sign' => $cue->sign],
                );
            }
        }

        return $findings;
    }
}
