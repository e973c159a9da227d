<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\Ledger;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Flame;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Cue;
use FeastLadle\Recipe\CueKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\Step;
use FeastLadle\Recipe\TargetKind;
use FeastLadle\Syrup\SugarRise;

/** What a recipe that reads may still have wrong: targets its contents can't reach, ties that can't hold, cues nobody can use. */
final readonly class RecipeChecker
{
    /** A portion is a share of the dish; a recipe that makes less than this many is suspicious. */
    private const LEAST_PORTIONS = 1.0;

    public function __construct(private Larder $larder)
    {
    }

    /** @return list<Finding> errors first, then warnings, each in flow order */
    public function check(Recipe $recipe): array
    {
        $ledger = Ledger::follow($recipe, $this->larder, 1.0, 1);
        $findings = (new TieCheck())->check($recipe);
        foreach ($ledger->flows as $flow) {
            array_push($findings, ...$this->target($flow), ...$this->keeping($recipe, $flow->step), ...$this->cues($flow->step), ...$this->hands($flow->step));
        }
        $portions = ($recipe->portion->countsPieces ? $ledger->yieldPieces() : $ledger->yieldGrams()) / $recipe->portion->amount;
        if ($portions < self::LEAST_PORTIONS) {
            $findings[] = new Finding(Severity::Warning, $recipe->lastStep, 'The recipe makes {portions} of a portion.', 'Check the amounts and the portion.', ['portions' => round($portions, 2)]);
        }
        usort($findings, static fn (Finding $a, Finding $b): int => (Severity::Error === $b->severity ? 1 : 0) <=> (Severity::Error === $a->severity ? 1 : 0));

        return $findings;
    }

    /** @return list<Finding> */
    private function target(StepFlow $flow): array
    {
        $step = $flow->step;
        $water = $flow->taken->waterGrams($this->larder);
        if (TargetKind::Stage === $step->target->kind && null !== $step->target->stage) {
            $sugar = $flow->taken->sugarGrams($this->larder);
            if ($sugar <= 0.0) {
                return [new Finding(Severity::Error, $step->id, 'A syrup stage is wanted, but there is no sugar in the pot.', 'Add sugar, or another target.')];
            }
            $left = SugarRise::waterLeftGrams($sugar, $step->target->stage->aimRise());
            if ($left > $water) {
                return [new Finding(Severity::Error, $step->id, 'The syrup is past "{stage}" before it boils: that stage holds {left} g of water, the pot {water} g.', 'Add at least {missing} g of water.', ['stage' => $step->target->stage->value, 'left' => round($left), 'water' => round($water), 'missing' => ceil($left - $water)])];
            }
        }
        if (TargetKind::VolumeTo === $step->target->kind) {
            $off = $flow->taken->waterToVolumeShare($step->target->value, $this->larder);
            if ($off > 0.98 * $water) {
                return [new Finding(Severity::Error, $step->id, 'To fall to {percent} % of its volume, {off} g of water would have to leave; there are {water} g.', 'Choose a higher share.', ['percent' => round(100 * $step->target->value), 'off' => round($off), 'water' => round($water)])];
            }
        }

        return [];
    }

    /** @return list<Finding> */
    private function keeping(Recipe $recipe, Step $step): array
    {
        $findings = [];
        foreach ($step->ties as $tie) {
            $keeps = $recipe->step($tie->after)->keeping?->minutes;
            if (null !== $keeps && $tie->minMinutes > $keeps && \in_array($tie->after, $step->sources(), true)) {
                $findings[] = new Finding(Severity::Error, $step->id, 'It must wait {min} min after "{after}", which keeps only {keeps} min.', 'Shorten the wait, or say that it keeps longer.', ['min' => $tie->minMinutes, 'after' => $recipe->step($tie->after)->title, 'keeps' => $keeps]);
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function cues(Step $step): array
    {
        $done = array_filter($step->cues, static fn (Cue $c): bool => CueKind::Done === $c->kind);
        $findings = [];
        if ([] !== $done && [] === array_filter($done, static fn (Cue $c): bool => !$c->tasting)) {
            $findings[] = new Finding(Severity::Warning, $step->id, 'The only sign that it is done is its taste.', 'Add a sign that can be seen, felt, weighed or heard, for those who do not taste before the offering.');
        }
        if (AttentionKind::Constant === $step->attention->kind && Flame::None !== $step->flame && [] === $done && TargetKind::None === $step->target->kind) {
            $findings[] = new Finding(Severity::Warning, $step->id, 'It is never left, but nothing says when it is done.', 'Add the sign by which a cook stops.');
        }
        foreach ($step->cues as $cue) {
            if (CueKind::Wrong === $cue->kind && '' === $cue->rescue) {
                $findings[] = new Finding(Severity::Warning, $step->id, '"{sign}" has no rescue.', 'Say what helps, or that nothing does.', ['sign' => $cue->sign]);
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function hands(Step $step): array
    {
        if (Process::DeepFry === $step->process && AttentionKind::Constant !== $step->attention->kind) {
            return [new Finding(Severity::Error, $step->id, 'Hot fat is left alone.', 'Frying needs constant attention.')];
        }
        if (Process::Merge === $step->process && Flame::None !== $step->flame && AttentionKind::Constant !== $step->attention->kind) {
            return [new Finding(Severity::Error, $step->id, 'A hot pour is left alone.', 'It needs constant attention, better of two people.')];
        }

        return [];
    }
}
