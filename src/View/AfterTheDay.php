<?php

declare(strict_types=1);

namespace App\View;

use App\Service\CookingDay;
use App\Service\LiveDay;
use App\Service\OpenFeast;
use FeastLadle\Day\Happening\BowlIn;
use FeastLadle\Day\PortionNow;
use FeastLadle\Solving\Plan;
use Psr\Clock\ClockInterface;

/** What the log of a day tells for next time: what was made and is left, how much of each reserve went in. */
final readonly class AfterTheDay
{
    public function __construct(private CookingDay $day, private LiveDay $live, private ClockInterface $clock)
    {
    }

    /**
     * @return array{portions: array<string, PortionNow>, reserves: list<array{step: string, thing: string, grams: float, of: float}>}
     */
    public function of(OpenFeast $open, Plan $plan): array
    {
        $events = $this->day->log($open)->until($this->clock->now());
        if ([] === $events) {
            return ['portions' => [], 'reserves' => []];
        }
        $in = [];
        foreach ($events as $event) {
            if ($event->what instanceof BowlIn && $event->what->reserve) {
                $in[$event->what->step][$event->what->bowl] = $event->what->grams;
            }
        }
        $reserves = [];
        foreach ($plan->steps as $step) {
            foreach (isset($in[$step->key->id()]) ? $step->bowls : [] as $bowl) {
                $number = BowlNumber::of($step, $bowl);
                if ($bowl->reserve && null !== $number && \array_key_exists($number, $in[$step->key->id()])) {
                    $reserves[] = [
                        'step' => $step->step->title,
                        'thing' => $bowl->ingredient->name,
                        'grams' => $in[$step->key->id()][$number] ?? $bowl->grams,
                        'of' => $bowl->grams,
                    ];
                }
            }
        }

        return ['portions' => $this->live->told($open, $plan)->portions ?? [], 'reserves' => $reserves];
    }
}
