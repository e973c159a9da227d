<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

use FeastLadle\Heat\Burner;
use FeastLadle\Heat\OpenPot;
use FeastLadle\Syrup\BoilingPoint;
use FeastLadle\Vessel\Vessel;

/** What there is to cook with: fires, vessels, people, cup, scale, air. */
final readonly class Kitchen
{
    /**
     * @param array<string, Burner> $burners
     * @param array<string, Vessel> $vessels
     * @param array<string, Person> $people
     */
    public function __construct(
        public string $name,
        public array $burners,
        public array $vessels,
        public array $people,
        public float $cupMl,
        public float $scaleStepGrams,
        public float $altitudeM,
        public float $roomCelsius,
        public float $coldLitres,
    ) {
    }

    public function withBurner(Burner $burner): self
    {
        return new self($this->name, [...$this->burners, $burner->id => $burner], $this->vessels, $this->people, $this->cupMl, $this->scaleStepGrams, $this->altitudeM, $this->roomCelsius, $this->coldLitres);
    }

    public function withPerson(Person $person): self
    {
        return new self($this->name, $this->burners, $this->vessels, [...$this->people, $person->id => $person], $this->cupMl, $this->scaleStepGrams, $this->altitudeM, $this->roomCelsius, $this->coldLitres);
    }

    public function boilingCelsius(): float
    {
        return BoilingPoint::ofWaterCelsius($this->altitudeM);
    }

    public function openPot(): OpenPot
    {
        return new OpenPot($this->roomCelsius);
    }
}
