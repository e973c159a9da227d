<?php

declare(strict_types=1);

namespace App\View;

use App\Service\CookingDay;
use App\Service\OpenFeast;
use FeastLadle\Day\DayState;
use FeastLadle\Day\Happening\DishChanged;
use FeastLadle\Day\Happening\ThingBack;
use FeastLadle\Day\Happening\ThingOut;
use FeastLadle\Day\Heard;
use FeastLadle\Day\Wishes;
use FeastLadle\Feast\Dish;
use FeastLadle\Heat\Burner;
use FeastLadle\Kitchen\Person;
use FeastLadle\Vessel\Vessel;

/** What may be different from what was planned: guests, moments, fires and pots, people, sweets; each as it is known now. */
final readonly class ChangesPage
{
    public function __construct(private CookingDay $day)
    {
    }

    /** @return array<string, mixed> */
    public function of(OpenFeast $open, \DateTimeImmutable $now, ?DayState $state): array
    {
        $events = $this->day->log($open)->until($now);
        $wishes = Wishes::of($open->feast, $events);
        $heard = Heard::of($events);
        $out = $given = [];
        foreach ($events as $event) {
            $what = $event->what;
            if ($what instanceof ThingOut) {
                $out[$what->thing] = null === $what->until || $what->until > $now;
            } elseif ($what instanceof ThingBack) {
                $out[$what->thing] = false;
            } elseif ($what instanceof DishChanged && $what->givenUp) {
                $given[$what->dish] = true;
            }
        }
        $thing = static fn (Burner|Vessel $t): array => ['id' => $t->id, 'name' => $t->name, 'isOut' => $out[$t->id] ?? false];
        $used = [];
        foreach ($state->plan->steps ?? [] as $step) {
            $used += array_fill_keys($step->vessels, true);
        }

        return [
            'groups' => $wishes->groups,
            'moments' => $wishes->feast->moments,
            'things' => [
                ...array_map($thing, array_values($open->kitchen->burners)),
                ...array_map($thing, array_values(array_intersect_key($open->kitchen->vessels, $used))),
            ],
            'people' => array_map(
                static fn (Person $p): array => ['id' => $p->id, 'name' => $p->name, 'isAway' => isset($heard->away[$p->id])],
                array_values($open->kitchen->people),
            ),
            'dishes' => array_map(static fn (Dish $d): array => [
                'id' => $d->id,
                'name' => $d->recipe->name,
                'isGivenUp' => isset($given[$d->id]),
            ], $open->feast->dishes),
        ];
    }
}
