<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Flame;
use FeastLadle\Heat\FuelUse;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Solving\Plan;

/** A fire that burns for a while at one flame: for a step, for what is kept hot, or for other work. */
final readonly class Burning
{
    /** At other work a fire burns on medium; kitchen estimate. */
    private const OTHER_WORK = Flame::Medium;

    private function __construct(
        public Burner $burner,
        public Flame $flame,
        public \DateTimeImmutable $from,
        public \DateTimeImmutable $until,
    ) {
    }

    /** @return list<self> */
    public static function of(Plan $plan, Kitchen $kitchen): array
    {
        $all = [
            ...array_map(static fn ($s): array => [$s->burner, $s->flame, $s->start, $s->end], $plan->steps),
            ...array_map(static fn ($k): array => [$k->burner, Flame::Low, $k->from, $k->until], array_values($plan->kept)),
            ...array_map(static fn ($j): array => [$j->burner, self::OTHER_WORK, $j->start, $j->end], $plan->jobs),
        ];
        $burns = [];
        foreach ($all as [$fire, $flame, $from, $until]) {
            $burner = null === $fire ? null : $kitchen->burners[$fire] ?? null;
            if (null !== $burner && $until > $from) {
                $burns[] = new self($burner, $flame, $from, $until);
            }
        }

        return $burns;
    }

    public function minutes(): float
    {
        return ($this->until->getTimestamp() - $this->from->getTimestamp()) / 60;
    }

    /** Kilograms, or kWh. */
    public function amount(): float
    {
        return FuelUse::amount($this->burner->fuel, $this->burner->kilowatts, $this->flame->share(), $this->minutes());
    }
}
