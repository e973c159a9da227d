<?php

declare(strict_types=1);

namespace App\View;

use App\Service\CookingDay;
use App\Service\LiveDay;
use App\Service\OpenFeast;
use FeastLadle\Day\DayState;
use FeastLadle\Day\Heard;
use FeastLadle\Day\NobodyLeft;
use FeastLadle\Day\Wishes;
use FeastLadle\Feast\Moment;
use FeastLadle\Feast\MomentKind;
use FeastLadle\Solving\Plan;
use Psr\Clock\ClockInterface;

/** What every screen of the cooking day shows or keeps quiet about, whoever looks at it. */
final readonly class DayScreen
{
    /** From so many minutes before an offering until it is offered nothing sounds, and somebody may say that it was. */
    private const QUIET_MINUTES = 10;

    public function __construct(private CookingDay $day, private LiveDay $live, private ClockInterface $clock)
    {
    }

    /** @return array<string, mixed> */
    public function of(OpenFeast $open, Plan $plan, ?DayState $state): array
    {
        $now = $this->clock->now();
        $events = $this->day->log($open)->until($now);
        $heard = Heard::of($events);
        // A moment may have moved since it was planned.
        $moments = Wishes::of($open->feast, $events)->feast->moments;
        $quiet = [];
        foreach ($moments as $moment) {
            if (MomentKind::Offering === $moment->kind && !isset($heard->offered[$moment->id])) {
                $quiet[$moment->id] = $moment->at->modify('-'.self::QUIET_MINUTES.' minutes');
            }
        }

        return [
            'open' => $open,
            'feast' => $open->feast,
            'plan' => $plan,
            'state' => $state,
            'now' => $now,
            'version' => $this->day->version($open->record),
            'heard' => $heard,
            'quietFrom' => array_values(array_map(static fn (\DateTimeImmutable $from): int => $from->getTimestamp(), $quiet)),
            'toOffer' => array_values(array_filter(
                $moments,
                static fn (Moment $m): bool => isset($quiet[$m->id]) && $quiet[$m->id] <= $now,
            )),
            'declined' => isset($heard->declined[$state->proposal->id ?? '']),
            'nobodyLeft' => null === $state ? [] : (new NobodyLeft($open->feast, $open->kitchen))->of($state, $heard->away),
            'silent' => $this->live->silentSince($open, $plan, $heard),
        ];
    }
}
