<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Batch\PotChoice;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\BoilOff;
use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Cooling;
use FeastLadle\Heat\Flame;
use FeastLadle\Heat\Frying;
use FeastLadle\Heat\Roast;
use FeastLadle\Heat\ThinAir;
use FeastLadle\Heat\WarmUp;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\TargetKind;

/** How long a step takes: its law with this pot on this burner, or its own minutes and how they grow. */
final readonly class StepTimer
{
    /** W/m·K of a set sweet. */
    private const SLAB_CONDUCTIVITY = 0.35;

    /** The burner a recipe's own roasting minutes are told for: a domestic gas ring of 1.75 kW. */
    public const REFERENCE_KW = 1.75 * 0.45;

    /** Net power is known to about a fifth. */
    private const LAW_MIN = 0.8;
    private const LAW_MAX = 1.25;

    private const COLD_SPACE_CELSIUS = 4.0;

    private const FRYING_CELSIUS = 155.0;

    public function __construct(private Kitchen $kitchen, private Larder $larder)
    {
    }

    /**
     * @param float       $scale  the batch as a multiple of the recipe as written
     * @param Burner|null $burner null for a step without a flame
     *
     * @return Minutes|null null when it never gets there: this fire is too weak for this pot, or the room too warm
     */
    public function minutes(StepFlow $flow, ?PotChoice $pot, float $scale, ?Burner $burner): ?Minutes
    {
        $step = $flow->step;
        $time = $step->time;
        $factor = match ($time->growth) {
            Growth::Fixed => 1.0,
            Growth::Mass => max(0.05, $scale) ** $time->power,
            Growth::Load => (float) $this->loads($flow, $pot),
            default => null,
        };
        if (null !== $factor) {
            $factor *= $this->softening($flow, $pot, $scale);
            $recovery = Growth::Load === $time->growth && null !== $burner ? $this->heatingFat($flow, $pot, $burner) + $this->recovery($flow, $pot, $burner) : 0.0;
            // Wiped, dried or turned between two loads; seconds are summed before they are rounded.
            $recovery += ($factor - 1) * max($time->loads->betweenMinutes ?? 0.0, $this->kitchen->toolFor($step->process)->restMinutes ?? 0.0) * (Growth::Load === $time->growth ? 1 : 0);

            return Minutes::of($time->minMinutes * $factor + $recovery, $time->likelyMinutes * $factor + $recovery, $time->maxMinutes * $factor + $recovery);
        }
        if (Growth::Piece === $time->growth) {
            $pieces = $flow->gives->pieces > 0 ? $flow->gives->pieces : $flow->taken->pieces;
            $likely = $pieces * $time->secondsEach / max(1, $step->attention->people) / 60;

            return Minutes::of(0.8 * $likely, $likely, 1.4 * $likely);
        }
        $likely = null === $pot ? null : match ($time->growth) {
            Growth::WarmUp => $this->warmUp($flow, $pot, $burner, min($step->target->value, $this->kitchen->boilingCelsius())),
            Growth::BoilOff => $this->boilOff($flow, $pot, $burner),
            Growth::Roast => $this->roast($flow, $pot, $scale, $burner),
            Growth::Cooling => $this->cooling($flow, $pot),
        };

        return null === $likely ? null : Minutes::of(self::LAW_MIN * $likely, $likely, self::LAW_MAX * $likely);
    }

    /** How much longer (or, in a big pot that stays hot, shorter) grain takes to get soft here than by the recipe. */
    private function softening(StepFlow $flow, ?PotChoice $pot, float $scale): float
    {
        return match (true) {
            !$flow->softens || Growth::Load === $flow->step->time->growth => 1.0,
            Process::Steep === $flow->step->process => null === $pot ? 1.0 : SteepingTime::factor($flow->step->time->likelyMinutes, $flow->taken, $pot->vessel(), $scale, $this->kitchen, $this->larder),
            \in_array($flow->step->process, [Process::Boil, Process::Simmer], true) && Flame::None !== $flow->step->flame => ThinAir::factor($this->kitchen->boilingCelsius()),
            default => 1.0,
        };
    }

    /** How many times the pan, jar or tier is filled. */
    public function loads(StepFlow $flow, ?PotChoice $pot): int
    {
        $pieces = max($flow->gives->pieces, $flow->taken->pieces);
        $own = null === $flow->step->time->loads ? null : $this->kitchen->toolFor($flow->step->process)?->loads($flow->taken->massGrams(), $pieces);

        return $pot->frying->loads ?? $own ?? $flow->step->time->loads?->number($flow->taken->massGrams(), max($flow->gives->pieces, $flow->taken->pieces)) ?? 1;
    }

    private function warmUp(StepFlow $flow, PotChoice $pot, ?Burner $burner, float $toCelsius): ?float
    {
        if (null === $burner) {
            return null;
        }
        $shape = $pot->vessel()->shape;
        $depth = $shape->depthMm($flow->taken->volumeMl($this->larder));
        $capacity = $flow->taken->heatCapacityKj($this->larder) + $pot->vessel()->emptyKg * $pot->vessel()->metal->specificHeat();

        return WarmUp::minutes($capacity, $flow->taken->celsius, $toCelsius, $this->netKw($flow, $pot, $burner), $shape->surfaceM2($depth), $this->kitchen->openPot());
    }

    private function boilOff(StepFlow $flow, PotChoice $pot, ?Burner $burner): ?float
    {
        if (null === $burner) {
            return null;
        }
        $warming = $this->warmUp($flow, $pot, $burner, $this->kitchen->boilingCelsius());
        $boiling = BoilOff::minutes($flow->waterOff / 1000, $this->netKw($flow, $pot, $burner));

        return null === $warming || null === $boiling ? null : $warming + $boiling;
    }

    private function roast(StepFlow $flow, PotChoice $pot, float $scale, ?Burner $burner): ?float
    {
        if (null === $burner) {
            return null;
        }
        $fatKg = 0.0;
        foreach ($flow->taken->grams as $id => $grams) {
            $fatKg += $grams / 1000 * $this->larder->get($id)->composition->fat;
        }
        $dryKg = $flow->taken->massGrams() / 1000 - $fatKg;
        $moisture = $flow->step->leaving->waterShare;
        $energy = Roast::energyKj($dryKg, $fatKg, $moisture, $flow->taken->celsius);
        $referenceKw = self::REFERENCE_KW * max(Flame::Low->share(), $flow->step->flame->share());
        $browning = Roast::browningMinutes($flow->step->time->likelyMinutes, $energy / max(0.01, $scale), $referenceKw);

        return $browning + $energy / $this->netKw($flow, $pot, $burner) / 60;
    }

    private function cooling(StepFlow $flow, PotChoice $pot): ?float
    {
        $step = $flow->step;
        $around = Process::Chill === $step->process ? self::COLD_SPACE_CELSIUS : $this->kitchen->roomCelsius;
        $target = TargetKind::Celsius === $step->target->kind ? $step->target->value : $around + 5;
        $count = \count($pot->vessels);
        $shape = $pot->vessel()->shape;
        $ml = $flow->taken->volumeMl($this->larder) / $count;
        $kg = $flow->taken->massGrams() / $count / 1000;
        $specificHeat = $flow->taken->heatCapacityKj($this->larder) / $count / max(0.001, $kg);
        $depthM = $shape->depthMm($ml) / 1000;
        if (Process::Set === $step->process) {
            $tau = $this->slabTau($flow, $pot);
        } else {
            $surface = $shape->surfaceM2($depthM * 1000);
            $walls = 2 * \M_PI * $shape->radiusMm($depthM * 500) / 1000 * $depthM;
            $tau = Cooling::liquidTauMinutes($kg, $specificHeat, $surface + $walls, $step->time->medium->filmWm2K());
        }

        return Cooling::minutes($tau, $flow->taken->celsius, $target, $around);
    }

    /** Minutes in which a slab in its tray comes nearer to the room by the factor e. */
    public function slabTau(StepFlow $flow, PotChoice $pot): float
    {
        $count = \count($pot->vessels);
        $ml = $flow->taken->volumeMl($this->larder) / $count;
        $kg = $flow->taken->massGrams() / $count / 1000;
        $depthM = $pot->vessel()->shape->depthMm($ml) / 1000;

        return Cooling::slabTauMinutes($kg / max(1e-6, $ml / 1e6), $flow->taken->heatCapacityKj($this->larder) / $count / max(0.001, $kg), $depthM, $depthM, self::SLAB_CONDUCTIVITY, $flow->step->time->medium->filmWm2K());
    }

    /** Bringing the fat to frying heat before the first load. */
    private function heatingFat(StepFlow $flow, ?PotChoice $pot, Burner $burner): float
    {
        if (null === $pot?->frying) {
            return 0.0;
        }
        $from = $this->kitchen->roomCelsius;
        $specificHeat = 1.93 + 0.003 * ($from + self::FRYING_CELSIUS) / 2;
        $capacity = $pot->frying->fatGrams / 1000 * $specificHeat + $pot->vessel()->emptyKg * $pot->vessel()->metal->specificHeat();

        return WarmUp::minutes($capacity, $from, self::FRYING_CELSIUS, $this->netKw($flow, $pot, $burner), 0.0, null) ?? 0.0;
    }

    /** Waiting for the fat to be hot again, over all loads. */
    private function recovery(StepFlow $flow, ?PotChoice $pot, Burner $burner): float
    {
        $frying = $pot?->frying;
        if (null === $frying || $flow->taken->pieces < 1) {
            return 0.0;
        }
        $pieceKg = $flow->taken->massGrams() / $flow->taken->pieces / 1000;
        $heat = Frying::heatKj($frying->piecesPerLoad, $pieceKg, $flow->taken->celsius, $flow->step->leaving->waterShare);

        return $frying->loads * Frying::recoveryMinutes($heat, $this->netKw($flow, $pot, $burner), $flow->step->time->likelyMinutes);
    }

    /** Power in kW that reaches the food, under what it stands at the heated base. */
    public function netKw(StepFlow $flow, PotChoice $pot, Burner $burner): float
    {
        $shape = $pot->vessel()->shape;
        $depth = $shape->depthMm(max($flow->taken->volumeMl($this->larder), $pot->frying->fullestMl ?? 0.0));

        return $flow->step->process->heatCap()->limit($burner->netKw($flow->step->flame), $shape->heatedBaseM2($depth, $burner->ringDiameterMm / 2));
    }
}
