<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Larder\Larder;
use FeastLadle\Tray\Ball;
use FeastLadle\Vessel\FillLimit;
use FeastLadle\Vessel\Vessel;
use FeastLadle\Vessel\VesselKind;

/** From what a dish is served: large vessels first, and the smallest that takes the rest. Pieces lie in one layer. */
final class ServingFit
{
    /** Round pieces on a platter leave gaps. */
    private const COVERED = 0.75;

    /** Pieces lie on what is shallower, what is ladled stands in what is deeper. */
    private const SHALLOW_MM = 100.0;

    /**
     * @param list<Vessel> $vessels serving vessels that are free
     *
     * @return array{used: list<Vessel>, needed: float, unit: string, short: float} needed and short in ml, or in pieces
     */
    public static function of(PlannedDish $planned, array $vessels, Larder $larder): array
    {
        $pieces = $planned->demand->portion->countsPieces;
        $contents = $planned->batchPlan->ledger->flow($planned->dish->recipe->lastStep)->gives;
        $times = $planned->dish->recipe->last()->work->times($planned->batchPlan->batches);
        $needed = $pieces ? $planned->demand->total : $contents->volumeMl($larder) * $times;
        $width = 0.0;
        foreach ($planned->dish->recipe->steps as $step) {
            $width = max(
                $width,
                null === $step->gives->pieces
                    ? 0.0
                    : ($step->gives->pieces->widthMm > 0
                        ? $step->gives->pieces->widthMm
                        : Ball::diameterMm($step->gives->pieces->grams, 1.2)),
            );
        }
        $holds = static fn (Vessel $v): float => $pieces
            ? floor((self::COVERED * $v->shape->surfaceM2($v->shape->heightMm()) * 1e6) / ((\M_PI / 4) * max(15.0, $width) ** 2))
            : FillLimit::Rest->share() * $v->shape->brimfulMl();
        $free = array_values(
            array_filter(
                $vessels,
                static fn (Vessel $v): bool => VesselKind::Serving === $v->kind && $pieces === $v->shape->heightMm() <= self::SHALLOW_MM,
            ),
        );
        usort($free, static fn (Vessel $a, Vessel $b): int => $holds($b) <=> $holds($a));
        $used = [];
        $rest = $needed;
        while ($rest > 1e-6 && [] !== $free) {
            $last = null;
            foreach ($free as $i => $vessel) {
                $last = $holds($vessel) >= $rest ? $i : $last;
            }
            $next = $last ?? 0;
            $used[] = $free[$next];
            $rest -= $holds($free[$next]);
            array_splice($free, $next, 1);
        }

        return ['used' => $used, 'needed' => $needed, 'unit' => $pieces ? 'pieces' : 'ml', 'short' => max(0.0, $rest)];
    }
}
