<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Batch\PotChoice;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Planning\PlannedDish;
use FeastLadle\Planning\Quantities;

/**
 * Vessels drawn in section, all to one scale: outline, contents at the fullest moment, the limit, and the level of each step.
 *
 * @phpstan-type Drawn array{run: string, title: string, vessel: string, several: int, width: float, height: float, outline: string, contents: string, limitY: float, limitHalf: float, levels: list<array{y: float, half: float, step: string, volume: float}>, fullest: string, fullestMl: float, brimMl: float, percent: float, limitPercent: float, limitReason: string, reason: string, fat: float|null, perLoad: int|null, loads: int|null, wish: string, options: array<string, string>}
 */
final class PotSections
{
    /** @return list<array{dish: PlannedDish, pots: list<Drawn>}> */
    public function of(Quantities $quantities, Kitchen $kitchen): array
    {
        $dishes = [];
        foreach ($quantities->dishes as $planned) {
            $pots = [];
            foreach ($planned->batchPlan->pots as $choice) {
                $pots[] = $this->draw($choice, $planned, $kitchen);
            }
            $dishes[] = ['dish' => $planned, 'pots' => $pots];
        }

        return $dishes;
    }

    /** @return Drawn */
    private function draw(PotChoice $choice, PlannedDish $planned, Kitchen $kitchen): array
    {
        $shape = $choice->vessel()->shape;
        $height = $shape->heightMm();
        $limitDepth = $shape->depthMm($choice->limitMl());
        $count = \count($choice->vessels);
        $levels = [];
        if (null === $choice->frying) {
            foreach ($choice->run->flows as $flow) {
                $ml = $flow->fullestMl / $count;
                $levels[] = ['y' => SectionDrawing::y($shape, $shape->depthMm($ml)), 'half' => SectionDrawing::SCALE * $shape->radiusMm($shape->depthMm($ml)), 'step' => $flow->step->title, 'volume' => $ml];
            }
        }
        $options = [];
        foreach ($kitchen->vessels as $vessel) {
            if ($vessel->kind === $choice->run->kind) {
                $options[$vessel->id] = $vessel->name;
            }
        }

        return [
            'run' => $choice->run->id,
            'title' => $choice->run->flows[0]->step->title,
            'vessel' => $choice->vessel()->name,
            'several' => $count,
            'width' => SectionDrawing::widest($shape),
            'height' => SectionDrawing::SCALE * $height,
            'outline' => SectionDrawing::profile($shape, $height),
            'contents' => SectionDrawing::profile($shape, $shape->depthMm($choice->fullestMl)),
            'limitY' => SectionDrawing::y($shape, $limitDepth),
            'limitHalf' => SectionDrawing::SCALE * $shape->radiusMm($limitDepth),
            'levels' => $levels,
            'fullest' => $choice->run->fullest->step->title,
            'fullestMl' => $choice->fullestMl,
            'brimMl' => $shape->brimfulMl(),
            'percent' => 100 * $choice->fullShare(),
            'limitPercent' => 100 * $choice->run->limit->share(),
            'limitReason' => $choice->run->limit->reason(),
            'reason' => $choice->reason->value,
            'fat' => $choice->frying?->fatGrams,
            'perLoad' => $choice->frying?->piecesPerLoad,
            'loads' => $choice->frying?->loads,
            'wish' => $planned->dish->pots[$choice->run->id] ?? '',
            'options' => $options,
        ];
    }
}
