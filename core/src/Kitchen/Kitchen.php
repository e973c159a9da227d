<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Climate;
use FeastLadle\Measure\AmountWriter;
use FeastLadle\Measure\Scale;
use FeastLadle\Recipe\Process;
use FeastLadle\Vessel\FillLimits;
use FeastLadle\Vessel\Lifting;
use FeastLadle\Vessel\Vessel;

/** What there is to cook with: fires, vessels, people, cup, scale, air. */
final readonly class Kitchen
{
    /**
     * @param array<string, Burner>         $burners
     * @param array<string, Vessel>         $vessels
     * @param array<string, Person>         $people
     * @param list<Scale>                   $scales  empty: one scale of $scaleStepGrams
     * @param array<string, Tool>           $tools
     * @param array<string, IngredientRule> $rules
     * @param list<OnHand>                  $pantry
     * @param array<string, float>          $prices  of a pack, by ingredient id
     * @param float                         $liftKg  what one person may lift here
     */
    public function __construct(
        public string $name,
        public array $burners,
        public array $vessels,
        public array $people,
        public float $cupMl,
        public float $scaleStepGrams,
        public Climate $climate,
        public float $coldLitres,
        public array $scales = [],
        public array $tools = [],
        public array $rules = [],
        public array $pantry = [],
        public array $prices = [],
        public string $currency = '',
        public float $liftKg = Lifting::DEFAULT_LIMIT_KG,
        public FillLimits $fillLimits = new FillLimits(),
        public float $dryingM2 = 0.0,
    ) {
    }

    public function withBurner(Burner $burner): self
    {
        return $this->with(burners: [...$this->burners, $burner->id => $burner]);
    }

    public function withPerson(Person $person): self
    {
        return $this->with(people: [...$this->people, $person->id => $person]);
    }

    public function withVessel(Vessel $vessel): self
    {
        return $this->with(vessels: [...$this->vessels, $vessel->id => $vessel]);
    }

    public function strongestFire(): ?Burner
    {
        return array_reduce(
            $this->burners,
            static fn (?Burner $a, Burner $b): Burner => null === $a || $b->kilowatts > $a->kilowatts ? $b : $a,
        );
    }

    public function writer(): AmountWriter
    {
        return new AmountWriter($this->cupMl, $this->scaleStepGrams, $this->scales);
    }

    public function toolFor(Process $process): ?Tool
    {
        foreach ($this->tools as $tool) {
            if ($tool->process === $process) {
                return $tool;
            }
        }

        return null;
    }

    /**
     * @param array<string, Burner>|null $burners
     * @param array<string, Vessel>|null $vessels
     * @param array<string, Person>|null $people
     */
    private function with(?array $burners = null, ?array $vessels = null, ?array $people = null): self
    {
        return new self(
            $this->name,
            $burners ?? $this->burners,
            $vessels ?? $this->vessels,
            $people ?? $this->people,
            $this->cupMl,
            $this->scaleStepGrams,
            $this->climate,
            $this->coldLitres,
            $this->scales,
            $this->tools,
            $this->rules,
            $this->pantry,
            $this->prices,
            $this->currency,
            $this->liftKg,
            $this->fillLimits,
            $this->dryingM2,
        );
    }
}
