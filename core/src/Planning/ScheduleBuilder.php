<?php

declare(strict_types=1);

namespace FeastLadle\Planning;

use FeastLadle\Batch\PotChoice;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\Shift;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Flame;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\KeepingPlace;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\ServingWay;
use FeastLadle\Recipe\Skill;
use FeastLadle\Recipe\Step;
use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\Due;
use FeastLadle\Schedule\DurationRange;
use FeastLadle\Schedule\Hold;
use FeastLadle\Schedule\Link;
use FeastLadle\Schedule\LinkType;
use FeastLadle\Schedule\Need;
use FeastLadle\Schedule\NeedReference;
use FeastLadle\Schedule\Objective;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\Resource;

/**
 * Turns a feast with its quantities into a schedule problem: a resource for each fire, vessel and person and for the cold
 * space; an activity for each step of each batch; links for what takes from what and for ties; a hold for each vessel while
 * its contents are in it.
 */
final class ScheduleBuilder
{
    private const COLD = 'cold-space';
    private const WASHING_MINUTES = 4;

    /** A dish that is late is worse than anything early. */
    private const LATE_COST = 60;

    /** A minute that a hot dish stands before it is dished up. */
    private const WARM_WAIT_COST = 4;

    /** How long after the last moment the plan may run, for feasts that can't be in time. */
    private const OVERRUN_MINUTES = 720;

    /** Another pot serves as well when a step takes at most this much longer in it. */
    private const AS_GOOD_AS = 1.25;

    /** @var array<string, Activity> */
    private array $activities = [];

    /** @var list<Link> */
    private array $links = [];

    /** @var array<string, Hold> */
    private array $holds = [];

    /** @var array<string, StepKey> */
    private array $steps = [];

    /** @var array<string, string> */
    private array $lastOf = [];

    /** @var list<Obstacle> */
    private array $obstacles = [];

    private int $horizonEnd = 0;

    /** Minutes of the last step of the dish at work. */
    private int $lastMinutes = 0;

    private readonly StepTimer $timer;

    public function __construct(private readonly Feast $feast, private readonly Kitchen $kitchen, private readonly Larder $larder, private readonly Quantities $quantities)
    {
        $this->timer = new StepTimer($kitchen, $larder);
    }

    /**
     * @param \DateTimeImmutable|null $notBefore nothing may start earlier, when the day has begun
     * @param list<string>            $without   dishes to leave out
     */
    public function build(?\DateTimeImmutable $notBefore = null, array $without = []): ScheduleDraft
    {
        $start = $this->feast->firstMoment()->at->modify('-1 day');
        foreach ($this->feast->shifts as $shift) {
            $start = min($start, $shift->from);
        }
        if (null !== $notBefore && $notBefore > $start) {
            $start = $notBefore;
        }
        $start = $start->setTimezone($this->feast->timeZone);
        $origin = $start->setTimestamp(60 * (int) ceil($start->getTimestamp() / 60));
        $minute = static fn (\DateTimeImmutable $at): int => intdiv($at->getTimestamp() - $origin->getTimestamp(), 60);
        $this->horizonEnd = $horizonEnd = max(1, $minute($this->feast->lastMoment()->at)) + self::OVERRUN_MINUTES;

        foreach ($this->quantities->dishes as $planned) {
            if (!\in_array($planned->dish->id, $without, true)) {
                $this->dish($planned, $minute);
            }
        }
        $problem = new Problem(0, $horizonEnd, 60, $this->resources($minute, $horizonEnd), $this->activities, $this->links, $this->holds, Objective::justInTime());

        return new ScheduleDraft($problem, $origin, $this->steps, $this->lastOf, $this->obstacles);
    }

    /**
     * @param \Closure(\DateTimeImmutable): int $minute
     *
     * @return array<string, resource>
     */
    private function resources(\Closure $minute, int $horizonEnd): array
    {
        $resources = [];
        $always = [[0, $horizonEnd]];
        foreach ($this->kitchen->burners as $burner) {
            $resources[$burner->id] = new Resource($burner->id, 1, 0, $always);
        }
        foreach ($this->kitchen->vessels as $vessel) {
            $resources[$vessel->id] = new Resource($vessel->id, 1, self::WASHING_MINUTES, $always);
        }
        foreach ($this->kitchen->people as $person) {
            $resources[$person->id] = new Resource($person->id, 100, 0, $this->calendar($person->id, $minute, $horizonEnd));
        }
        if ($this->kitchen->coldLitres >= 1) {
            $resources[self::COLD] = new Resource(self::COLD, (int) floor($this->kitchen->coldLitres), 0, $always);
        }

        return $resources;
    }

    /**
     * @param \Closure(\DateTimeImmutable): int $minute
     *
     * @return list<array{int, int}>
     */
    private function calendar(string $person, \Closure $minute, int $horizonEnd): array
    {
        $intervals = [];
        foreach ($this->feast->shifts as $shift) {
            $from = max(0, $minute($shift->from));
            $to = min($horizonEnd, $minute($shift->to));
            if ($shift->person === $person && $from < $to) {
                $intervals[] = [$from, $to];
            }
        }
        sort($intervals);
        $merged = [];
        foreach ($intervals as $interval) {
            $last = array_key_last($merged);
            if (null !== $last && $interval[0] <= $merged[$last][1]) {
                $merged[$last][1] = max($merged[$last][1], $interval[1]);
            } else {
                $merged[] = $interval;
            }
        }

        return $merged;
    }

    /** @param \Closure(\DateTimeImmutable): int $minute */
    private function dish(PlannedDish $planned, \Closure $minute): void
    {
        $dish = $planned->dish;
        if (!$planned->canBeCooked()) {
            foreach ($planned->batchPlan->missing as $missing) {
                $step = $missing->run->fullest->step;
                $this->obstacles[] = new Obstacle($dish->id, 'No {kind} holds "{step}": it needs {needed} litres to the brim, the largest holds {largest}.', [
                    'kind' => $missing->run->kind->value, 'step' => $step->title, 'needed' => round($missing->neededBrimMl / 1000, 1), 'largest' => round($missing->largestBrimMl / 1000, 1),
                ]);
            }

            return;
        }
        $pots = $planned->batchPlan->potOfStep();
        $needs = [];
        $ranges = [];
        foreach ($dish->recipe->steps as $step) {
            $range = $this->needsOf($planned, $step, $pots, $needs);
            if ($range instanceof Obstacle) {
                $this->obstacles[] = $range;

                return;
            }
            $ranges[$step->id] = $range;
        }
        $this->lastMinutes = $ranges[$dish->recipe->lastStep]->likely;
        foreach ($dish->recipe->steps as $step) {
            foreach ($this->batchesOf($planned, $step) as $batch) {
                $this->activity($planned, $step, $batch, $ranges[$step->id], $this->forBatch($needs[$step->id], $planned, $batch), $minute);
            }
        }
        foreach ($dish->recipe->steps as $step) {
            foreach ($this->batchesOf($planned, $step) as $batch) {
                $this->linksOf($planned, $step, $batch);
            }
        }
        foreach ($planned->batchPlan->pots as $choice) {
            foreach ($choice->run->isOnce() ? [0] : range(1, $planned->batchPlan->batches) as $batch) {
                $this->hold($planned, $choice, $batch);
            }
        }
    }

    /** @return list<int> batch numbers of a step; 0 for one done once */
    private function batchesOf(PlannedDish $planned, Step $step): array
    {
        return $step->once ? [0] : range(1, $planned->batchPlan->batches);
    }

    /**
     * @param array<string, PotChoice>  $pots
     * @param array<string, list<Need>> $needs by step; references name the step in place of the activity. Filled here.
     */
    private function needsOf(PlannedDish $planned, Step $step, array $pots, array &$needs): DurationRange|Obstacle
    {
        $flow = $planned->batchPlan->ledger->flow($step->id);
        $pot = $pots[$step->id] ?? null;
        $needs[$step->id] = [];
        $range = null;
        if (Flame::None !== $step->flame && null !== $pot) {
            $times = $this->onEachBurner($planned, $flow, $pot);
            if ([] === $times) {
                return new Obstacle($planned->dish->id, 'No fire of this kitchen gets "{step}" done in {pot}: what the open pot loses is more than the fire gives.', ['step' => $step->title, 'pot' => $pot->vessel()->name]);
            }
            $likely = array_map(static fn (Minutes $m): int => $m->likely, $times);
            asort($likely);
            $quickest = $times[(string) array_key_first($likely)];
            $range = new DurationRange($quickest->min, $quickest->likely, $quickest->max);
            $same = \count(array_unique($likely)) < 2;
            $former = $step->vessel?->continues;
            $before = null === $former ? null : $planned->dish->recipe->step($former);
            $durations = $same ? [] : array_map(static fn (Minutes $m): int => $m->likely, $times);
            if (null !== $before && Flame::None !== $before->flame && [] === array_diff(array_keys($this->onEachBurner($planned, $planned->batchPlan->ledger->flow($before->id), $pot)), array_keys($times))) {
                // The pot stays on the fire it stands on.
                $needs[$step->id][] = new Need([], 1, 1, $durations, NeedReference::ofActivity($before->id, 0));
            } else {
                $needs[$step->id][] = new Need(array_keys($likely), 1, 1, $durations);
            }
        }
        if (null === $range) {
            $minutes = $this->timer->minutes($flow, $pot, $planned->scale(), null);
            if (null === $minutes) {
                return new Obstacle($planned->dish->id, '"{step}" never gets as cool as it must in a room of {room} °C.', ['step' => $step->title, 'room' => $this->kitchen->roomCelsius]);
            }
            $range = new DurationRange($minutes->min, $minutes->likely, $minutes->max);
        }
        if (AttentionKind::None !== $step->attention->kind) {
            $people = $this->peopleFor($step->attention->skill);
            if (\count($people) < $step->attention->people) {
                return new Obstacle($planned->dish->id, '"{step}" needs {count} people who can do it; {there} have a shift.', ['step' => $step->title, 'count' => $step->attention->people, 'there' => \count($people)]);
            }
            $needs[$step->id][] = new Need($people, $step->attention->people, $step->attention->percent);
        }
        if (Process::Chill === $step->process) {
            $litres = (int) ceil($flow->taken->volumeMl($this->larder) / 1000);
            if ($litres > $this->kitchen->coldLitres) {
                return new Obstacle($planned->dish->id, '"{step}" needs {litres} litres of cold space; there are {there}.', ['step' => $step->title, 'litres' => $litres, 'there' => $this->kitchen->coldLitres]);
            }
            $needs[$step->id][] = new Need([self::COLD], 1, max(1, $litres));
        }

        return $range;
    }

    /** @return array<string, Minutes> by burner id, only those that get it done */
    private function onEachBurner(PlannedDish $planned, StepFlow $flow, PotChoice $pot): array
    {
        $times = [];
        foreach ($this->kitchen->burners as $burner) {
            $minutes = $this->timer->minutes($flow, $pot, $planned->scale(), $burner);
            if (null !== $minutes) {
                $times[$burner->id] = $minutes;
            }
        }

        return $times;
    }

    /** @return list<string> helpers first, so that the cook stays free for what only a cook can do */
    private function peopleFor(Skill $skill): array
    {
        $there = array_flip(array_map(static fn (Shift $s): string => $s->person, $this->feast->shifts));
        $people = array_filter($this->kitchen->people, static fn ($p): bool => isset($there[$p->id]) && $p->skill->suffices($skill));
        uasort($people, static fn ($a, $b): int => (Skill::Cook === $a->skill ? 1 : 0) <=> (Skill::Cook === $b->skill ? 1 : 0));

        return array_keys($people);
    }

    /**
     * @param list<Need> $needs
     *
     * @return list<Need> with references to the activities of this batch
     */
    private function forBatch(array $needs, PlannedDish $planned, int $batch): array
    {
        return array_map(static fn (Need $need): Need => null === $need->sameAs ? $need
            : new Need([], 1, $need->units, $need->durations, NeedReference::ofActivity((new StepKey($planned->dish->id, $batch, $need->sameAs->id))->id(), $need->sameAs->need)), $needs);
    }

    /**
     * @param list<Need>                        $needs
     * @param \Closure(\DateTimeImmutable): int $minute
     */
    private function activity(PlannedDish $planned, Step $step, int $batch, DurationRange $range, array $needs, \Closure $minute): void
    {
        $recipe = $planned->dish->recipe;
        $key = new StepKey($planned->dish->id, $batch, $step->id);
        $due = null;
        $earliest = 0;
        if ($step->id === $recipe->lastStep) {
            $this->lastOf[$key->id()] = $planned->dish->id;
            $early = match ($recipe->serving) {
                ServingWay::Hot => 10,
                ServingWay::Warm => 3,
                default => 0,
            };
            $due = new Due($minute($this->feast->firstMoment()->at), $early, self::LATE_COST);
            // Finished no longer before the last guests than it keeps.
            $earliest = max(0, min($minute($this->feast->firstMoment()->at), $minute($this->feast->lastMoment()->at) - $recipe->keepMinutes) - $range->likely);
        }
        if ($this->waitsWarm($recipe, $step)) {
            // It goes off the flame as shortly before it is dished up as can be.
            $due = new Due($minute($this->feast->firstMoment()->at) - $this->lastMinutes, self::WARM_WAIT_COST, 0);
        }
        $this->activities[$key->id()] = new Activity($key->id(), $range, $needs, $earliest, $this->horizonEnd, $due);
        $this->steps[$key->id()] = $key;
    }

    /** Whether a step ends hot and only dishing up follows. */
    private function waitsWarm(Recipe $recipe, Step $step): bool
    {
        return KeepingPlace::Warm === $step->keeping?->place && \in_array($step->id, $recipe->step($recipe->lastStep)->sources(), true);
    }

    private function linksOf(PlannedDish $planned, Step $step, int $batch): void
    {
        $recipe = $planned->dish->recipe;
        $here = (new StepKey($planned->dish->id, $batch, $step->id))->id();
        $gaps = [];
        foreach ($step->takes as $take) {
            if (null !== $take->fromStep) {
                $gaps[$take->fromStep] = [0, $recipe->step($take->fromStep)->keeping?->minutes];
            }
        }
        foreach ($step->ties as $tie) {
            $former = $gaps[$tie->after] ?? [0, null];
            $gaps[$tie->after] = [max($former[0], $tie->minMinutes), null === $tie->maxMinutes ? $former[1] : min($former[1] ?? \PHP_INT_MAX, $tie->maxMinutes)];
        }
        foreach ($gaps as $former => [$min, $max]) {
            $source = $recipe->step($former);
            $batches = $source->once === $step->once ? [$batch] : $this->batchesOf($planned, $source);
            foreach ($batches as $from) {
                $this->links[] = new Link((new StepKey($planned->dish->id, $from, $former))->id(), $here, $min, $max);
            }
        }
    }

    /** Keeps the vessel of a run from its first step until the contents have gone into the next. */
    private function hold(PlannedDish $planned, PotChoice $choice, int $batch): void
    {
        $run = $choice->run;
        $dish = $planned->dish->id;
        $members = array_map(static fn (StepFlow $f): string => (new StepKey($dish, $batch, $f->step->id))->id(), $run->flows);
        $inRun = array_flip(array_map(static fn (StepFlow $f): string => $f->step->id, $run->flows));
        foreach ($planned->dish->recipe->steps as $step) {
            foreach ($step->sources() as $source) {
                if (!isset($inRun[$source]) || isset($inRun[$step->id])) {
                    continue;
                }
                $takers = 0 === $batch || $step->once ? $this->batchesOf($planned, $step) : [$batch];
                foreach ($takers as $taker) {
                    $members[] = $this->emptied($dish, $batch, $source, (new StepKey($dish, $taker, $step->id))->id());
                }
            }
        }
        $this->holds[$dish.'/'.$batch.'/'.$run->id] = new Hold($dish.'/'.$batch.'/'.$run->id, array_values(array_unique($members)), $this->vesselNeeds($planned, $choice));
    }

    /** A marker of no length at the start of the step that takes the contents over. */
    private function emptied(string $dish, int $batch, string $source, string $taker): string
    {
        $id = $dish.'/'.$batch.'/'.$source.'>'.$taker;
        if (!isset($this->activities[$id])) {
            $this->activities[$id] = new Activity($id, DurationRange::exactly(0), [], 0, $this->horizonEnd, null);
            $this->links[] = new Link($taker, $id, 0, 0, LinkType::StartToStart);
        }

        return $id;
    }

    /** @return list<Need> */
    private function vesselNeeds(PlannedDish $planned, PotChoice $choice): array
    {
        if (\count($choice->vessels) > 1) {
            return array_map(static fn ($v): Need => new Need([$v->id]), $choice->vessels);
        }
        $options = [$choice->vessel()->id];
        if (!$choice->ownWish && null === $choice->frying) {
            foreach ($this->kitchen->vessels as $vessel) {
                if ($vessel->id !== $choice->vessel()->id && $vessel->kind === $choice->run->kind && $choice->run->needBrimMl <= $vessel->shape->brimfulMl() && $this->isAsGood($planned, $choice, $vessel->id)) {
                    $options[] = $vessel->id;
                }
            }
        }

        return [new Need($options)];
    }

    /** Whether every timed step of the run takes about as long in another vessel. */
    private function isAsGood(PlannedDish $planned, PotChoice $choice, string $vesselId): bool
    {
        $other = new PotChoice($choice->run, [$this->kitchen->vessels[$vesselId]], $choice->fullestMl, null, $choice->reason, false);
        foreach ($choice->run->flows as $flow) {
            if (!$flow->step->time->growth->isLaw()) {
                continue;
            }
            foreach (Flame::None === $flow->step->flame ? [null] : $this->kitchen->burners as $burner) {
                $own = $this->timer->minutes($flow, $choice, $planned->scale(), $burner);
                $there = $this->timer->minutes($flow, $other, $planned->scale(), $burner);
                if (null !== $own && (null === $there || $there->likely > self::AS_GOOD_AS * $own->likely + 1)) {
                    return false;
                }
            }
        }

        return true;
    }
}
