<?php

declare(strict_types=1);

namespace FeastLadle\Checking;

use FeastLadle\Flow\Ledger;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Recipe;

/** What the choices made for a dish leave open: things that nothing replaces, what a substitute can't stand, labels nobody read. */
final readonly class ChoiceCheck implements Check
{
    public function __construct(private Larder $larder)
    {
    }

    public function check(Recipe $recipe, Ledger $ledger): array
    {
        $findings = [];
        foreach ($recipe->swaps as $swap) {
            $name = $this->larder->get($swap->ingredient)->name;
            if (null === $swap->by) {
                $findings[] = new Finding(
                    Severity::Error,
                    $swap->step,
                    'Nothing is known that replaces {name} without {without}.',
                    'Leave the dish off that group\'s plate, or tell the larder what stands in for it.',
                    ['name' => $name, 'without' => $swap->without->value ?? ''],
                );
            } elseif ('' !== $swap->by->caution) {
                $findings[] = new Finding(Severity::Warning, $swap->step, '{name} is replaced by {by}.', '{caution}', [
                    'name' => $name,
                    'by' => $this->larder->get($swap->by->ingredient)->name,
                    'caution' => $swap->by->caution,
                ]);
            }
        }
        $other = $recipe->otherWay;
        $splits = null === $other ? null : $this->larder->get($other->ingredient);
        foreach ($other->schools ?? [] as $school => $option) {
            $findings[] = new Finding(
                Severity::Warning,
                '',
                '"{option}" is taken by itself: as it is written it would boil {name} down.',
                '{name} splits above {most} °C.',
                [
                    'option' => $recipe->way->school($school)->options[$option]->name ?? $option,
                    'name' => $splits->name ?? '',
                    'most' => round($splits->mostCelsius ?? 0.0),
                ],
            );
        }
        foreach ($recipe->steps as $step) {
            foreach ($step->bases() as $slug) {
                $base = $recipe->bases[$slug] ?? null;
                if (null !== $base && $recipe->buys($slug) && !($base->base->labelRead ?? true)) {
                    $findings[] = new Finding(
                        Severity::Warning,
                        $step->id,
                        'Nobody has said what the label of the bought "{base}" declares.',
                        'Read it for allergens and write them into that recipe.',
                        ['base' => $base->name],
                    );
                }
            }
        }

        return $findings;
    }
}
