<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\Withdrawn;
use FeastLadle\Words\CannotBe;

/** All that was said of a day: a set of events, in whatever order they came. */
final readonly class DayLog
{
    /** @param array<string, Event> $events by id, in the order in which they happened */
    private function __construct(private array $events)
    {
    }

    /**
     * @param list<Event> $events the same one any number of times
     *
     * @throws CannotBe when one id stands for two different events
     */
    public static function of(array $events): self
    {
        $known = [];
        foreach ($events as $event) {
            if (($known[$event->id] ?? $event)->content !== $event->content) {
                throw new CannotBe(\sprintf('"%s" stands for two different events.', $event->id));
            }
            $known[$event->id] ??= $event;
        }
        // Of two in the same instant the one with the greater id counts.
        uasort($known, static fn (Event $a, Event $b): int => [$a->at, $a->id] <=> [$b->at, $b->id]);

        return new self($known);
    }

    /**
     * @param list<Event> $events
     *
     * @throws CannotBe as above
     */
    public function with(array $events): self
    {
        return self::of([...array_values($this->events), ...$events]);
    }

    /** @return list<Event> that happened until an instant and were not taken back, in order */
    public function until(\DateTimeImmutable $now): array
    {
        $heard = array_filter($this->events, static fn (Event $e): bool => $e->at <= $now);
        $takenBack = [];
        // A withdrawal may be withdrawn itself: the last word is read first.
        foreach (array_reverse($heard, true) as $id => $event) {
            if ($event->what instanceof Withdrawn && !isset($takenBack[$id])) {
                $takenBack[$event->what->event] = true;
            }
        }

        return array_values(
            array_filter($heard, static fn (Event $e): bool => !isset($takenBack[$e->id]) && !$e->what instanceof Withdrawn),
        );
    }

    public function lastInstant(): ?\DateTimeImmutable
    {
        $last = array_key_last($this->events);

        return null === $last ? null : $this->events[$last]->at;
    }
}
