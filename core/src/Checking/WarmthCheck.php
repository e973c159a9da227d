<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\Ledger;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Climate;
use FeastLadle\Heat\Flame;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\KeepingPlace;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\Step;
use FeastLadle\Recipe\Take;
use FeastLadle\Recipe\TargetKind;

/** Whether each side of a merge is as warm as this way of doing it wants, and nothing that splits is boiled. */
final readonly class WarmthCheck implements Check
{
    /** What is called hot here has to be met within so many minutes, or be kept warm. */
    private const STAYS_HOT = 20;
    private const HOT = 55.0;

    public function __construct(private Larder $larder)
    {
    }

    public function check(Recipe $recipe, Ledger $ledger): array
    {
        $findings = [];
        $said = [];
        foreach ($ledger->flows as $flow) {
            foreach ($flow->step->takes as $take) {
                array_push($findings, ...$this->side($recipe, $ledger, $flow->step, $take));
            }
            foreach ($this->split($flow) as $ingredient => $finding) {
                if (!isset($said[$ingredient])) {
                    $said[$ingredient] = true;
                    $findings[] = $finding;
                }
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function side(Recipe $recipe, Ledger $ledger, Step $step, Take $take): array
    {
        $wants = $take->manner->wants;
        if (null === $wants || null === $take->fromStep) {
            return [];
        }
        $source = $recipe->step($take->fromStep);
        $celsius = $ledger->flow($source->id)->gives->celsius;
        $values = ['source' => $source->title, 'is' => round($celsius), 'least' => round($wants->least), 'most' => round($wants->most)];
        [$shortest, $longest] = $this->wait($step, $source);
        if ($celsius < $wants->least - 1) {
            return [
                new Finding(
                    Severity::Warning,
                    $step->id,
                    '"{source}" comes at {is} °C; this way wants at least {least} °C.',
                    'Warm it first, or choose another way of joining them.',
                    $values,
                ),
            ];
        }
        // What is too hot cools while it waits, if it is made to wait.
        if ($celsius > $wants->most + 1 && 0 === $shortest) {
            return [
                new Finding(
                    Severity::Warning,
                    $step->id,
                    '"{source}" comes at {is} °C; this way wants at most {most} °C.',
                    'Let it cool first: a step of cooling, or a tie with a shortest wait.',
                    $values,
                ),
            ];
        }
        $warm =
            KeepingPlace::Warm === $source->gives->keeping?->place
            || (Flame::None !== $step->work->flame && $step->vessel?->continues === $source->id);
        if ($wants->least >= self::HOT && !$warm && (null === $longest || $longest > self::STAYS_HOT)) {
            return [
                new Finding(
                    Severity::Warning,
                    $step->id,
                    'Nothing keeps "{source}" hot until it is wanted at {least} °C.',
                    'Tie it: so many minutes at most after "{source}".',
                    $values,
                ),
            ];
        }

        return [];
    }

    /** @return array{int, int|null} shortest and longest wait between the two */
    private function wait(Step $step, Step $source): array
    {
        $shortest = 0;
        $longest = $source->gives->keeping?->minutes;
        foreach ($step->ties as $tie) {
            if ($tie->after === $source->id) {
                $shortest = max($shortest, $tie->minMinutes);
                $longest = null === $tie->maxMinutes ? $longest : min($longest ?? \PHP_INT_MAX, $tie->maxMinutes);
            }
        }

        return [$shortest, $longest];
    }

    /** @return array<string, Finding> by ingredient */
    private function split(StepFlow $flow): array
    {
        $findings = [];
        if ($flow->step->process->facts()->browns) {
            // Baked into a dough or roasted it no longer matters.
            return [];
        }
        // A step that ends at a temperature is led to it; without a flame only what comes of it counts.
        $led = Flame::None === $flow->step->work->flame || TargetKind::Celsius === $flow->step->work->target->kind;
        $hottest = $led ? $flow->gives->celsius : $flow->peakCelsius;
        if (Flame::None !== $flow->step->work->flame && $flow->step->process->facts()->isThin()) {
            // As the recipe says; the plan leads it below what it stands.
            $boil = Climate::usual()->boilingCelsius();
            $hottest = TargetKind::Celsius === $flow->step->work->target->kind ? min($boil, $flow->step->work->target->value) : $boil;
        }
        foreach ($flow->taken->grams as $id => $grams) {
            $ingredient = $this->larder->get($id);
            if (null !== $ingredient->mostCelsius && $grams > 0 && $hottest > $ingredient->mostCelsius + 0.5) {
                $findings[$id] = new Finding(
                    Severity::Warning,
                    $flow->step->id,
                    '{name} splits above {most} °C; here it reaches {is} °C.',
                    'Put it in later, off the flame or on the lowest one.',
                    ['name' => $ingredient->name, 'most' => round($ingredient->mostCelsius), 'is' => round($hottest)],
                );
            }
        }

        return $findings;
    }
}
