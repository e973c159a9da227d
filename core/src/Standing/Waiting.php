<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

use FeastLadle\Flow\CoolsHere;
use FeastLadle\Flow\Exemption;
use FeastLadle\Heat\Evaporation;
use FeastLadle\Keeping\TwoClocks;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Kitchen\Storeroom;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Process;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Vessel\Vessel;
use FeastLadle\Vessel\VesselKind;

/** Food that stands between two steps, in the vessel of the first. */
final readonly class Waiting
{
    /**
     * @param string|null             $output      which of several things the step gave
     * @param Vessel|null             $vessel      in which it stands; null where the step has none
     * @param non-empty-list<Reading> $readings    from its beginning to its end
     * @param float                   $bandMinutes of these minutes between hot and cold
     * @param float                   $lossGrams   water that goes off meanwhile
     */
    private function __construct(
        public StandingStep $of,
        public ?string $output,
        public PlannedStep $for,
        public ?Vessel $vessel,
        public Place $place,
        public bool $lid,
        public array $readings,
        public float $bandMinutes,
        public float $lossGrams,
    ) {
    }

    /** @param bool $inJars a base goes into jars of its own, and its vessel is free */
    public static function between(
        StandingStep $of,
        ?string $output,
        PlannedStep $for,
        Kitchen $kitchen,
        Larder $larder,
        bool $inJars = false,
    ): self {
        $vessel = $inJars ? null : $kitchen->vessels[$of->planned->vessels[0] ?? ''] ?? null;
        $count = max(1, \count($of->planned->vessels));
        $place = match ($of->planned->step->process) {
            Process::Chill => Place::Cold,
            Process::Dry => Place::Drying,
            default => Place::Room,
        };
        $around = Place::Cold === $place ? Storeroom::COLD_CELSIUS : $kitchen->climate->roomCelsius;
        $from = (float) $of->planned->endMinute;
        $to = (float) $for->startMinute;
        $food = $of->gives;
        // All that the step gave cools together, in its vessel.
        $tau = (new CoolsHere($larder))->tauMinutes($food, $vessel, $count);
        $end = $around + ($food->celsius - $around) * exp(-($to - $from) / $tau);
        $readings = [
            new Reading($from, $food->celsius),
            ...Readings::between($from, $food->celsius, $to, $end, $around),
            new Reading($to, $end),
        ];
        $lid = VesselKind::Tray !== $vessel?->kind && $food->waterGrams($larder) > Exemption::DRY_TO * $food->massGrams();
        $surface = null === $vessel ? 0.0 : $vessel->shape->surfaceM2($vessel->shape->depthMm($food->volumeMl($larder) / $count)) * $count;
        $loss = 0.0;
        foreach ($readings as $i => $reading) {
            if ($i > 0 && $lid) {
                $mean = ($reading->celsius + $readings[$i - 1]->celsius) / 2;
                $minutes = $reading->minute - $readings[$i - 1]->minute;
                $loss += Evaporation::gramsUnderLid($mean, $surface, $minutes, $kitchen->climate);
            }
        }

        return new self($of, $output, $for, $vessel, $place, $lid, $readings, self::bandMinutes($readings), $loss);
    }

    public function celsius(): float
    {
        return $this->readings[\count($this->readings) - 1]->celsius;
    }

    /** @param non-empty-list<Reading> $readings */
    public static function bandMinutes(array $readings): float
    {
        return (new TwoClocks())->countedMinutes(
            array_map(static fn (Reading $r): array => ['minute' => $r->minute, 'celsius' => $r->celsius], $readings),
        );
    }
}
