<?php

declare(strict_types=1);

namespace App\Export;

use FeastLadle\Explaining\StepPlace;
use FeastLadle\Flow\Contents;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Tie;
use FeastLadle\Solving\Plan;
use FeastLadle\Standing\Entering;
use FeastLadle\Standing\StandingStep;
use FeastLadle\Standing\VesselLevel;

/** The steps of a plan document: what goes in, what stands there, what comes out, by whom and on which fire. */
final readonly class PlanSteps
{
    /** @param array<string, StepPlace> $places by activity */
    public function __construct(private Plan $plan, private Larder $larder, private PlanClock $clock, private array $places)
    {
    }

    /** @return array<string, mixed> */
    public function step(StandingStep $standing): array
    {
        $planned = $standing->planned;
        $work = $planned->step->work;
        $place = $this->places[$planned->activity] ?? null;

        return [
            'step' => $planned->key->id(),
            'dish' => $planned->key->dish,
            'batch' => $planned->key->round->id(),
            'for' => $planned->for?->id,
            'base' => $planned->dish->dish->isBase,
            'process' => $planned->step->process->value,
            'title' => $planned->step->title,
            'start' => $this->clock->instant($planned->start),
            'end' => $this->clock->instant($planned->end),
            'minutes' => [$planned->minMinutes, $planned->minutes(), $planned->maxMinutes],
            'attention' => $work->attention->kind->value,
            'people' => array_map(
                fn (string $person): array => [
                    'person' => $person,
                    'percent' => $this->percent($standing, $person),
                    'from' => $this->clock->instant($planned->start),
                    'until' => $this->clock->instant($planned->end),
                ],
                $planned->people,
            ),
            'fire' => $planned->burner,
            'flame' => $planned->flame->value,
            'toldFlame' => $work->flame->value,
            'medium' => Growth::Cooling === $work->time->growth ? $work->time->medium->value : null,
            'netKw' => round($standing->netKw, 4),
            'lid' => $planned->lid,
            'vessels' => array_map(
                static fn (VesselLevel $l): array => [
                    'vessel' => $l->vessel->id,
                    'count' => 1,
                    'depthMm' => round($l->depthMm, 1),
                    'fill' => round($l->fill, 4),
                    'limit' => $l->limit,
                ],
                $standing->levels,
            ),
            'takes' => $this->takes($standing),
            'in' => $this->contents($standing->in),
            'out' => $this->out($standing),
            'waterOffGrams' => round($standing->waterOffGrams(), 2),
            'waste' => $this->waste($standing),
            'window' => $this->window($standing),
            'slack' => $place?->slackMinutes,
            'why' => null === $place || [] === $place->reasons ? null : $place->reasons[0]->text(),
        ];
    }

    private function percent(StandingStep $standing, string $person): int
    {
        $activity = $standing->planned->activity;
        foreach ($this->plan->solution->activities[$activity]->uses as $need => $resources) {
            if (\in_array($person, $resources, true)) {
                return $this->plan->problem->activities[$activity]->needs[$need]->units;
            }
        }

        return 0;
    }

    /** @return list<array<string, mixed>> */
    private function takes(StandingStep $standing): array
    {
        $takes = [];
        foreach ($standing->enters as $entering) {
            $parts = $entering->reserve || $entering->topUp ? 1 : $entering->take->manner->parts;
            for ($part = 1; $part <= $parts; ++$part) {
                $takes[] = array_filter(
                    [
                        'number' => \count($takes) + 1,
                        ...$this->source($entering),
                        'grams' => round($entering->what->massGrams() / $parts, 3),
                        'amount' => $entering->amount?->text(),
                        'celsius' => round($entering->what->celsius, 1),
                        'reserve' => $entering->reserve,
                        'topUp' => $entering->topUp,
                        'part' => $parts > 1 ? [$part, $parts] : null,
                        'atMinute' => $entering->take->manner->atMinute,
                        'how' => $entering->take->how,
                    ],
                    static fn (mixed $v): bool => null !== $v && false !== $v && '' !== $v,
                );
            }
        }

        return $takes;
    }

    /** @return array<string, string> */
    private function source(Entering $entering): array
    {
        if (null === $entering->from) {
            return null === $entering->take->base && null !== $entering->take->ingredient
                ? ['ingredient' => $entering->take->ingredient]
                : (1 === \count($entering->what->grams)
                    ? ['ingredient' => (string) array_key_first($entering->what->grams)]
                    : ['base' => 'base-'.$entering->take->base]);
        }
        if (null !== $entering->take->base) {
            return ['base' => $entering->from->planned->key->dish, 'step' => $entering->from->planned->key->id()];
        }

        return null === $entering->take->output
            ? ['from' => $entering->from->planned->key->id()]
            : ['from' => $entering->from->planned->key->id(), 'output' => $entering->take->output];
    }

    /** @return array<string, float> */
    private function contents(Contents $contents): array
    {
        return [
            'grams' => round($contents->massGrams(), 2),
            'millilitres' => round($contents->volumeMl($this->larder), 1),
            'celsius' => round($contents->celsius, 1),
            'waterGrams' => round($contents->waterGrams($this->larder), 2),
            'sugarGrams' => round($contents->sugarGrams($this->larder), 2),
            'fatGrams' => round($contents->fatGrams($this->larder), 2),
            'heatCapacityKj' => round($contents->heatCapacityKj($this->larder), 4),
        ];
    }

    /** @return list<array<string, mixed>> what others may take, waste left out */
    private function out(StandingStep $standing): array
    {
        $out = [];
        foreach ($standing->planned->step->gives->outputs as $output) {
            if (!$output->waste) {
                $given = $standing->given($output->id);
                $out[] = ['id' => $output->id, ...$this->contents($given), 'pieces' => floor($given->pieces + 1e-6)];
            }
        }
        if ([] === $out) {
            $out[] = ['id' => null, ...$this->contents($standing->gives), 'pieces' => floor($standing->gives->pieces + 1e-6)];
        }
        if ($standing->fatLeft->massGrams() > 0.005) {
            $out[] = ['id' => 'fat', ...$this->contents($standing->fatLeft), 'pieces' => 0.0];
        }

        return $out;
    }

    /** @return list<array{what: string, grams: float}> */
    private function waste(StandingStep $standing): array
    {
        $grams = $standing->wasteGrams();

        return $grams > 0.005 ? [['what' => $standing->planned->step->gives->leaving->what, 'grams' => round($grams, 2)]] : [];
    }

    /** @return array<string, mixed>|null the tightest tie to a step before it */
    private function window(StandingStep $standing): ?array
    {
        $tightest = null;
        foreach ($standing->planned->step->ties as $tie) {
            if (null !== $tie->maxMinutes && (null === $tightest || $tie->maxMinutes < $tightest->maxMinutes)) {
                $tightest = $tie;
            }
        }
        if (!$tightest instanceof Tie) {
            return null;
        }
        $before = null;
        foreach ($this->plan->steps as $step) {
            if (
                $step->key->dish === $standing->planned->key->dish
                && $step->step->id === $tightest->after
                && ($step->key->round->is($standing->planned->key->round)
                    || $step->step->work->once !== $standing->planned->step->work->once)
            ) {
                $before = $step;
            }
        }
        if (null === $before) {
            return null;
        }
        // What is done piece by piece is over by then, anything else begun.
        $minutes = $standing->planned->minutes();
        $latest = $before->endMinute + (int) $tightest->maxMinutes - ($standing->planned->step->isPieceByPiece() ? $minutes : 0);

        return [
            'tie' => $before->key->id(),
            'latestStart' => $this->clock->minute($latest),
            'latestEnd' => $this->clock->minute($latest + $minutes),
            'overrunMinutes' => max(0, $standing->planned->startMinute - $latest),
        ];
    }
}
