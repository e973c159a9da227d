<?php

declare(strict_types=1);

namespace FeastLadle\Batch;

use FeastLadle\Flow\StepFlow;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Process;
use FeastLadle\Vessel\Vessel;

/** Pieces that lie side by side, in one layer on a griddle or in each tier of a steamer: how many at a time, and how many loads. */
final readonly class LayerLoad
{
    /** Of a tier, so that steam comes by; of a griddle, so that they can be turned. */
    private const TIER_SHARE = 0.55;
    private const GRIDDLE_SHARE = 0.6;

    /** A round bottom is as wide as shallow fat makes it. */
    private const SHALLOW_FAT_MM = 8.0;

    /** Put on, turned and taken off, seconds for each piece by one cook; kitchen estimate. */
    public const TURNING_SECONDS = 9.0;

    private function __construct(public int $piecesPerLoad, public int $loads)
    {
    }

    /** @return self|null null where pieces do not lie side by side, or nobody said how wide they are */
    public static function in(Vessel $vessel, StepFlow $flow): ?self
    {
        $width = $flow->pieceWidthMm;
        $pieces = (int) ceil(max($flow->taken->pieces, $flow->gives->pieces) - 1e-9);
        if (null === $width || $pieces < 1 || !self::isLaid($flow)) {
            return null;
        }
        // Wider than the griddle is wide: it hangs over the edge, one at a time.
        $most = min($pieces, max(1, self::piecesIn($vessel, $flow->step->process, $width)));

        return new self($most, (int) ceil($pieces / $most));
    }

    public static function isLaid(StepFlow $flow): bool
    {
        return Growth::Load === $flow->step->work->time->growth
            && \in_array($flow->step->process, [Process::Steam, Process::Griddle], true);
    }

    public static function piecesIn(Vessel $vessel, Process $process, float $widthMm): int
    {
        $footprint = (\M_PI / 4) * ($widthMm / 1000) ** 2;
        if (Process::Steam === $process) {
            $tier = $vessel->shape->surfaceM2($vessel->shape->heightMm() / 2);

            return $vessel->tiers * (int) floor((self::TIER_SHARE * $tier) / $footprint + 1e-9);
        }
        $flat = $vessel->shape->surfaceM2(0.0);
        $area = $flat > 0.0 ? $flat : $vessel->shape->surfaceM2(self::SHALLOW_FAT_MM);
        if ($area >= $footprint - 1e-12 && self::GRIDDLE_SHARE * $area < $footprint) {
            return 1;
        }

        return (int) floor((self::GRIDDLE_SHARE * $area) / $footprint + 1e-9);
    }
}
