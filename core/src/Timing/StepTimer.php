<?php

declare(strict_types=1);

namespace FeastLadle\Timing;

use FeastLadle\Batch\PotChoice;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\BoilOff;
use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Cooling;
use FeastLadle\Heat\Flame;
use FeastLadle\Heat\Frying;
use FeastLadle\Heat\OpenPot;
use FeastLadle\Heat\Roast;
use FeastLadle\Heat\ThinAir;
use FeastLadle\Heat\WarmUp;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Step;
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

    /** Share of the net power that an open pot may lose at the end of its warming before a cook puts the lid on. */
    private const LID_FROM = 0.5;

    private const COLD_SPACE_CELSIUS = 4.0;

    private const FRYING_CELSIUS = 155.0;

    public function __construct(private Kitchen $kitchen, private Larder $larder)
    {
    }

    /**
     * @param float            $scale   the batch as a multiple of the recipe as written
     * @param Burner|null      $burner  null for a step without a flame
     * @param TimeAccount|null $account is told how the minutes come about
     *
     * @return Minutes|null null when it never gets there: this fire is too weak for this pot, or the room too warm
     */
    public function minutes(StepFlow $flow, ?PotChoice $pot, float $scale, ?Burner $burner, ?TimeAccount $account = null): ?Minutes
    {
        $time = $flow->step->time;
        if (\in_array($time->growth, [Growth::Fixed, Growth::Mass, Growth::Load], true)) {
            return $this->byRecipe($flow, $pot, $scale, $burner, $account);
        }
        if (Growth::Piece === $time->growth) {
            return $this->byPiece($flow, $account);
        }
        $likely =
            null === $pot
                ? null
                : match ($time->growth) {
                    Growth::WarmUp => $this->warmUp(
                        $flow,
                        $pot,
                        $burner,
                        min($flow->step->target->value, $this->kitchen->boilingCelsius()),
                        $account,
                    ),
                    Growth::BoilOff => $this->boilOff($flow, $pot, $burner, $account),
                    Growth::Roast => $this->roast($flow, $pot, $scale, $burner, $account),
                    Growth::Cooling => $this->cooling($flow, $pot, $account),
                };
        if (null !== $likely) {
            $account?->say('The law is known to about a fifth: {least} to {most} min.', [
                'least' => round(self::LAW_MIN * $likely),
                'most' => round(self::LAW_MAX * $likely),
            ]);
        }

        return null === $likely ? null : Minutes::of(self::LAW_MIN * $likely, $likely, self::LAW_MAX * $likely);
    }

    /** The recipe's own minutes, and how they grow. */
    private function byRecipe(StepFlow $flow, ?PotChoice $pot, float $scale, ?Burner $burner, ?TimeAccount $account): Minutes
    {
        $time = $flow->step->time;
        $factor = match ($time->growth) {
            Growth::Mass => max(0.05, $scale) ** $time->power,
            Growth::Load => (float) $this->loads($flow, $pot),
            default => 1.0,
        };
        match ($time->growth) {
            Growth::Mass => $account?->say(
                'By the recipe {likely} min, {least} to {most}. {scale} times as much takes {scale} to the power {power}, so {factor} '.
                    'times as long.',
                [
                    'likely' => $time->likelyMinutes,
                    'least' => $time->minMinutes,
                    'most' => $time->maxMinutes,
                    'scale' => round($scale, 2),
                    'power' => $time->power,
                    'factor' => round($factor, 2),
                ],
            ),
            Growth::Load => $account?->say('By the recipe {likely} min a load, {least} to {most}; × {loads}.', [
                'likely' => $time->likelyMinutes,
                'least' => $time->minMinutes,
                'most' => $time->maxMinutes,
                'loads' => $factor,
            ]),
            default => $account?->say('By the recipe {likely} min, {least} to {most}, whatever the amount.', [
                'likely' => $time->likelyMinutes,
                'least' => $time->minMinutes,
                'most' => $time->maxMinutes,
            ]),
        };
        $softening = $this->softening($flow, $pot, $scale);
        if (abs($softening - 1) > 0.005) {
            $account?->say(
                Process::Steep === $flow->step->process
                    ? 'Off the flame this pot cools by its own mass and surface: the grain is soft in {factor} times the minutes.'
                    : 'Water boils at {celsius} °C here, so grain takes 2^((100 − {celsius})/10) = {factor} times as long.',
                ['celsius' => round($this->kitchen->boilingCelsius(), 1), 'factor' => round($softening, 2)],
            );
        }
        $more = 0.0;
        if (Growth::Load === $time->growth) {
            $heating = null === $burner ? 0.0 : $this->heatingFat($flow, $pot, $burner);
            $recovery = null === $burner ? 0.0 : $this->recovery($flow, $pot, $burner);
            // Wiped, dried or turned between two loads; seconds are summed before they are rounded.
            $between =
                ($factor - 1) *
                max($time->loads->betweenMinutes ?? 0.0, $this->kitchen->toolFor($flow->step->process)->restMinutes ?? 0.0);
            $more = $heating + $recovery + $between;
            if ($heating > 0) {
                $account?->say(
                    'The fat takes {minutes} min to be as hot as it must; what the pieces cool it costs {recovery} min more over all '.
                        'loads.',
                    ['minutes' => round($heating), 'recovery' => round($recovery, 1)],
                );
            }
            if ($between > 0) {
                $account?->say('Between two loads {each} min for wiping, turning or rest: {minutes} min.', [
                    'each' => round($between / max(1, $factor - 1), 1),
                    'minutes' => round($between),
                ]);
            }
        }
        $factor *= $softening;

        return Minutes::of(
            $time->minMinutes * $factor + $more,
            $time->likelyMinutes * $factor + $more,
            $time->maxMinutes * $factor + $more,
        );
    }

    private function byPiece(StepFlow $flow, ?TimeAccount $account): Minutes
    {
        $pieces = $flow->gives->pieces > 0 ? $flow->gives->pieces : $flow->taken->pieces;
        $people = max(1, $flow->step->attention->people);
        $likely = ($pieces * $flow->step->time->secondsEach) / $people / 60;
        $account?->say('{pieces} pieces × {seconds} s ÷ {people} at it = {minutes} min.', [
            'pieces' => floor($pieces + 1e-6),
            'seconds' => $flow->step->time->secondsEach,
            'people' => $people,
            'minutes' => round($likely, 1),
        ]);

        return Minutes::of(0.8 * $likely, $likely, 1.4 * $likely);
    }

    /** How much longer (or, in a big pot that stays hot, shorter) grain takes to get soft here than by the recipe. */
    private function softening(StepFlow $flow, ?PotChoice $pot, float $scale): float
    {
        return match (true) {
            !$flow->softens || Growth::Load === $flow->step->time->growth => 1.0,
            Process::Steep === $flow->step->process => null === $pot
                ? 1.0
                : SteepingTime::factor(
                    $flow->step->time->likelyMinutes,
                    $flow->taken,
                    $pot->vessel(),
                    $scale,
                    $this->kitchen,
                    $this->larder,
                ),
            $this->isAtTheOpenBoil($flow->step) => ThinAir::factor($this->kitchen->boilingCelsius()),
            default => 1.0,
        };
    }

    private function isAtTheOpenBoil(Step $step): bool
    {
        return Flame::None !== $step->flame && \in_array($step->process, [Process::Boil, Process::Simmer], true);
    }

    /** How many times the pan, jar or tier is filled. */
    public function loads(StepFlow $flow, ?PotChoice $pot): int
    {
        $pieces = max($flow->gives->pieces, $flow->taken->pieces);
        $own =
            null === $flow->step->time->loads
                ? null
                : $this->kitchen->toolFor($flow->step->process)?->loads($flow->taken->massGrams(), $pieces);

        return $pot->frying->loads ??
            ($own ??
                ($flow->step->time->loads?->number($flow->taken->massGrams(), max($flow->gives->pieces, $flow->taken->pieces)) ?? 1));
    }

    private function warmUp(StepFlow $flow, PotChoice $pot, ?Burner $burner, float $toCelsius, ?TimeAccount $account): ?float
    {
        if (null === $burner) {
            return null;
        }
        $shape = $pot->vessel()->shape;
        $depth = $shape->depthMm($flow->taken->volumeMl($this->larder));
        $capacity = $flow->taken->heatCapacityKj($this->larder) + $pot->vessel()->emptyKg * $pot->vessel()->metal->specificHeat();

        $lid = $this->wantsLid($flow, $pot, $burner);
        $minutes = WarmUp::minutes(
            $capacity,
            $flow->taken->celsius,
            $toCelsius,
            $this->netKw($flow, $pot, $burner, $account),
            $shape->surfaceM2($depth),
            $this->kitchen->openPot(),
            $lid ? OpenPot::LID_ON : OpenPot::UNCOVERED,
        );
        if ($toCelsius <= $flow->taken->celsius) {
            $account?->say('It is as hot as it must be already.');
        } else {
            $account?->say(
                $lid
                    ? 'Food and pot hold {capacity} kJ a degree; from {from} to {to} °C under a lid, as the open surface of {surface} '.
                        'm² would lose up to {loss} kW, {minutes} min.'
                    : 'Food and pot hold {capacity} kJ a degree; from {from} to {to} °C, the open surface of {surface} m² losing up '.
                        'to {loss} kW, {minutes} min.',
                [
                    'capacity' => round($capacity, 1),
                    'from' => round($flow->taken->celsius),
                    'to' => round($toCelsius),
                    'surface' => round($shape->surfaceM2($depth), 3),
                    'loss' => round($this->kitchen->openPot()->lossKwPerM2($toCelsius) * $shape->surfaceM2($depth), 2),
                    'minutes' => round($minutes ?? 0.0),
                ],
            );
        }

        return $minutes;
    }

    /** Whether the lid belongs on until it is hot: open it would lose most of what the fire gives, and it does not climb. */
    public function wantsLid(StepFlow $flow, PotChoice $pot, Burner $burner): bool
    {
        $to = match ($flow->step->time->growth) {
            Growth::WarmUp => min($flow->step->target->value, $this->kitchen->boilingCelsius()),
            Growth::BoilOff => $this->kitchen->boilingCelsius(),
            default => null,
        };
        if (null === $to || $to <= $flow->taken->celsius || !$flow->heatCap($this->larder)->maybeCovered()) {
            return false;
        }
        $shape = $pot->vessel()->shape;
        $loss = $this->kitchen->openPot()->lossKwPerM2($to) * $shape->surfaceM2($shape->depthMm($flow->taken->volumeMl($this->larder)));

        return $loss > self::LID_FROM * $this->netKw($flow, $pot, $burner);
    }

    private function boilOff(StepFlow $flow, PotChoice $pot, ?Burner $burner, ?TimeAccount $account): ?float
    {
        if (null === $burner) {
            return null;
        }
        $warming = $this->warmUp($flow, $pot, $burner, $this->kitchen->boilingCelsius(), $account);
        $boiling = BoilOff::minutes($flow->waterOff / 1000, $this->netKw($flow, $pot, $burner));
        $account?->say('{water} of water boil off: × 2257 kJ a kg ÷ {net} kW = {minutes} min.', [
            'water' => AmountWriter::weight($flow->waterOff),
            'net' => round($this->netKw($flow, $pot, $burner), 2),
            'minutes' => round($boiling ?? 0.0),
        ]);

        return null === $warming || null === $boiling ? null : $warming + $boiling;
    }

    private function roast(StepFlow $flow, PotChoice $pot, float $scale, ?Burner $burner, ?TimeAccount $account): ?float
    {
        if (null === $burner) {
            return null;
        }
        $fatKg = 0.0;
        foreach ($flow->taken->grams as $id => $grams) {
            $fatKg += ($grams / 1000) * $this->larder->get($id)->composition->fat;
        }
        $dryKg = $flow->taken->massGrams() / 1000 - $fatKg;
        $moisture = $flow->step->leaving->waterShare;
        $energy = Roast::energyKj($dryKg, $fatKg, $moisture, $flow->taken->celsius);
        $referenceKw = self::REFERENCE_KW * max(Flame::Low->share(), $flow->step->flame->share());
        $browning = Roast::browningMinutes($flow->step->time->likelyMinutes, $energy / max(0.01, $scale), $referenceKw);

        $net = $this->netKw($flow, $pot, $burner, $account);
        $account?->say(
            'Browning takes {browning} min in any pan; heating and drying what is in it {energy} kJ, ÷ {net} kW = {minutes} min.',
            [
                'browning' => round($browning, 1),
                'energy' => round($energy),
                'net' => round($net, 2),
                'minutes' => round($energy / $net / 60, 1),
            ],
        );

        return $browning + $energy / $net / 60;
    }

    private function cooling(StepFlow $flow, PotChoice $pot, ?TimeAccount $account): ?float
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
            $walls = ((2 * \M_PI * $shape->radiusMm($depthM * 500)) / 1000) * $depthM;
            $tau = Cooling::liquidTauMinutes($kg, $specificHeat, $surface + $walls, $step->time->medium->filmWm2K());
        }

        $account?->say('From {from} to {to} °C with {around} °C around it: every {tau} min it comes nearer by the factor e.', [
            'from' => round($flow->taken->celsius),
            'to' => round($target),
            'around' => round($around),
            'tau' => round($tau),
        ]);

        return Cooling::minutes($tau, $flow->taken->celsius, $target, $around);
    }

    /** Minutes in which a slab in its tray comes nearer to the room by the factor e. */
    public function slabTau(StepFlow $flow, PotChoice $pot): float
    {
        $count = \count($pot->vessels);
        $ml = $flow->taken->volumeMl($this->larder) / $count;
        $kg = $flow->taken->massGrams() / $count / 1000;
        $depthM = $pot->vessel()->shape->depthMm($ml) / 1000;

        return Cooling::slabTauMinutes(
            $kg / max(1e-6, $ml / 1e6),
            $flow->taken->heatCapacityKj($this->larder) / $count / max(0.001, $kg),
            $depthM,
            $depthM,
            self::SLAB_CONDUCTIVITY,
            $flow->step->time->medium->filmWm2K(),
        );
    }

    /** Bringing the fat to frying heat before the first load. */
    private function heatingFat(StepFlow $flow, ?PotChoice $pot, Burner $burner): float
    {
        if (null === $pot?->frying) {
            return 0.0;
        }
        $from = $this->kitchen->roomCelsius;
        $specificHeat = 1.93 + (0.003 * ($from + self::FRYING_CELSIUS)) / 2;
        $capacity = ($pot->frying->fatGrams / 1000) * $specificHeat + $pot->vessel()->emptyKg * $pot->vessel()->metal->specificHeat();

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
    public function netKw(StepFlow $flow, PotChoice $pot, Burner $burner, ?TimeAccount $account = null): float
    {
        $shape = $pot->vessel()->shape;
        $depth = $shape->depthMm(max($flow->taken->volumeMl($this->larder), $pot->frying->fullestMl ?? 0.0));

        $base = $shape->heatedBaseM2($depth, $burner->ringDiameterMm / 2);
        $gives = $burner->netKw($flow->step->flame);
        $cap = $flow->heatCap($this->larder);
        $net = $cap->limit($gives, $base);
        $account?->say('{fire}: {kilowatts} kW × {efficiency} that reach the pot × {flame} for the flame = {gives} kW.', [
            'fire' => $burner->name,
            'kilowatts' => $burner->kilowatts,
            'efficiency' => $burner->fuel->efficiency(),
            'flame' => $flow->step->flame->share(),
            'gives' => round($gives, 2),
        ]);
        if ($net < $gives - 1e-9) {
            $account?->say('The food stands {cap} kW on a m² before it catches; on {base} m² of heated base that is {net} kW.', [
                'cap' => $cap->kwPerM2(),
                'base' => round($base, 3),
                'net' => round($net, 2),
            ]);
        }

        return $net;
    }
}
