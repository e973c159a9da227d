<?php

declare(strict_types=1);

namespace FeastLadle\Flow;

use FeastLadle\Larder\Larder;
use FeastLadle\Syrup\SugarRise;

/** What really happened in a step, beside what its recipe says: more or less of a thing, spilt, gone further, weighed at its end. */
final readonly class Really
{
    /**
     * @param array<string, float> $more        grams beyond what the recipe takes, by ingredient; negative where less went in
     * @param float                $kept        share of all that is still there
     * @param float|null           $volumeShare of what stood there at its start, to which it was boiled down
     * @param float|null           $rise        °C above boiling water that a syrup got to
     * @param float|null           $gives       grams that were there at the end
     * @param float                $steam       grams of water that had left what came beyond the plan
     */
    private function __construct(
        public array $more = [],
        public float $kept = 1.0,
        public ?float $volumeShare = null,
        public ?float $rise = null,
        public ?float $gives = null,
        public float $steam = 0.0,
    ) {
    }

    public static function asPlanned(): self
    {
        return new self();
    }

    public function plus(string $ingredient, float $grams): self
    {
        return $this->but(more: [$ingredient => ($this->more[$ingredient] ?? 0.0) + $grams] + $this->more);
    }

    /** @param float $times of what was planned: −1 where none of it went in, 1 where it went in twice */
    public function more(Contents $planned, float $times): self
    {
        $more = $this->more;
        foreach ($planned->grams as $id => $grams) {
            $more[$id] = ($more[$id] ?? 0.0) + $times * $grams;
        }

        return $this->but(more: $more, steam: $this->steam + $times * $planned->waterOff);
    }

    /** @param float $share from 0 to 1 */
    public function spilt(float $share): self
    {
        return $this->but(kept: $this->kept * (1 - $share));
    }

    public function downTo(float $volumeShare): self
    {
        return $this->but(volumeShare: $volumeShare);
    }

    public function risenBy(float $kelvin): self
    {
        return $this->but(rise: $kelvin);
    }

    public function weighed(float $grams): self
    {
        return $this->but(gives: $grams);
    }

    /** @param array<string, float>|null $more */
    private function but(
        ?array $more = null,
        ?float $kept = null,
        ?float $volumeShare = null,
        ?float $rise = null,
        ?float $gives = null,
        ?float $steam = null,
    ): self {
        return new self(
            $more ?? $this->more,
            $kept ?? $this->kept,
            $volumeShare ?? $this->volumeShare,
            $rise ?? $this->rise,
            $gives ?? $this->gives,
            $steam ?? $this->steam,
        );
    }

    /** Both, where this is a share of all that the other is told of; what only one says, it says. */
    public function and(self $other, float $share = 1.0): self
    {
        $more = $this->more;
        foreach ($other->more as $id => $grams) {
            $more[$id] = ($more[$id] ?? 0.0) + $share * $grams;
        }

        return new self(
            $more,
            $this->kept * (1 - $share * (1 - $other->kept)),
            $other->volumeShare ?? $this->volumeShare,
            $other->rise ?? $this->rise,
            $other->gives ?? $this->gives,
            $this->steam + $share * $other->steam,
        );
    }

    /** What stood there then; nothing is less than none. */
    public function in(Contents $planned, float $roomCelsius, Larder $larder): Contents
    {
        $taken = $planned;
        foreach ($this->more as $id => $grams) {
            $taken = $taken->plus(Contents::of($id, max($grams, -($taken->grams[$id] ?? 0.0)), $roomCelsius), $larder);
        }

        return $taken->withWaterOff(max($this->steam, -$taken->waterOff))->share($this->kept);
    }

    /** Grams of water that went off where it is known to what it came; else null. */
    public function waterOff(Contents $taken, Larder $larder): ?float
    {
        if (null !== $this->rise && $taken->syrupSolidsGrams($larder) > 0) {
            $left = SugarRise::waterLeftGrams($taken->syrupSolidsGrams($larder), max(0.1, $this->rise) / $taken->riseFactor($larder));

            return max(0.0, $taken->waterGrams($larder) - $left);
        }

        return null === $this->volumeShare ? null : $taken->waterToVolumeShare($this->volumeShare, $larder);
    }

    /** What was weighed at the end; what is missing from hot contents is steam, from cold ones a part of all. */
    public function out(Contents $gives, bool $isHeated, Larder $larder): Contents
    {
        if (null === $this->gives || $gives->massGrams() <= 0) {
            return $gives;
        }
        $missing = $gives->massGrams() - $this->gives;
        if ($isHeated && $missing < $gives->waterGrams($larder)) {
            return $gives->withWaterOff($missing);
        }

        return $gives->share($this->gives / $gives->massGrams());
    }
}
