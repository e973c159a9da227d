<?php

declare(strict_types=1);

namespace FeastLadle\Batch;

use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Frying;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\PieceMaking;
use FeastLadle\Recipe\Process;
use FeastLadle\Vessel\FillLimit;
use FeastLadle\Vessel\FillLimits;
use FeastLadle\Vessel\Shape;

/** What one pan fries at a time: the fat it takes, pieces a load, and how many loads. */
final readonly class FryingLoad
{
    /** Hot fat, g/ml: 0.92 − 0.00064(T − 20) at 160 °C. */
    private const HOT_FAT_DENSITY = 0.83;

    /** Fat shallower than this share of the wanted depth no longer floats the pieces. */
    private const SHALLOWEST = 0.6;

    /** The level of the fat may fall by this share before it is topped up; kitchen estimate. */
    private const MAY_FALL_BY = 0.15;

    private function __construct(public float $fatGrams, public int $piecesPerLoad, public int $loads, public float $fullestMl)
    {
    }

    /** Fat that must come after the first panful, for so much that the pieces drink. */
    public function topUpGrams(float $drunk, ?float $panful = null): float
    {
        return max(0.0, $drunk - self::MAY_FALL_BY * ($panful ?? $this->fatGrams));
    }

    /** @return self|null null when this pan cannot fry them within its fill limit */
    public static function in(
        Shape $pan,
        StepFlow $flow,
        PieceMaking $piece,
        float $wantedDepthMm,
        Larder $larder,
        FillLimits $limits = new FillLimits(),
    ): ?self {
        $total = (int) ceil($flow->taken->pieces - 1e-9);
        if ($total < 1) {
            return null;
        }
        // A recipe may fry fewer at a time than would fit: they must not touch, or each is turned by hand.
        $told = $flow->step->work->time->loads->pieces ?? 0.0;
        $most = $told >= 1 ? min($total, (int) floor($told + 1e-9)) : $total;
        $pieceKg = $flow->taken->massGrams() / $total / 1000;
        $pieceMl = $flow->taken->volumeMl($larder) / $total;
        $mostMl = $pan->brimfulMl() * $limits->share(FillLimit::DeepFat);
        $depth = min($wantedDepthMm, $pan->heightMm());
        while ($depth >= self::SHALLOWEST * $wantedDepthMm) {
            $fatMl = $pan->volumeMl($depth);
            $fatKg = ($fatMl * self::HOT_FAT_DENSITY) / 1000;
            try {
                $footprint = (\M_PI / 4) * ($piece->widthMm / 1000) ** 2;
                if ($pan->surfaceM2($depth) < $footprint) {
                    return null;
                }
                // Drops lie in one layer; else what does not touch and does not chill the fat.
                if (null !== $piece->tool) {
                    $most = min($most, max(1, (int) floor($piece->tool->loadGrams($pan->surfaceM2($depth)) / (1000 * $pieceKg))));
                }
                // In little fat the pan itself keeps the heat: what lies side by side, as on a griddle.
                $perLoad = min(
                    $most,
                    Process::ShallowFry === $flow->step->process
                        ? max(1, (int) floor((LayerLoad::GRIDDLE_SHARE * $pan->surfaceM2($depth)) / $footprint))
                        : Frying::piecesPerLoad($pan->surfaceM2($depth), $footprint, $fatKg, $pieceKg),
                );
            } catch (\DomainException) {
                return null;
            }
            if ($fatMl + $perLoad * $pieceMl <= $mostMl) {
                return new self($fatKg * 1000, $perLoad, (int) ceil($total / $perLoad), $fatMl + $perLoad * $pieceMl);
            }
            $depth -= 1.0;
        }

        return null;
    }
}
