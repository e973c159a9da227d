<?php

declare(strict_types=1);

namespace FeastLadle\Flow;

use FeastLadle\Heat\Expansion;
use FeastLadle\Heat\SpecificHeat;
use FeastLadle\Keeping\Thickening;
use FeastLadle\Larder\Larder;
use FeastLadle\Larder\Origin;

/**
 * What is in a vessel: ingredients as they went in, the water that has left them since, the temperature, and pieces if it
 * has been shaped.
 */
final readonly class Contents
{
    /** ml per gram of water at 20 °C */
    private const WATER_ML = 1.002;

    /** What counts as milk, and how much of it matters (kitchen estimates). */
    private const MILK_WATER = 0.65;
    private const MILK_FAT = 0.003;
    private const MUCH = 0.1;

    /** From this share of water on dairy spoils; butter and ghee stand. Kitchen estimate. */
    private const WET_DAIRY = 0.2;

    /** Grain that is hotter has been cooked and holds more water. */
    private const COOKED_CELSIUS = 60.0;

    /** From this share of starch on a thing is grain or flour, which goes on drinking. */
    private const STARCHY = 0.4;

    /** What goes on drinking in all, g per g dry: grain and flour more than pulse, which has taken most in the soak (kitchen estimates). */
    private const GRAIN_DRINKS = 1.4;
    private const PULSE_DRINKS = 1.0;
    private const PULSE_SOAK = 0.9;

    /**
     * @param array<string, float> $grams    by ingredient id, as put in
     * @param float                $waterOff grams of water that have left
     * @param float                $pieces   0 while it is one mass
     */
    private function __construct(public array $grams, public float $waterOff, public float $celsius, public float $pieces)
    {
    }

    public static function nothing(): self
    {
        return new self([], 0.0, 20.0, 0.0);
    }

    public static function of(string $ingredient, float $grams, float $celsius): self
    {
        return new self([$ingredient => $grams], 0.0, $celsius, 0.0);
    }

    public function plus(self $other, Larder $larder): self
    {
        $grams = $this->grams;
        foreach ($other->grams as $id => $amount) {
            $grams[$id] = ($grams[$id] ?? 0.0) + $amount;
        }
        $own = $this->heatCapacityKj($larder);
        $theirs = $other->heatCapacityKj($larder);
        $celsius = $own + $theirs > 0 ? ($own * $this->celsius + $theirs * $other->celsius) / ($own + $theirs) : $this->celsius;

        return new self($grams, $this->waterOff + $other->waterOff, $celsius, $this->pieces + $other->pieces);
    }

    /** What stays when a part of it is gone. */
    public function minus(self $part): self
    {
        $grams = $this->grams;
        foreach ($part->grams as $id => $amount) {
            $grams[$id] = max(0.0, ($grams[$id] ?? 0.0) - $amount);
        }

        return new self($grams, $this->waterOff - $part->waterOff, $this->celsius, max(0.0, $this->pieces - $part->pieces));
    }

    public function share(float $share): self
    {
        return new self(
            array_map(static fn (float $g): float => $g * $share, $this->grams),
            $this->waterOff * $share,
            $this->celsius,
            $this->pieces * $share,
        );
    }

    public function withWaterOff(float $grams): self
    {
        return new self($this->grams, $this->waterOff + $grams, $this->celsius, $this->pieces);
    }

    public function withCelsius(float $celsius): self
    {
        return new self($this->grams, $this->waterOff, $celsius, $this->pieces);
    }

    public function withPieces(float $pieces): self
    {
        return new self($this->grams, $this->waterOff, $this->celsius, $pieces);
    }

    public function massGrams(): float
    {
        return array_sum($this->grams) - $this->waterOff;
    }

    /** Volume in the pot at 20 °C: V = Σ m·v, less the water that has left. */
    public function volumeMl(Larder $larder): float
    {
        $ml = 0.0;
        foreach ($this->grams as $id => $grams) {
            $ml += $grams * $larder->get($id)->weights->potMl;
        }

        return max(0.0, $ml - $this->waterOff * self::WATER_ML);
    }

    /** Volume as it stands hot. */
    public function hotVolumeMl(Larder $larder, float $celsius): float
    {
        return Expansion::volumeMl($this->volumeMl($larder), max(20.0, $celsius));
    }

    public function waterGrams(Larder $larder): float
    {
        $water = 0.0;
        foreach ($this->grams as $id => $grams) {
            $water += $grams * $larder->get($id)->composition->water;
        }

        return $water - $this->waterOff;
    }

    /** Water that stays when it is drained: an ingredient's own, and what a grain or pulse has drunk, soaked or (while hot) cooked. */
    public function heldWaterGrams(Larder $larder): float
    {
        return min($this->canHoldWaterGrams($larder), $this->waterGrams($larder));
    }

    /** Water that its ingredients hold, their own and what they drink, however much there is. */
    public function canHoldWaterGrams(Larder $larder): float
    {
        $held = 0.0;
        foreach ($this->grams as $id => $grams) {
            $ingredient = $larder->get($id);
            $drunk =
                $this->celsius < self::COOKED_CELSIUS
                    ? $ingredient->water->soak
                    : $ingredient->water->cooked ?? $ingredient->water->soak;
            $held += 'water' === $id ? 0.0 : $grams * ($ingredient->composition->water + ($drunk ?? 0.0));
        }

        return $held;
    }

    /** Whether milk, grain or pulse is in it, which do not stand warm for long; syrups and fruit do. */
    public function spoils(Larder $larder): bool
    {
        foreach (array_keys($this->grams) as $id) {
            $thing = $larder->get($id);
            if (
                (Origin::Dairy === $thing->caveats->diet && $thing->composition->water > self::WET_DAIRY)
                || null !== $thing->water->cooked
            ) {
                return true;
            }
        }

        return false;
    }

    /** Above so many °C the weakest of what it is mostly made of splits; null where nothing does. */
    public function splitsAbove(Larder $larder): ?float
    {
        $most = null;
        foreach ($this->grams as $id => $grams) {
            $own = $larder->get($id)->mostCelsius;
            if (null !== $own && $grams > self::MUCH * array_sum($this->grams)) {
                $most = min($most ?? $own, $own);
            }
        }

        return $most;
    }

    /** Whether grain or pulse that wants cooking soft is in it, and water to do it. */
    public function holdsGrain(Larder $larder): bool
    {
        return [] !==
            array_filter(array_keys($this->grams), static fn (string $id): bool => null !== $larder->get($id)->water->cooked)
            && $this->waterGrams($larder) > 0.2 * $this->massGrams();
    }

    /** Whether it is milk, of an animal or a plant, or has so much of it that it climbs and catches. */
    public function isMilky(Larder $larder): bool
    {
        $milk = 0.0;
        foreach ($this->grams as $id => $grams) {
            $is = $larder->get($id)->composition;
            // Fat finely spread in much water; what has little water is butter or nuts.
            $milk += $is->water >= self::MILK_WATER && $is->fat >= self::MILK_FAT ? $grams : 0.0;
        }

        return $milk > self::MUCH * $this->massGrams();
    }

    /** Water that its grain and flour go on drinking in so many minutes of a wait. */
    public function drinksGrams(float $minutes, Larder $larder): float
    {
        $drinks = 0.0;
        foreach ($this->grams as $id => $grams) {
            $is = $larder->get($id);
            $all = ($is->water->soak ?? 0.0) >= self::PULSE_SOAK ? self::PULSE_DRINKS : self::GRAIN_DRINKS;
            $drinks += $is->composition->starch >= self::STARCHY ? Thickening::drunkGrams($grams, $minutes, $all) : 0.0;
        }

        return $drinks;
    }

    public function starchShare(Larder $larder): float
    {
        return array_sum(
            array_map(fn (string $id): float => $this->grams[$id] * $larder->get($id)->composition->starch, array_keys($this->grams)),
        ) / max(1e-9, $this->massGrams());
    }

    /** All that is not water. */
    public function solidsShare(Larder $larder): float
    {
        return 1 - $this->waterGrams($larder) / max(1e-9, $this->massGrams());
    }

    public function fatGrams(Larder $larder): float
    {
        $fat = 0.0;
        foreach ($this->grams as $id => $grams) {
            $fat += $grams * $larder->get($id)->composition->fat;
        }

        return $fat;
    }

    /** Fat that was put in as fat: it can spit and burn, what a nut or a grain holds cannot. */
    public function freeFatGrams(Larder $larder): float
    {
        $fat = 0.0;
        foreach ($this->grams as $id => $grams) {
            $of = $larder->get($id)->composition;
            $fat += $of->isFat() ? $grams * $of->fat : 0.0;
        }

        return $fat;
    }

    public function sugarGrams(Larder $larder): float
    {
        $sugar = 0.0;
        foreach ($this->grams as $id => $grams) {
            $sugar += $grams * $larder->get($id)->composition->sugar;
        }

        return $sugar;
    }

    /** Grams that count as dissolved when it is boiled to a stage. */
    public function syrupSolidsGrams(Larder $larder): float
    {
        $solids = 0.0;
        foreach ($this->grams as $id => $grams) {
            $solids += $grams * $larder->get($id)->composition->syrupSolids();
        }

        return $solids;
    }

    /** By how much further than sugar's its boiling point rises: the mean over what is dissolved. */
    public function riseFactor(Larder $larder): float
    {
        $rise = 0.0;
        foreach ($this->grams as $id => $grams) {
            $composition = $larder->get($id)->composition;
            $rise += $grams * $composition->syrupSolids() * $composition->boilsAs->riseFactor();
        }
        $solids = $this->syrupSolidsGrams($larder);

        return $solids > 0 ? $rise / $solids : 1.0;
    }

    /** Sugar that is not of milk, grain, nut or whole fruit: of sweeteners, honey, syrups and juice, composites included. */
    public function addedSugarGrams(Larder $larder): float
    {
        $sugar = 0.0;
        foreach ($this->grams as $id => $grams) {
            $sugar += $grams * $larder->get($id)->addedSugarShare();
        }

        return $sugar;
    }

    public function heatCapacityKj(Larder $larder): float
    {
        $kj = 0.0;
        foreach ($this->grams as $id => $grams) {
            $kj += ($grams / 1000) * $larder->get($id)->composition->specificHeat();
        }

        return max(0.0, $kj - ($this->waterOff / 1000) * SpecificHeat::WATER);
    }

    /** Water that must go for the level to fall to this share. */
    public function waterToVolumeShare(float $share, Larder $larder): float
    {
        return ($this->volumeMl($larder) * (1 - $share)) / self::WATER_ML;
    }
}
