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
    public const GRIDDLE_SHARE = 0.6;

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
        if (!self::isLaid($flow)) {
            return null;
        }
        $pieces = self::pieces($flow);
        $most = min($pieces, self::piecesIn($vessel, $flow->step->process, (float) $flow->pieceWidthMm));

        return new self($most, 0 === $most ? 0 : (int) ceil($pieces / $most));
    }

    /** Whether a piece is wider than the griddle, or than one tier gives room for. */
    public function isTooWide(): bool
    {
        return 0 === $this->piecesPerLoad;
    }

    /** Whether its pieces lie side by side, and somebody said how wide they are. */
    public static function isLaid(StepFlow $flow): bool
    {
        return Growth::Load === $flow->step->work->time->growth
            && \in_array($flow->step->process, [Process::Steam, Process::Griddle], true)
            && null !== $flow->pieceWidthMm
            && self::pieces($flow) > 0;
    }

    private static function pieces(StepFlow $flow): int
    {
        return (int) ceil(max($flow->taken->pieces, $flow->gives->pieces) - 1e-9);
    }

    public static function piecesIn(Vessel $vessel, Process $process, float $widthMm): int
    {
        $footprint = (\M_PI / 4) * ($widthMm / 1000) ** 2;
        if (Process::Steam === $process) {
            $tier = $vessel->shape->surfaceM2($vessel->shape->heightMm() / 2);

            return self::sideBySide(true, $tier, $widthMm, $vessel->tiers);
        }
        $flat = $vessel->shape->surfaceM2(0.0);
        $area = $flat > 0.0 ? $flat : $vessel->shape->surfaceM2(self::SHALLOW_FAT_MM);
        if ($area >= $footprint - 1e-12 && self::GRIDDLE_SHARE * $area < $footprint) {
            return 1;
        }

        return self::sideBySide(false, $area, $widthMm);
    }

    /** Pieces that lie side by side on so much room: steam comes by, or each can be turned. */
    public static function sideBySide(bool $isSteamed, float $areaM2, float $widthMm, int $tiers = 1): int
    {
        $footprint = (\M_PI / 4) * ($widthMm / 1000) ** 2;

        return $tiers * (int) floor((($isSteamed ? self::TIER_SHARE : self::GRIDDLE_SHARE) * $areaM2) / $footprint + 1e-9);
    }
}
