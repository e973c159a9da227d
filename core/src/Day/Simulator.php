<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Day\Happening\Answered;
use FeastLadle\Day\Happening\Move;
use FeastLadle\Day\Happening\Replanned;
use FeastLadle\Day\Happening\StepDone;
use FeastLadle\Day\Happening\StepStarted;
use FeastLadle\Explaining\MomentChances;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\PlannedOrder;
use FeastLadle\Solving\FailedAudit;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Cooks who take their time: each step lasts as long as is drawn for its run, begins no sooner than it is told and when all it waits for
 * is there. What they say goes through the same log, fold and replanning as the real day. Draws belong to run and step, so that a day that
 * is planned anew and one that is not meet the same fate.
 */
final class Simulator
{
    private readonly Fold $fold;

    private readonly DayRules $rules;

    /** @var array<string, PlannedStep> by activity */
    private array $steps = [];

    /** @var list<float> */
    private array $replanMs = [];

    /** @param (\Closure(): float)|null $stopwatch milliseconds since whenever, to measure plans by */
    public function __construct(
        private readonly Feast $feast,
        private readonly Kitchen $kitchen,
        private readonly Larder $larder,
        private readonly Plan $plan,
        private readonly ?\Closure $stopwatch = null,
        private readonly SlipRate $slips = SlipRate::None,
    ) {
        $this->fold = new Fold($feast, $kitchen, $larder, $plan);
        $this->rules = new DayRules($plan);
        foreach ($plan->steps as $step) {
            $this->steps[$step->activity] = $step;
        }
    }

    /** @param (\Closure(int): void)|null $each is told the number of each run that is over */
    public function run(int $runs, int $seed, ?\Closure $each = null): SimulationReport
    {
        $ends = [[], []];
        $violations = [];
        $events = $slips = $healed = 0;
        $lateness = new DaysLate($this->feast, $this->plan);
        for ($run = 0; $run < $runs; ++$run) {
            $day = $this->day($run, $seed, true);
            $ends[0][] = $day->ends;
            $ends[1][] = $this->day($run, $seed, false)->ends;
            $events += \count($day->events);
            foreach ($day->slipped as $dish) {
                ++$slips;
                $healed += $lateness->isInTime($dish, $day->ends) ? 1 : 0;
            }
            array_push($violations, ...$day->violations);
            null === $each ? null : $each($run + 1);
        }
        [$with, $without] = [$lateness->report($ends[0], $seed), $lateness->report($ends[1], $seed)];

        return new SimulationReport(
            $seed,
            $runs,
            MomentChances::of($this->feast, $this->plan, $with),
            MomentChances::of($this->feast, $this->plan, $without),
            $lateness->byMoment($ends[0], $ends[1]),
            $events,
            $violations,
            $this->replanMs,
            $this->slips,
            $slips,
            $healed,
        );
    }

    /** One day, planned anew where a step ends late, or by its first plan alone. */
    public function day(int $run, int $seed, bool $isReplanned): SimulatedDay
    {
        $placements = $this->plan->solution->activities;
        $order = new PlannedOrder($this->plan->problem, $this->plan->solution);
        $draws = new SlipDraws($this->slips, $seed);
        $starts = $ends = $said = $events = $violations = $slipped = [];
        while (true) {
            [$next, $begins] = $this->next($order, $placements, $starts, $ends);
            [$late, $lookedAt] = $isReplanned ? $this->overdue($placements, $starts, $ends) : [null, \PHP_INT_MAX];
            $open = array_diff_key($ends, $said);
            asort($open);
            $over = array_key_first($open);
            $ended = null === $over ? \PHP_INT_MAX : $open[$over];
            $now = min($begins, $lookedAt, $ended);
            if (\PHP_INT_MAX === $now) {
                break;
            }
            $isLate = false;
            if (null !== $over && $ended === $now) {
                $said[$over] = true;
                $isLate = $isReplanned && isset($this->steps[$over]) && $now > $placements[$over]->end;
                if (isset($this->steps[$over])) {
                    $events[] = $this->event($events, $now, new StepDone($this->steps[$over]->key->id(), null, null, null), $over);
                }
            } elseif (null !== $late && $lookedAt === $now) {
                $isLate = true;
            } elseif (null !== $next) {
                $starts[$next] = $now;
                // Pots follow the laws: what is fuller takes longer.
                $times = [] === $slipped || !isset($this->steps[$next]) ? 1.0 : $this->timesAsLong($events, $next);
                $ends[$next] = $now + max(1, (int) round($times * $this->draw($run, $seed, $next, $placements[$next])));
                $placements[$next] = new Placement(
                    $now,
                    $now + $placements[$next]->end - $placements[$next]->start,
                    $placements[$next]->uses,
                );
                if (isset($this->steps[$next])) {
                    $events[] = $this->event($events, $now, new StepStarted($this->steps[$next]->key->id()), $next);
                    $slip = $draws->of($run, $this->steps[$next]);
                    if (null !== $slip) {
                        $slipped[] = $this->steps[$next]->key->dish;
                        $events[] = $fault = $this->event($events, $now, $slip, $next);
                        $spent = $now - min([$now, ...array_values(array_intersect_key($starts, $this->batchOf($next)))]);
                        $at = $this->instant($now);
                        $way = SlipDraws::taken(
                            WaysTaken::answer($slip, $this->steps[$next], $this->kitchen, $this->larder, $at, $spent),
                        );
                        if (null !== $way) {
                            $ends[$next] += $way->minutes;
                            $events[] = $this->event($events, $now, new Answered(null, WaysTaken::id($fault, $way), true), $next);
                        }
                    }
                }
            }
            if (!$isLate) {
                continue;
            }
            try {
                $here = $this->here($events, $now);
            } catch (FailedAudit) {
                $last = array_key_last($events);
                $violations[] = new Violation('a plan from here fails its audit', $run, null === $last ? null : $events[$last]->id);
                if (null !== $late) {
                    $placements[$late] = new Placement($placements[$late]->start, $now + 1, $placements[$late]->uses);
                }
                continue;
            }
            array_push($violations, ...$this->rules->broken($here, $starts, $ends, $said, $now, $run, $events));
            $expected = $here->after->solution->activities ?: $placements;
            $told = $placements;
            $isPutInForce = null !== $here->proposal && !$here->proposal->waits;
            if (null !== $here->proposal && $isPutInForce) {
                $events[] = $this->event($events, $now, $this->replanned($here->proposal), (string) array_key_first($this->steps));
                $told = $expected;
            }
            foreach ($starts as $id => $start) {
                $told[$id] = new Placement(
                    $start,
                    isset($said[$id]) ? $ends[$id] : max($now + 1, $expected[$id]->end),
                    $placements[$id]->uses,
                );
            }
            $placements = $told;
            // Who waits in turn keeps the turns that were told.
            $order = $isPutInForce ? new PlannedOrder($this->plan->problem, $this->plan->solution->placing($placements)) : $order;
        }
        if ($isReplanned) {
            array_push($violations, ...$this->rules->lost($events, $ends, $run));
        }

        return new SimulatedDay($ends, $events, $violations, $slipped);
    }

    /**
     * What can begin next, and when.
     *
     * @param array<string, Placement> $placements
     * @param array<string, int>       $starts
     * @param array<string, int>       $ends
     *
     * @return array{string|null, int}
     */
    private function next(PlannedOrder $order, array $placements, array $starts, array $ends): array
    {
        $next = null;
        $soonest = \PHP_INT_MAX;
        foreach ($order->order as $id) {
            if (isset($starts[$id])) {
                continue;
            }
            $start = $placements[$id]->start;
            $length = $placements[$id]->end - $start;
            foreach ($order->before($id) as [$from, $fromEnd, $toEnd, $lag]) {
                if (!isset($starts[$from])) {
                    continue 2;
                }
                $start = max($start, ($fromEnd ? $ends[$from] : $starts[$from]) + $lag - ($toEnd ? $length : 0));
            }
            $start = $order->whenTheyAreThere($id, $start);
            if ($start < $soonest) {
                [$next, $soonest] = [$id, $start];
            }
        }

        return [$next, $soonest];
    }

    /**
     * What runs on past the minute that was told, and that minute.
     *
     * @param array<string, Placement> $placements
     * @param array<string, int>       $starts
     * @param array<string, int>       $ends
     *
     * @return array{string|null, int}
     */
    private function overdue(array $placements, array $starts, array $ends): array
    {
        $first = null;
        $at = \PHP_INT_MAX;
        foreach (array_intersect_key($starts, $this->steps) as $id => $_) {
            if ($ends[$id] > $placements[$id]->end && $placements[$id]->end < $at) {
                [$first, $at] = [$id, $placements[$id]->end];
            }
        }

        return [$first, $at];
    }

    /** @return array<string, true> the activities of the batch that a step belongs to */
    private function batchOf(string $activity): array
    {
        $key = $this->steps[$activity]->key;
        $batch = [];
        foreach ($this->steps as $id => $step) {
            if ($step->key->dish === $key->dish && $step->key->round->id() === $key->round->id()) {
                $batch[$id] = true;
            }
        }

        return $batch;
    }

    private function draw(int $run, int $seed, string $activity, Placement $placement): int
    {
        $range = $this->plan->problem->activities[$activity]->duration;
        $random = new Randomizer(new Mt19937(crc32("$seed/$run/$activity")));

        return $range->lasting($placement->end - $placement->start, static fn (): float => $random->getInt(0, 1_000_000) / 1_000_000);
    }

    /** @param list<Event> $events */
    private function timesAsLong(array $events, string $activity): float
    {
        $taken = WaysTaken::of($this->feast, $this->plan, $this->kitchen, $this->larder, $events);

        return $taken->really->timesAsLong($this->steps[$activity]);
    }

    /** @param list<Event> $before */
    private function event(array $before, int $minute, Happening\Happening $what, string $activity): Event
    {
        $id = \sprintf('s%05d', \count($before));

        return new Event($id, $this->instant($minute), $this->steps[$activity]->people[0] ?? null, null, null, false, $what, $id);
    }

    /** @param list<Event> $events */
    private function here(array $events, int $minute): PlanFromHere
    {
        $before = null === $this->stopwatch ? 0.0 : ($this->stopwatch)();
        $here = $this->fold->from(DayLog::of($events), $this->instant($minute));
        if (null !== $this->stopwatch) {
            $this->replanMs[] = ($this->stopwatch)() - $before;
        }

        return $here;
    }

    private function replanned(Proposal $proposal): Replanned
    {
        return new Replanned(
            $proposal->id,
            array_map(
                fn (ProposedMove $m): Move => new Move(
                    $this->steps[$m->to->activity]->key->id(),
                    $m->to->start,
                    $m->to->end,
                    $m->to->people,
                    $m->to->burner,
                ),
                $proposal->moves,
            ),
            $proposal->because->text(),
        );
    }

    private function instant(int $minute): \DateTimeImmutable
    {
        return $this->plan->origin->setTimestamp($this->plan->origin->getTimestamp() + 60 * $minute);
    }
}
