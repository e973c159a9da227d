<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\Eaten;
use FeastLadle\Day\Happening\Leftover;
use FeastLadle\Day\Happening\LeftoverFate;
use FeastLadle\Day\Happening\Moved;
use FeastLadle\Day\Happening\VesselRead;
use FeastLadle\Feast\Feast;
use FeastLadle\Flow\Contents;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Solving\Plan;
use FeastLadle\Standing\HeldDish;
use FeastLadle\Standing\Holds;
use FeastLadle\Standing\HoldTask;
use FeastLadle\Standing\HoldTasks;
use FeastLadle\Standing\Reading;
use FeastLadle\Standing\StandingStep;
use FeastLadle\Standing\Waiting;
use FeastLadle\Standing\Walk;

/** What stands where in this minute, by walking the plan with the times that really were; a reading counts more than the walk. */
final readonly class StandingNow
{
    private Walk $walk;

    /** @var list<HeldDish> */
    private array $held;

    /** @var array<string, string> step id by activity; the plan from here may number its batches otherwise */
    private array $names;

    /**
     * @param Plan $from from here on, done steps where they were
     * @param Plan $plan the day began with, which names the batches
     */
    public function __construct(
        private Feast $feast,
        private Kitchen $kitchen,
        private Larder $larder,
        private Plan $from,
        Plan $plan,
        private StepStates $states,
        private \DateTimeImmutable $now,
    ) {
        $this->walk = Walk::through($feast, $from, $kitchen, $larder);
        $this->held = Holds::of($feast, $from, $this->walk, $kitchen, $larder);
        $names = [];
        foreach ($plan->steps as $step) {
            $names[$step->activity] = $step->key->id();
        }
        $this->names = $names;
    }

    /**
     * @param list<Event> $events in order
     *
     * @return list<VesselNow> by vessel id
     */
    public function vessels(array $events): array
    {
        $minute = $this->minute();
        $found = [];
        foreach ($this->walk->steps() as $step) {
            $of = $this->names[$step->planned->activity] ?? '';
            if (StepState::Running === ($this->states->steps[$of] ?? null)?->state) {
                foreach ($step->planned->vessels as $vessel) {
                    $found[$vessel][] = [$of, $this->at($step, $this->now), $step, null];
                }
            }
        }
        foreach ($this->walk->waits() as $wait) {
            $of = $this->names[$wait->of->planned->activity] ?? '';
            $isDone = StepState::Done === ($this->states->steps[$of] ?? null)?->state;
            $next = $this->states->steps[$this->names[$wait->for->activity] ?? ''] ?? null;
            if ($isDone && null !== $wait->vessel && (null === $next || StepState::NotYet === $next->state)) {
                $given = $wait->of->given($wait->output)->withCelsius(self::celsius($wait->readings, $minute));
                $found[$wait->vessel->id][] = [$of, $given, $wait->of, $wait];
            }
        }
        foreach ($this->held as $held) {
            $of = $this->names[$held->last->planned->activity] ?? '';
            $isReady = StepState::Done === ($this->states->steps[$of] ?? null)?->state;
            if ($isReady && null !== $held->vessel && !isset($found[$held->vessel->id])) {
                $given = $held->last->gives->withCelsius(self::celsius($held->readings, $minute));
                $found[$held->vessel->id][] = [$of, $given, $held->last, $held];
            }
        }
        $vessels = [];
        foreach ($found as $id => $each) {
            $vessels[(string) $id] = $this->vessel((string) $id, $each, $events);
        }
        $vessels = array_values(array_filter($this->poured($vessels, $found, $events)));
        usort($vessels, static fn (VesselNow $a, VesselNow $b): int => $a->vessel->id <=> $b->vessel->id);

        return $vessels;
    }

    /** @return list<HoldNow> of what is ready */
    public function holds(): array
    {
        $minute = $this->minute();
        $tasks = new HoldTasks($this->feast, $this->from, $this->kitchen, $this->larder);
        $holds = [];
        foreach ($this->held as $held) {
            $of = $this->names[$held->last->planned->activity] ?? '';
            if (StepState::Done !== ($this->states->steps[$of] ?? null)?->state) {
                continue;
            }
            $until = $held->readings[\count($held->readings) - 1]->minute;
            $soFar = [
                ...array_filter($held->readings, static fn (Reading $r): bool => $r->minute < $minute),
                new Reading(min($minute, $until), self::celsius($held->readings, $minute)),
            ];
            $before = $held->bandMinutes - Waiting::bandMinutes($held->readings);
            $holds[] = new HoldNow(
                $held,
                self::celsius($held->readings, $minute),
                max(0.0, $before) + Waiting::bandMinutes($soFar),
                $this->from->origin->modify('+'.(int) round(60 * $until).' seconds'),
                array_values(array_filter($tasks->of($held), static fn (HoldTask $t): bool => $t->minute >= $minute)),
            );
        }

        return $holds;
    }

    private function minute(): float
    {
        return ($this->now->getTimestamp() - $this->from->origin->getTimestamp()) / 60;
    }

    /** What stands in the vessels of a step that runs. */
    private function at(StandingStep $step, \DateTimeImmutable $at): Contents
    {
        $minute = ($at->getTimestamp() - $this->from->origin->getTimestamp()) / 60;
        $way = min(1.0, max(0.0, ($minute - $step->planned->startMinute) / max(1, $step->planned->minutes())));
        $celsius = [] === $step->readings
            ? $step->in->celsius + $way * ($step->gives->celsius - $step->in->celsius)
            : self::celsius($step->readings, $minute);

        return $step->in->withWaterOff($step->in->waterOff + $way * $step->waterOffGrams())->withCelsius($celsius);
    }

    /**
     * @param list<array{string, Contents, StandingStep, Waiting|HeldDish|null}> $each
     * @param list<Event>                                                        $events
     */
    private function vessel(string $id, array $each, array $events): VesselNow
    {
        [$of, $contents, $step, $kept] = $each[0];
        $share = 1 / max(1, \count($step->planned->vessels));
        $whole = $contents = $contents->share($share);
        $read = new AsRead($this->larder, $this->kitchen);
        $where = match (true) {
            $kept instanceof HeldDish => $kept->fire ?? $kept->place->value,
            null !== $kept => $kept->place->value,
            default => $step->planned->burner ?? 'room',
        };
        $flame = null === $kept && null !== $step->planned->burner ? $step->planned->flame->value : null;
        $lid = (null === $kept ? $step->planned->lid : $kept instanceof Waiting && $kept->lid) ? 'on' : 'off';
        $since = null === $kept ? $step->planned->start : $step->planned->end;
        foreach ($events as $event) {
            if ($event->at < $since) {
                continue;
            }
            if ($event->what instanceof VesselRead && $event->what->vessel === $id) {
                $then = null === $kept ? $this->at($step, $event->at)->share($share) : $contents;
                $contents = $read->of($event->what, $then, $contents, $step->planned->step);
            }
            if ($event->what instanceof Eaten && $event->what->vessel === $id) {
                $contents = $event->what->refilled ? $whole : $contents->share(1 - ($event->what->share ?? 0.0));
            }
            if ($event->what instanceof Moved && self::isOf($event->what, $id, $each) && !$this->isPoured($event->what)) {
                $where = $event->what->to ?? $where;
                $flame = $event->what->flame ?? $flame;
                $lid = $event->what->lid ?? $lid;
            }
        }
        $holds = array_map(
            static fn (array $e): string => implode('/', \array_slice(explode('/', $e[0]), 0, 2)),
            $each,
        );

        return new VesselNow($this->kitchen->vessels[$id], array_values(array_unique($holds)), $contents, $where, $flame, $lid);
    }

    /**
     * What was poured from one vessel into another, and what was thrown away, since it stood there.
     *
     * @param array<string, VesselNow>                                                          $vessels by id
     * @param array<string, list<array{string, Contents, StandingStep, Waiting|HeldDish|null}>> $found
     * @param list<Event>                                                                       $events
     *
     * @return array<string, VesselNow|null> null where nothing is left
     */
    private function poured(array $vessels, array $found, array $events): array
    {
        foreach ($events as $event) {
            $what = $event->what;
            foreach ($found as $id => $each) {
                $id = (string) $id;
                $from = $vessels[$id] ?? null;
                [, , $step, $kept] = $each[0];
                if (null === $from || $event->at < (null === $kept ? $step->planned->start : $step->planned->end)) {
                    continue;
                }
                if ($what instanceof Leftover && LeftoverFate::Thrown === $what->becomes && $what->vessel === $id) {
                    $vessels[$id] = null;
                }
                if ($what instanceof Moved && self::isOf($what, $id, $each) && $this->isPoured($what) && $what->to !== $id) {
                    $part = $from->contents->share($what->share);
                    $into = $vessels[$what->to] ?? null;
                    $vessels[$what->to] = new VesselNow(
                        $this->kitchen->vessels[$what->to],
                        array_values(array_unique([...($into->holds ?? []), ...$from->holds])),
                        null === $into ? $part : $into->contents->plus($part, $this->larder),
                        $into->where ?? 'room',
                        $into?->flame,
                        $what->lid ?? $into->lid ?? 'off',
                    );
                    $vessels[$id] = $what->share >= 1
                        ? null
                        : $from->holding($from->contents->share(1 - $what->share));
                }
            }
        }

        return $vessels;
    }

    private function isPoured(Moved $moved): bool
    {
        return isset($this->kitchen->vessels[$moved->to ?? '']);
    }

    /** @param list<array{string, Contents, StandingStep, Waiting|HeldDish|null}> $each */
    private static function isOf(Moved $moved, string $id, array $each): bool
    {
        return $moved->vessel === $id || (null !== $moved->dish && str_starts_with($each[0][0], $moved->dish.'/'));
    }

    /** @param non-empty-list<Reading> $readings */
    private static function celsius(array $readings, float $minute): float
    {
        $from = $readings[0];
        foreach ($readings as $reading) {
            if ($minute <= $reading->minute) {
                $span = $reading->minute - $from->minute;

                return $span <= 0
                    ? $reading->celsius
                    : $from->celsius + (max(0.0, $minute - $from->minute) / $span) * ($reading->celsius - $from->celsius);
            }
            $from = $reading;
        }

        return $from->celsius;
    }
}
