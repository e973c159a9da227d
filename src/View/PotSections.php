<?php

declare(strict_types=1);

namespace App\View;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\PotAlternatives;
use FeastLadle\Amounts\Quantities;
use FeastLadle\Batch\PotChoice;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Timing\StepTimer;
use FeastLadle\Vessel\Lifting;

/**
 * Vessels drawn in section, all to one scale: outline, contents at the fullest moment, the limit, and the level of each step.
 *
 * @phpstan-type Drawn array{run: string, title: string, vessel: string, several: int, width: float, height: float,
 *     outline: string, contents: string, limitY: float, limitHalf: float, levels: list<array{y: float, half: float, step: string,
 *     volume: float}>, fullest: string, fullestMl: float, brimMl: float, percent: float, limitPercent: float, limitReason: string,
 *     reason: string, fat: float|null, perLoad: int|null, loads: int|null, wish: string, options: array<string, string>,
 *     moments: list<array{label: string, contents: string, volume: float, depth: float, celsius: float, kg: float}>, shown: int,
 *     lift: string, liftKg: float, others: list<array{vessel: string, batches: int, minutes: int, chosen: bool}>}
 */
final readonly class PotSections
{
    public function __construct(private Larder $larder)
    {
    }

    /** @return list<array{dish: PlannedDish, pots: list<Drawn>}> */
    public function of(Quantities $quantities, Kitchen $kitchen): array
    {
        $dishes = [];
        $others = new PotAlternatives($kitchen, $this->larder);
        foreach ($quantities->dishes as $planned) {
            $pots = [];
            foreach ($planned->batchPlan->pots as $choice) {
                $pots[] = $this->draw($choice, $planned, $kitchen, $others);
            }
            $dishes[] = ['dish' => $planned, 'pots' => $pots];
        }

        return $dishes;
    }

    /** @return Drawn */
    private function draw(PotChoice $choice, PlannedDish $planned, Kitchen $kitchen, PotAlternatives $others): array
    {
        $shape = $choice->vessel()->shape;
        $height = $shape->heightMm();
        $limitDepth = $shape->depthMm($choice->limitMl());
        $count = \count($choice->vessels);
        $levels = [];
        if (null === $choice->frying) {
            foreach ($choice->run->flows as $flow) {
                $ml = $choice->standsMl($flow);
                $levels[] = [
                    'y' => SectionDrawing::y($shape, $shape->depthMm($ml)),
                    'half' => SectionDrawing::SCALE * $shape->radiusMm($shape->depthMm($ml)),
                    'step' => $flow->step->title,
                    'volume' => $ml,
                ];
            }
        }
        [$moments, $shown] = $this->moments($choice, $count);
        $first = $choice->run->flows[0];
        // As it is timed: a steamer of the kitchen's own may hold another number than its tiers by their area.
        $isLoaded = null !== $choice->frying || null !== $choice->layer($first);
        $loads = $isLoaded ? max(1, (new StepTimer($kitchen, $this->larder))->loads($first, $choice)) : null;
        $pieces = max($first->gives->pieces, $first->taken->pieces);
        $heaviest = max(array_column($moments, 'kg') ?: [0.0]) + $choice->vessel()->emptyKg;
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
            'limitPercent' => 100 * $choice->run->limitShare,
            'limitReason' => $choice->run->limit->reason(),
            'reason' => $choice->reason->value,
            'fat' => $choice->frying?->fatGrams,
            'perLoad' => null === $loads ? null : $choice->frying->piecesPerLoad ?? (int) ceil($pieces / $loads - 1e-9),
            'loads' => $loads,
            'wish' => $planned->dish->pots[$choice->run->id] ?? '',
            'options' => $options,
            'moments' => $moments,
            'shown' => $shown,
            'lift' => Lifting::of($heaviest, $kitchen->rules->liftKg, $choice->run->isHeated())->value,
            'liftKg' => $heaviest,
            'others' => $others->of($planned, $choice),
        ];
    }

    /**
     * @return array{list<array{label: string, contents: string, volume: float, depth: float, celsius: float, kg: float}>,
     *     int} every level it stands at, and which is the fullest
     */
    private function moments(PotChoice $choice, int $count): array
    {
        $shape = $choice->vessel()->shape;
        $moments = [];
        $add = static function (string $label, float $ml, float $celsius, float $grams) use (&$moments, $shape): void {
            $depth = $shape->depthMm($ml);
            $moments[] = [
                'label' => $label,
                'contents' => SectionDrawing::profile($shape, max(0.5, $depth)),
                'volume' => $ml,
                'depth' => $depth,
                'celsius' => $celsius,
                'kg' => $grams / 1000,
            ];
        };
        $shown = 0;
        foreach ($choice->run->flows as $flow) {
            if ($flow->step->id === $choice->run->fullest->step->id) {
                $shown = \count($moments);
            }
            if (null !== $choice->frying && $flow->step->id === $choice->run->frying()?->id) {
                $add(
                    $flow->step->title,
                    $choice->fullestMl,
                    160.0,
                    $choice->frying->fatGrams + $flow->taken->massGrams() / $choice->frying->loads,
                );
                continue;
            }
            $hot = min($flow->peakCelsius, 110.0);
            $add($flow->step->title, $flow->fullestMl / $count, $hot, $flow->taken->massGrams() / $count);
            $end = $flow->gives->hotVolumeMl($this->larder, min($flow->gives->celsius, 110.0)) / $count;
            if (abs($end - $flow->fullestMl / $count) > 0.02 * $end) {
                $add($flow->step->title.' (end)', $end, min($flow->gives->celsius, 110.0), $flow->gives->massGrams() / $count);
            }
        }

        return [$moments, $shown];
    }
}
