<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\GuestsChanged;
use FeastLadle\Day\Happening\MomentChanged;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\Moment;
use FeastLadle\Portion\Group;

/** What is wished, as the day has it: moments that have moved, more or fewer guests. */
final readonly class Wishes
{
    /**
     * @param Feast       $feast  with its moments where they are now; what is cooked is still for those who were counted
     * @param list<Group> $groups as they are counted now
     */
    private function __construct(public Feast $feast, public array $groups, public bool $isMoved)
    {
    }

    /** @param list<Event> $events in order */
    public static function of(Feast $feast, array $events): self
    {
        $moments = $counts = [];
        foreach ($events as $event) {
            $what = $event->what;
            if ($what instanceof GuestsChanged) {
                $counts[$what->group] = $what->count;
            }
            $at = $what instanceof MomentChanged ? self::at($feast, $what) : null;
            if ($what instanceof MomentChanged && null !== $at) {
                $moments[$what->moment] = $at;
            }
        }
        $moved = array_map(
            static fn (Moment $m): Moment => isset($moments[$m->id]) ? $m->movedTo($moments[$m->id]) : $m,
            $feast->moments,
        );
        usort($moved, static fn (Moment $a, Moment $b): int => $a->at <=> $b->at);

        return new self(
            [] === $moments ? $feast : $feast->withMoments($moved),
            array_map(static fn (Group $g): Group => isset($counts[$g->id]) ? $g->counting($counts[$g->id]) : $g, $feast->groups),
            [] !== $moments,
        );
    }

    /** Where it is said to be now; an open one where it is likely. */
    private static function at(Feast $feast, MomentChanged $what): ?\DateTimeImmutable
    {
        if ($what->open) {
            return $what->likely;
        }
        if (null === $what->time) {
            return null;
        }
        foreach ($feast->moments as $moment) {
            if ($moment->id === $what->moment) {
                // Days are counted from the feast's date; where no day is said it stays on its own.
                [$date, $days] = null === $what->day || null === $feast->date
                    ? [$moment->at->setTimezone($feast->timeZone)->format('Y-m-d'), 0]
                    : [$feast->date, $what->day];

                return (new \DateTimeImmutable($date.' '.$what->time, $feast->timeZone))->modify($days.' days');
            }
        }

        return null;
    }
}
