<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Climate;
use FeastLadle\Measure\Scale;
use FeastLadle\Recipe\Process;
use FeastLadle\Vessel\Vessel;

/** What there is to cook with: fires, vessels, people, cup, scale, air. */
final readonly class Kitchen
{
    /**
     * @param array<string, Burner> $burners
     * @param array<string, Vessel> $vessels
     * @param array<string, Person> $people
     * @param array<string, Tool>   $tools
     */
    public function __construct(
        public string $name,
        public array $burners,
        public array $vessels,
        public array $people,
        public Climate $climate,
        public Measures $measures,
        public Storeroom $storeroom,
        public array $tools = [],
        public HouseRules $rules = new HouseRules(),
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

    public function toolFor(Process $process): ?Tool
    {
        foreach ($this->tools as $tool) {
            if ($tool->process === $process) {
                return $tool;
            }
        }

        return null;
    }

    /** @return list<non-empty-list<Vessel>> a great kitchen has a dozen pots that are alike: what is worked out for one holds for all */
    public function alikeVessels(): array
    {
        return self::alike($this->vessels, static fn (Vessel $a, Vessel $b): bool => $a->isLike($b));
    }

    /** @return list<non-empty-list<Burner>> */
    public function alikeBurners(): array
    {
        return self::alike($this->burners, static fn (Burner $a, Burner $b): bool => $a->isLike($b));
    }

    /**
     * @template T
     *
     * @param array<string, T>     $things
     * @param \Closure(T, T): bool $isLike
     *
     * @return list<non-empty-list<T>>
     */
    private static function alike(array $things, \Closure $isLike): array
    {
        $alike = [];
        foreach ($things as $thing) {
            foreach ($alike as $k => $group) {
                if ($isLike($group[0], $thing)) {
                    $alike[$k][] = $thing;
                    continue 2;
                }
            }
            $alike[] = [$thing];
        }

        return array_values($alike);
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
            $this->climate,
            $this->measures,
            $this->storeroom,
            $this->tools,
            $this->rules,
        );
    }
}
