<?php

declare(strict_types=1);

namespace FeastLadle\Timing;

use FeastLadle\Batch\PotChoice;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Flame;
use FeastLadle\Heat\Reducing;
use FeastLadle\Heat\ThinAir;
use FeastLadle\Heat\WarmSoak;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Step;
use FeastLadle\Recipe\Take;
use FeastLadle\Words\Sentence;

/** How long a step takes: its law with this pot on this burner, or its own minutes and how they grow. */
final readonly class StepTimer
{
    /** Net power is known to about a fifth. */
    public const LAW_MIN = 0.8;
    public const LAW_MAX = 1.25;

    public FireTimes $onFire;

    public CoolingTimes $cooling;

    public function __construct(private Kitchen $kitchen, private Larder $larder)
    {
        $this->onFire = new FireTimes($kitchen, $larder);
        $this->cooling = new CoolingTimes($kitchen, $larder);
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
        if (null === $burner || null === $pot || Flame::None === $flow->step->work->flame) {
            return $this->on($flow, $pot, $scale, null, $account);
        }
        $fire = $this->fire($flow, $pot, $scale, $burner);
        if ($fire->flame !== $flow->step->work->flame) {
            $account?->say('The recipe says {word} flame. That is too little for this pot on this fire: {flame}.', [
                'word' => new Sentence($flow->step->work->flame->value),
                'flame' => new Sentence($fire->flame->value),
            ]);
        }

        return $this->on($flow, $pot, $scale, $fire, $account);
    }

    /**
     * How high the fire is set: as the recipe says; higher where that is too little here to get hot, to reduce near the boil, or to
     * give in the recipe's own minutes what it takes, as far as the food stands it.
     */
    private function flame(StepFlow $flow, PotChoice $pot, float $scale, Burner $burner): Flame
    {
        $flame = $flow->step->work->flame;
        while (null !== ($higher = $flame->raised()) && !$this->isEnough($flow, $pot, $scale, new Fire($burner, $flame))) {
            if (
                $this->onFire->netKw($flow, $pot, new Fire($burner, $higher)) <=
                $this->onFire->netKw($flow, $pot, new Fire($burner, $flame))
            ) {
                break;
            }
            $flame = $higher;
        }

        return $flame;
    }

    public function fire(StepFlow $flow, PotChoice $pot, float $scale, Burner $burner): Fire
    {
        return new Fire($burner, $this->flame($flow, $pot, $scale, $burner));
    }

    private function isEnough(StepFlow $flow, PotChoice $pot, float $scale, Fire $fire): bool
    {
        $boil = $this->kitchen->climate->boilingCelsius();

        return match ($flow->step->work->time->growth) {
            Growth::BoilOff => $this->onFire->settlesAt($flow, $pot, $fire) >= $boil - Reducing::NEAR_THE_BOIL_K,
            Growth::WarmUp => null !== $this->onFire->warmUp($flow, $pot, $fire, $flow->warmsTo($boil), null),
            Growth::Fixed, Growth::Mass, Growth::Load => $this->boilsWhatItGives($flow)
                || $flow->step->process->friesInFat()
                || $this->onFire->leastMinutes($flow, $pot, $fire) <= $this->byRecipe($flow, $pot, $scale, null, null)->exact,
            default => true,
        };
    }

    /** Whether the water that leaves follows the fire, and not the other way round. */
    private function boilsWhatItGives(StepFlow $flow): bool
    {
        return [] !== array_filter($flow->step->takes, static fn (Take $t): bool => $t->boilsOff > 0);
    }

    private function on(StepFlow $flow, ?PotChoice $pot, float $scale, ?Fire $fire, ?TimeAccount $account): ?Minutes
    {
        $time = $flow->step->work->time;
        if (Process::Pressure === $flow->step->process && null !== $pot && null !== $fire) {
            return (new PressureTime($this->kitchen, $this->larder))->minutes(
                $flow,
                $pot,
                $this->onFire->leastMinutes($flow, $pot, $fire),
                $account,
            );
        }
        if (\in_array($time->growth, [Growth::Fixed, Growth::Warmth, Growth::Mass, Growth::Load], true)) {
            $minutes = $this->byRecipe($flow, $pot, $scale, $fire, $account);

            return null === $fire || null === $pot ? $minutes : $this->notShorterThanItsHeat($minutes, $flow, $pot, $fire, $account);
        }
        if (Growth::Piece === $time->growth) {
            return HandTime::byPiece($flow, $account);
        }
        $likely = match (true) {
            null === $pot => null,
            Growth::Cooling === $time->growth => $this->cooling->minutes($flow, $pot, $account),
            null === $fire => null,
            Growth::WarmUp === $time->growth => $this->onFire->warmUp(
                $flow,
                $pot,
                $fire,
                $flow->warmsTo($this->kitchen->climate->boilingCelsius()),
                $account,
            ),
            Growth::BoilOff === $time->growth => $this->onFire->boilOff($flow, $pot, $fire, $account),
            default => $this->onFire->roast($flow, $pot, $scale, $fire, $account),
        };
        if (null === $likely) {
            return null;
        }
        $account?->say('The law is known to about a fifth: {least} to {most} min.', [
            'least' => round(self::LAW_MIN * $likely),
            'most' => round(self::LAW_MAX * $likely),
        ]);
        $minutes = Minutes::of(self::LAW_MIN * $likely, $likely, self::LAW_MAX * $likely);

        return Growth::Cooling === $time->growth ? $minutes : $this->raised($minutes, $likely, $account);
    }

    private function notShorterThanItsHeat(Minutes $told, StepFlow $flow, PotChoice $pot, Fire $fire, ?TimeAccount $account): ?Minutes
    {
        if ($flow->step->process->friesInFat()) {
            return $told;
        }
        if (!$this->onFire->holdsHeat($flow, $pot, new Fire($fire->burner, Flame::High))) {
            return null;
        }
        $least = $this->onFire->leastMinutes($flow, $pot, $fire);
        if (null === $least || $least <= $told->exact) {
            return null === $least ? null : $this->raised($told, $least, $account);
        }
        $account?->say(
            'Heating it and what leaves as steam take {heat} kJ; at {net} kW that is {minutes} min, longer than the recipe\'s own.',
            [
                'heat' => round($flow->heatKj($this->larder)),
                'net' => round($this->onFire->netKw($flow, $pot, $fire, $account), 2),
                'minutes' => round($least),
            ],
        );

        $longer = Minutes::of(max((float) $told->min, self::LAW_MIN * $least), $least, max((float) $told->max, self::LAW_MAX * $least));

        return $this->raised($longer, $least, $account);
    }

    private function raised(Minutes $minutes, float $least, ?TimeAccount $account): Minutes
    {
        $raised = $minutes->holdingHeatOf($least);
        if ($raised->likely > $minutes->likely) {
            $account?->say('In whole minutes, and none of its heat left out: {minutes} min.', ['minutes' => $raised->likely]);
        }

        return $raised;
    }

    /**
     * Minutes at the simmer by the recipe alone, without those that its heat takes on some fire.
     *
     * @return Minutes|null null for a step with a law of its own
     */
    public function told(StepFlow $flow, ?PotChoice $pot, float $scale): ?Minutes
    {
        return \in_array($flow->step->work->time->growth, [Growth::Fixed, Growth::Warmth, Growth::Mass, Growth::Load], true)
            ? $this->byRecipe($flow, $pot, $scale, null, null)
            : null;
    }

    /** The recipe's own minutes, and how they grow. */
    private function byRecipe(StepFlow $flow, ?PotChoice $pot, float $scale, ?Fire $fire, ?TimeAccount $account): Minutes
    {
        $time = $flow->step->work->time;
        $factor = match ($time->growth) {
            Growth::Mass => max(0.05, $scale) ** $time->power,
            Growth::Load => (float) $this->loads($flow, $pot),
            Growth::Warmth => WarmSoak::factor($this->kitchen->climate->roomCelsius),
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
            Growth::Warmth => $account?->say(
                'By the recipe {likely} min at 25 °C, {least} to {most}; at {celsius} °C {factor} times as long, and never over {hours} h.',
                [
                    'likely' => $time->likelyMinutes,
                    'least' => $time->minMinutes,
                    'most' => $time->maxMinutes,
                    'celsius' => round($this->kitchen->climate->roomCelsius, 1),
                    'factor' => round($factor, 2),
                    'hours' => WarmSoak::mostMinutes($this->kitchen->climate->roomCelsius) / 60,
                ],
            ),
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
                ['celsius' => round($this->kitchen->climate->boilingCelsius(), 1), 'factor' => round($softening, 2)],
            );
        }
        $more = 0.0;
        if (Growth::Load === $time->growth) {
            $heating = null === $fire ? 0.0 : $this->onFire->heatingFat($flow, $pot, $fire);
            $recovery = null === $fire ? 0.0 : $this->onFire->recovery($flow, $pot, $fire);
            // Wiped, dried or turned between two loads; seconds are summed before they are rounded.
            $between =
                ($factor - 1) *
                max($flow->step->betweenLoads(), $this->kitchen->toolFor($flow->step->process)->restMinutes ?? 0.0);
            $more = $heating + $recovery + $between;
            if ($heating > 0) {
                $account?->say(
                    'The fat takes {minutes} min to be as hot as it must; what the pieces cool it costs {recovery} min more over all '.
                        'loads.',
                    ['minutes' => round($heating), 'recovery' => round($recovery, 1)],
                );
            }
            $pieces = $flow->step->gives->pieces;
            if (null !== $pieces?->tool) {
                $account?->say('Through holes of {hole} mm fall drops of {width} mm, {grams} g each; they lie in one layer.', [
                    'hole' => $pieces->tool->holeMm,
                    'width' => round($pieces->widthMm, 1),
                    'grams' => round($pieces->grams, 2),
                ]);
            }
            if ($between > 0) {
                $account?->say('Between two loads {each} min for wiping, turning or rest: {minutes} min.', [
                    'each' => round($between / max(1, $factor - 1), 1),
                    'minutes' => round($between),
                ]);
            }
        }
        $factor *= $softening;
        $hands = HandTime::turning($flow, $pot, $account);

        $likely = $time->likelyMinutes * $factor + $more;
        $most = $time->maxMinutes * $factor + $more;
        if (Growth::Warmth === $time->growth) {
            // After that it sours.
            $most = max($likely, min($most, WarmSoak::mostMinutes($this->kitchen->climate->roomCelsius)));
        }

        return Minutes::of(max($hands, $time->minMinutes * $factor + $more), max($hands, $likely), max($hands, $most));
    }

    /** How much longer (or, in a big pot that stays hot, shorter) grain takes to get soft here than by the recipe. */
    private function softening(StepFlow $flow, ?PotChoice $pot, float $scale): float
    {
        return match (true) {
            !$flow->softens || Growth::Load === $flow->step->work->time->growth => 1.0,
            Process::Steep === $flow->step->process => null === $pot
                ? 1.0
                : SteepingTime::factor(
                    $flow->step->work->time->likelyMinutes,
                    $flow->taken,
                    $pot->vessel(),
                    $scale,
                    $this->kitchen,
                    $this->larder,
                ),
            $this->isAtTheOpenBoil($flow->step) => ThinAir::factor($this->kitchen->climate->boilingCelsius()),
            default => 1.0,
        };
    }

    private function isAtTheOpenBoil(Step $step): bool
    {
        return Flame::None !== $step->work->flame && \in_array($step->process, [Process::Boil, Process::Simmer], true);
    }

    /** How many times the pan, jar or tier is filled. */
    public function loads(StepFlow $flow, ?PotChoice $pot): int
    {
        $pieces = max($flow->gives->pieces, $flow->taken->pieces);
        $own =
            null === $flow->step->work->time->loads
                ? null
                : $this->kitchen->toolFor($flow->step->process)?->loads($flow->taken->massGrams(), $pieces);

        return $pot->frying->loads ??
            ($own ??
                ($pot?->layer($flow)->loads ?? ($flow->step->work->time->loads?->number($flow->taken->massGrams(), $pieces) ?? 1)));
    }
}
