<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Feast\Feast;
use FeastLadle\Flow\CoolsHere;
use FeastLadle\Flow\Exemption;
use FeastLadle\Keeping\TwoClocks;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\Storeroom;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\ServingWay;
use FeastLadle\Solving\Plan;
use FeastLadle\Vessel\Vessel;

/**
 * How each dish is held: what is served cold in the cold space, what is served hot or warm in the kitchen's
 * warm place, else on a fire that is free as long, else in its
 * own vessel at the warmth of the room.
 */
final class Holds
{
    /** A low flame or a hot place keeps food so hot; above the edge of the band, below the boil. */
    private const KEPT_HOT_CELSIUS = 70.0;

    /** @var array<string, list<array{float, float}>> minutes in which a fire is not free, by burner */
    private array $taken = [];

    /** @var list<array{float, float, float}> from, until, litres in the warm place */
    private array $warm = [];

    private function __construct(private readonly Kitchen $kitchen, private readonly Larder $larder)
    {
    }

    /** @return list<HeldDish> by the minute from which they are held */
    public static function of(Feast $feast, Plan $plan, Walk $walk, Kitchen $kitchen, Larder $larder): array
    {
        $holds = new self($kitchen, $larder);
        foreach ($plan->steps as $step) {
            if (null !== $step->burner) {
                $holds->taken[$step->burner][] = [(float) $step->startMinute, (float) $step->endMinute];
            }
        }
        foreach ($plan->jobs as $job) {
            if (null !== $job->burner) {
                $holds->taken[$job->burner][] = [(float) $job->startMinute, (float) $job->endMinute];
            }
        }
        $held = [];
        foreach ($walk->steps() as $step) {
            $dish = $step->planned->dish;
            if (!$dish->dish->isBase && $step->planned->step->id === $dish->dish->recipe->lastStep) {
                $until = $walk->lastEatenAt($step, $feast);
                $minute = ($until->getTimestamp() - $plan->origin->getTimestamp()) / 60;
                $held[] = $holds->held($dish, $step, max((float) $step->planned->endMinute, (float) $minute));
            }
        }

        return $held;
    }

    private function held(PlannedDish $dish, StandingStep $last, float $until): HeldDish
    {
        $recipe = $dish->dish->recipe;
        $exempt = Exemption::of($last->gives, $recipe, [] !== $last->readings, $this->larder);
        $vessel = $this->vesselOf($last);
        $place = ServingWay::Cold === $recipe->serving ? Place::Cold : Place::Room;
        $readings = $this->readings($last, $vessel, $until, $place);
        $fire = null;
        if (
            null === $exempt
            && \in_array($recipe->serving, [ServingWay::Hot, ServingWay::Warm], true)
            && $last->gives->celsius >= TwoClocks::HOT_CELSIUS
            && end($readings)->celsius < TwoClocks::HOT_CELSIUS
        ) {
            $from = (float) $last->planned->endMinute;
            if ($this->goesIntoTheWarm($last, $from, $until)) {
                $place = Place::Warm;
                $readings = [
                    $readings[0],
                    new Reading($until, min($last->gives->celsius, $this->kitchen->storeroom->warmCelsius)),
                ];
            } elseif (null !== ($fire = $this->freeFire($from, $until))) {
                $this->taken[$fire][] = [$from, $until];
                $place = Place::Fire;
                $kept = min($last->gives->celsius, self::KEPT_HOT_CELSIUS);
                $readings = [$readings[0], new Reading($until, $kept)];
            }
        }
        $all = [...$last->readings, ...$readings];

        return new HeldDish($last, $vessel, $place, $fire, $readings, [] === $last->readings ? 0.0 : Waiting::bandMinutes($all), $exempt);
    }

    /** Whether the kitchen's warm place keeps it hot, and has room for it beside all that stands there in the time. */
    private function goesIntoTheWarm(StandingStep $last, float $from, float $until): bool
    {
        $store = $this->kitchen->storeroom;
        $litres = $last->gives->volumeMl($this->larder) / 1000;
        foreach ($this->warm as [$others, $end, $volume]) {
            $litres += $others < $until && $end > $from ? $volume : 0.0;
        }
        if ($store->warmCelsius < TwoClocks::HOT_CELSIUS || $litres > $store->warmLitres) {
            return false;
        }
        $this->warm[] = [$from, $until, $last->gives->volumeMl($this->larder) / 1000];

        return true;
    }

    /** @return non-empty-list<Reading> */
    private function readings(StandingStep $last, ?Vessel $vessel, float $until, Place $place): array
    {
        $around = Place::Cold === $place ? Storeroom::COLD_CELSIUS : $this->kitchen->climate->roomCelsius;
        $from = (float) $last->planned->endMinute;
        $tau = (new CoolsHere($this->larder))->tauMinutes($last->gives, $vessel);
        $end = $around + ($last->gives->celsius - $around) * exp(-($until - $from) / $tau);

        return [
            new Reading($from, $last->gives->celsius),
            ...Readings::between($from, $last->gives->celsius, $until, $end, $around),
            new Reading($until, $end),
        ];
    }

    /** The one it was last in; what is dished up stays in the vessel it came from until it is eaten. */
    private function vesselOf(StandingStep $step): ?Vessel
    {
        if ([] !== $step->planned->vessels) {
            return $this->kitchen->vessels[$step->planned->vessels[0]];
        }
        $from = null;
        $grams = 0.0;
        foreach ($step->enters as $entering) {
            if (null !== $entering->from && $entering->what->massGrams() > $grams) {
                [$from, $grams] = [$entering->from, $entering->what->massGrams()];
            }
        }

        return null === $from ? null : $this->vesselOf($from);
    }

    private function freeFire(float $from, float $until): ?string
    {
        foreach (array_keys($this->kitchen->burners) as $burner) {
            $free = true;
            foreach ($this->taken[$burner] ?? [] as [$start, $end]) {
                $free = $free && ($end <= $from || $start >= $until);
            }
            if ($free) {
                return $burner;
            }
        }

        return null;
    }
}
