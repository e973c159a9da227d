<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Feast\Feast;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Stores\StoreLine;

/** What a feast asks for on a day: things to get, steps to begin; where it asks nothing, the next day on which it does. */
final readonly class Today
{
    /**
     * @param \DateTimeImmutable $day   that asks for something, today or later, in the feast's own zone
     * @param list<StoreLine>    $get   what is bought or ordered on it, or should have been before
     * @param list<PlannedStep>  $steps that begin on it, in their order
     */
    private function __construct(public \DateTimeImmutable $day, public bool $isToday, public array $get, public array $steps)
    {
    }

    /** Steps after the first. */
    public function moreSteps(): int
    {
        return max(0, \count($this->steps) - 1);
    }

    /** @return self|null null when nothing is left to be done */
    public static function of(Feast $feast, Plan $plan, \DateTimeImmutable $now): ?self
    {
        $dayOf = static fn (\DateTimeImmutable $at): string => $at->setTimezone($feast->timeZone)->format('Y-m-d');
        $today = $dayOf($now);
        if ($today > $dayOf($feast->lastMoment()->at)) {
            return null;
        }
        $get = $steps = [];
        foreach ($plan->quantities->stores as $line) {
            if ($line->packs > 0) {
                // A date without a time: what should have been got before is got today.
                $get[max($today, $line->getOn->format('Y-m-d'))][] = $line;
            }
        }
        foreach ($plan->steps as $step) {
            if ($step->end > $now) {
                $steps[max($today, $dayOf($step->start))][] = $step;
            }
        }
        $days = array_map(strval(...), [...array_keys($get), ...array_keys($steps)]);
        if ([] === $days) {
            return null;
        }
        $day = min($days);

        return new self(new \DateTimeImmutable($day, $feast->timeZone), $day === $today, $get[$day] ?? [], $steps[$day] ?? []);
    }
}
