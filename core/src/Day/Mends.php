<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\DishChanged;
use FeastLadle\Day\Happening\Happening;
use FeastLadle\Day\Happening\MomentChanged;
use FeastLadle\Day\Happening\PersonCame;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Solving\FailedAudit;
use FeastLadle\Words\Sentence;

/** What would still save a moment: helpers first, then time, last of all a dish; each planned from here before it is said. */
final readonly class Mends
{
    /** Nobody moves a moment by single minutes. */
    private const ROUND_MINUTES = 5;

    /** What one asks of somebody who is there. */
    private const LONGER_MINUTES = 120;

    public function __construct(private Feast $feast, private Kitchen $kitchen, private Fold $fold)
    {
    }

    /** @return list<Mend> by what they cost, then by what they save; none where nothing is late */
    public function of(DayLog $log, \DateTimeImmutable $now): array
    {
        $state = $this->fold->state($log, $now);
        $late = self::late($state);
        if (0 === $late && null === $state->stuck) {
            return [];
        }
        $mends = [];
        $ways = [...$this->helpers($log, $now), ...$this->longer($log, $now), ...$this->later($state), ...$this->givenUp($state)];
        foreach ($ways as [$does, $said, $what]) {
            $after = $this->lateWith($log, $now, $what);
            if (null !== $after && ($after < $late || null !== $state->stuck)) {
                $mends[] = new Mend($does, $said, $after);
            }
        }

        return $mends;
    }

    private function lateWith(DayLog $log, \DateTimeImmutable $now, Happening $what): ?int
    {
        try {
            $state = $this->fold->state($log->with([new Event('mend', $now, null, null, null, false, $what, 'mend')]), $now);
        } catch (FailedAudit) {
            return null;
        }

        return null === $state->stuck ? self::late($state) : null;
    }

    private static function late(DayState $state): int
    {
        return array_sum(array_map(static fn (MomentNow $m): int => $m->lateMinutes, $state->moments));
    }

    /** @return list<array{Sentence, array<string, string|int|bool>, Happening}> who is here and might stay */
    private function longer(DayLog $log, \DateTimeImmutable $now): array
    {
        $away = Heard::of($log->until($now))->away;
        $longer = [];
        foreach ($this->feast->shifts as $shift) {
            $person = $this->kitchen->people[$shift->person] ?? null;
            if (null === $person || isset($away[$shift->person]) || $shift->from > $now || $shift->to <= $now) {
                continue;
            }
            $until = $shift->to->setTimezone($this->feast->timeZone)->modify('+'.self::LONGER_MINUTES.' minutes');
            $longer[] = [
                new Sentence('{who} stays until {time}.', ['who' => $person->name, 'time' => $until->format('H:i')]),
                ['kind' => EventKind::Came->value, 'person' => $person->id, 'until' => $until->format(\DATE_ATOM)],
                new PersonCame($person->id, null, $until),
            ];
        }

        return $longer;
    }

    /** @return list<array{Sentence, array<string, string|int|bool>, Happening}> who is not here now and might come */
    private function helpers(DayLog $log, \DateTimeImmutable $now): array
    {
        $away = Heard::of($log->until($now))->away;
        $helpers = [];
        foreach ($this->kitchen->people as $person) {
            $isHere = !isset($away[$person->id]);
            foreach ($isHere ? $this->feast->shifts : [] as $shift) {
                $isHere = $shift->person === $person->id && $shift->from <= $now && $shift->to > $now;
                if ($isHere) {
                    break;
                }
            }
            if (!$isHere) {
                $helpers[] = [
                    new Sentence('{who} helps from now on.', ['who' => $person->name]),
                    ['kind' => EventKind::Came->value, 'person' => $person->id],
                    new PersonCame($person->id, null, null),
                ];
            }
        }

        return $helpers;
    }

    /** @return list<array{Sentence, array<string, string|int|bool>, Happening}> */
    private function later(DayState $state): array
    {
        $moves = [];
        foreach ($state->moments as $moment) {
            if ($moment->lateMinutes <= 0) {
                continue;
            }
            $minutes = self::ROUND_MINUTES * (int) ceil($moment->lateMinutes / self::ROUND_MINUTES);
            $at = $moment->chance->moment->at->setTimezone($this->feast->timeZone)->modify("+$minutes minutes");
            // A moment that would slip past midnight is another day's.
            if ($at->format('Y-m-d') === $moment->chance->moment->at->setTimezone($this->feast->timeZone)->format('Y-m-d')) {
                $moves[] = [
                    new Sentence('"{moment}" waits until {time}.', [
                        'moment' => $moment->chance->moment->name,
                        'time' => $at->format('H:i'),
                    ]),
                    ['kind' => EventKind::Moment->value, 'moment' => $moment->chance->moment->id, 'time' => $at->format('H:i')],
                    new MomentChanged($moment->chance->moment->id, null, $at->format('H:i'), false, null, null, null, false),
                ];
            }
        }

        return $moves;
    }

    /** @return list<array{Sentence, array<string, string|int|bool>, Happening}> dishes that are not ready */
    private function givenUp(DayState $state): array
    {
        $open = [];
        foreach ($state->steps as $step) {
            if (!$step->progress->state->isOver()) {
                $open[$step->planned->key->dish] = true;
            }
        }
        $mends = [];
        foreach ($this->feast->dishes as $dish) {
            if (isset($open[$dish->id])) {
                $mends[] = [
                    new Sentence('Without "{dish}": nobody cooks on at it.', ['dish' => $dish->recipe->name]),
                    ['kind' => EventKind::Dish->value, 'dish' => $dish->id, 'givenUp' => true],
                    new DishChanged($dish->id, null, true),
                ];
            }
        }

        return $mends;
    }
}
