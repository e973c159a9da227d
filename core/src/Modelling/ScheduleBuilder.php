<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Amounts\BatchFlow;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\Quantities;
use FeastLadle\Batch\PotChoice;
use FeastLadle\Feast\Box;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\Moment;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Flame;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\KeepingPlace;
use FeastLadle\Recipe\Recipe;
use FeastLadle\Recipe\ServingWay;
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
use FeastLadle\Timing\StepTimer;

/**
 * Turns a feast with its quantities into a schedule problem: a resource for each fire, vessel and person and for the cold
 * space; an activity for each step of each batch; links for what takes from what and for ties; a hold for each vessel while
 * its contents are in it.
 */
final class ScheduleBuilder
{
    private const WASHING_MINUTES = 4;

    /** What takes the loads up stands ready within so many minutes of the first. */
    private const STRAIGHT_ON = 5;

    /** A dish that is late is worse than anything early. */
    private const LATE_COST = 60;

    /** A minute that a hot dish stands before it is dished up. */
    private const WARM_WAIT_COST = 4;

    /** Before the id of a box: its packing is an activity. */
    public const BOX = 'box:';

    /** So many pack side by side, if they are there. */
    private const PACKERS = 2;

    private const PACKING_PERCENT = 75;

    /** How long after the last moment the plan may run, for feasts that can't be in time. */
    private const OVERRUN_MINUTES = 720;

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

    /** @var array<string, Moment> the moment of each step that finishes a dish, by activity */
    private array $momentOf = [];

    /** @var array<string, BatchFlow> by dish */
    private array $flows = [];

    /** @var list<Obstacle> */
    private array $obstacles = [];

    /** @var array<string, PlannedDish> dishes whose steps are in the problem, by id */
    private array $built = [];

    private int $horizonEnd = 0;

    /** Minutes of the last step of the dish at work. */
    private int $lastMinutes = 0;

    private readonly StepNeeds $stepNeeds;

    private readonly VesselNeeds $vesselNeeds;

    public function __construct(
        private readonly Feast $feast,
        private readonly Kitchen $kitchen,
        Larder $larder,
        private readonly Quantities $quantities,
    ) {
        $timer = new StepTimer($kitchen, $larder);
        $this->stepNeeds = new StepNeeds($feast, $kitchen, $larder, $timer);
        $this->vesselNeeds = new VesselNeeds($kitchen, $timer);
    }

    /**
     * @param \DateTimeImmutable|null $notBefore nothing may start earlier, when the day has begun
     * @param list<string>            $without   dishes to leave out
     */
    public function build(?\DateTimeImmutable $notBefore = null, array $without = []): ScheduleModel
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

        foreach ($this->wanted($without) as $planned) {
            $this->dish($planned, $minute);
        }
        foreach ($this->feast->boxes as $box) {
            $this->packing($box, $minute);
        }
        $problem = new Problem(
            0,
            $horizonEnd,
            60,
            $this->resources($minute, $horizonEnd),
            $this->activities,
            $this->links,
            $this->holds,
            Objective::justInTime(),
        );

        return new ScheduleModel($problem, $origin, $this->steps, $this->lastOf, $this->obstacles, $this->momentOf, $this->flows);
    }

    /**
     * @param list<string> $without
     *
     * @return list<PlannedDish> each after the bases it takes from; bases that nobody takes are left out
     */
    private function wanted(array $without): array
    {
        $wanted = [];
        $add = function (PlannedDish $planned) use (&$add, &$wanted): void {
            foreach (array_keys($planned->batchPlan->ledger->bases()) as $slug) {
                // A base that stands ready in the pantry is not planned.
                if (isset($this->quantities->dishes['base-'.$slug])) {
                    $add($this->quantities->dishes['base-'.$slug]);
                }
            }
            $wanted[$planned->dish->id] = $planned;
        };
        foreach ($this->quantities->dishes as $planned) {
            if (!$planned->dish->isBase && !\in_array($planned->dish->id, $without, true)) {
                $add($planned);
            }
        }

        return array_values($wanted);
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
        $lent = [];
        foreach ($this->feast->otherWork as $work) {
            $lent[$work->on][] = [$minute($work->from), $minute($work->to)];
        }
        foreach ($this->kitchen->burners as $burner) {
            $resources[$burner->id] = new Resource($burner->id, 1, 0, Calendar::without($always, $lent[$burner->id] ?? []));
        }
        foreach ($this->kitchen->vessels as $vessel) {
            $resources[$vessel->id] = new Resource(
                $vessel->id,
                1,
                self::WASHING_MINUTES,
                Calendar::without($always, $lent[$vessel->id] ?? []),
            );
        }
        foreach ($this->kitchen->people as $person) {
            $resources[$person->id] = new Resource(
                $person->id,
                100,
                0,
                Calendar::without($this->calendar($person->id, $minute, $horizonEnd), $lent[$person->id] ?? []),
            );
        }
        foreach ($this->kitchen->tools as $tool) {
            $resources[StepNeeds::TOOL.$tool->id] = new Resource(StepNeeds::TOOL.$tool->id, 1, (int) ceil($tool->restMinutes), $always);
        }
        if ($this->kitchen->dryingM2 >= 0.01) {
            // In square decimetres: the scheduler counts whole units.
            $resources[StepNeeds::DRYING] = new Resource(StepNeeds::DRYING, (int) floor(100 * $this->kitchen->dryingM2), 0, $always);
        }
        if ($this->kitchen->coldLitres >= 1) {
            $resources[StepNeeds::COLD] = new Resource(StepNeeds::COLD, (int) floor($this->kitchen->coldLitres), 0, $always);
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

        return Calendar::merged($intervals);
    }

    /** @param \Closure(\DateTimeImmutable): int $minute */
    private function dish(PlannedDish $planned, \Closure $minute): void
    {
        $dish = $planned->dish;
        if (!$planned->canBeCooked()) {
            foreach ($planned->batchPlan->missing as $missing) {
                $step = $missing->run->fullest->step;
                $this->obstacles[] = new Obstacle(
                    $dish->id,
                    'No {kind} holds "{step}": it needs {needed} litres to the brim, the largest holds {largest}.',
                    [
                        'kind' => $missing->run->kind->value,
                        'step' => $step->title,
                        'needed' => round($missing->neededBrimMl / 1000, 1),
                        'largest' => round($missing->largestBrimMl / 1000, 1),
                    ],
                );
            }

            return;
        }
        foreach (array_keys($planned->batchPlan->ledger->bases()) as $slug) {
            if (isset($this->quantities->dishes['base-'.$slug]) && !isset($this->built['base-'.$slug])) {
                $this->obstacles[] = new Obstacle(
                    $dish->id,
                    'It takes from "{base}", which can\'t be made here. Buy it, or mend that first.',
                    ['base' => $dish->recipe->bases[$slug]->name],
                );

                return;
            }
        }
        $found = $this->stepNeeds->of($planned);
        if ($found instanceof Obstacle) {
            $this->obstacles[] = $found;

            return;
        }
        [$needs, $ranges] = $found;
        $flow = $this->flows[$dish->id] = BatchFlow::of($this->feast, $planned);
        $this->lastMinutes = $ranges[$dish->recipe->lastStep]->likely;
        foreach ($dish->recipe->steps as $step) {
            foreach ($flow->places($step) as $batch) {
                $share = match ($step->time->growth) {
                    Growth::Fixed => 1.0,
                    Growth::Mass => $flow->share($batch) ** $step->time->power,
                    default => $flow->share($batch),
                };
                $this->activity(
                    $planned,
                    $step,
                    $batch,
                    $ranges[$step->id]->times($share),
                    $this->forBatch($needs[$step->id], $planned, $batch, $share),
                    $minute,
                );
            }
        }
        foreach ($dish->recipe->steps as $step) {
            foreach ($flow->places($step) as $batch) {
                $this->linksOf($planned, $step, $batch, $ranges);
            }
        }
        $this->built[$dish->id] = $planned;
        foreach ($planned->batchPlan->pots as $choice) {
            foreach ($flow->placesOfRun($choice->run) as $batch) {
                $this->hold($planned, $choice, $batch);
            }
        }
    }

    /**
     * @param list<Need> $needs
     *
     * @return list<Need> with references to the activities of this batch
     */
    private function forBatch(array $needs, PlannedDish $planned, int $batch, float $share): array
    {
        $scaled = static fn (Need $need): array => array_map(
            static fn (int $minutes): int => (int) ceil($minutes * $share),
            $need->durations,
        );

        return array_map(
            static fn (Need $need): Need => null === $need->sameAs
                ? new Need($need->from, $need->count, $need->units, $scaled($need))
                : new Need(
                    [],
                    1,
                    $need->units,
                    $scaled($need),
                    NeedReference::ofActivity((new StepKey($planned->dish->id, $batch, $need->sameAs->id))->id(), $need->sameAs->need),
                ),
            $needs,
        );
    }

    /**
     * @param list<Need>                        $needs
     * @param \Closure(\DateTimeImmutable): int $minute
     */
    private function activity(PlannedDish $planned, Step $step, int $batch, DurationRange $range, array $needs, \Closure $minute): void
    {
        $recipe = $planned->dish->recipe;
        $key = new StepKey($planned->dish->id, $batch, $step->id);
        $wave = $this->flows[$planned->dish->id]->wave($batch);
        $due = null;
        $earliest = 0;
        if ($step->id === $recipe->lastStep && !$planned->dish->isBase) {
            $this->lastOf[$key->id()] = $planned->dish->id;
            $this->momentOf[$key->id()] = $wave->moment;
            $early = match ($recipe->serving) {
                ServingWay::Hot => 10,
                ServingWay::Warm => 3,
                default => 0,
            };
            $due = new Due($minute($wave->moment->at) - Earliness::of($this->feast, $planned->dish, $wave), $early, self::LATE_COST);
            // Finished no longer before the last who eat of it than it keeps.
            $earliest = max(0, min($due->at, $minute($wave->until) - $recipe->keepMinutes) - $range->likely);
        }
        if (!$planned->dish->isBase && $this->waitsWarm($recipe, $step)) {
            // It goes off the flame as shortly before it is dished up as can be.
            $due = new Due(
                $minute($wave->moment->at) - Earliness::of($this->feast, $planned->dish, $wave) - $this->lastMinutes,
                self::WARM_WAIT_COST,
                0,
            );
        }
        $latest = $this->horizonEnd;
        $pin = $this->feast->pins[$key->id()] ?? null;
        if (null !== $pin) {
            // Held at its time, however long it takes where it is done.
            $earliest = max(0, $minute($pin));
            $latest = min(
                $latest,
                $earliest +
                    max([$range->likely, ...array_merge(...array_map(static fn (Need $n): array => array_values($n->durations), $needs))]),
            );
        }
        $this->activities[$key->id()] = new Activity($key->id(), $range, $needs, $earliest, $latest, $due);
        $this->steps[$key->id()] = $key;
    }

    /**
     * Boxes are packed by any hands, after what goes into them is ready and before their moment.
     *
     * @param \Closure(\DateTimeImmutable): int $minute
     */
    private function packing(Box $box, \Closure $minute): void
    {
        $people = [];
        foreach ($this->feast->shifts as $shift) {
            $people[$shift->person] = $shift->person;
        }
        $moment =
            array_values(array_filter($this->feast->moments, static fn (Moment $m): bool => $m->id === $box->at))[0] ??
            $this->feast->lastMoment();
        $held = array_intersect_key($box->holds, $this->built);
        if (0 === $box->count || [] === $people || [] === $held) {
            return;
        }
        $hands = min(self::PACKERS, \count($people));
        $minutes = (int) ceil(($box->count * $box->packSeconds) / 60 / $hands);
        $id = self::BOX.$box->id;
        $this->activities[$id] = new Activity(
            $id,
            new DurationRange((int) ceil(0.8 * $minutes), $minutes, (int) ceil(1.5 * $minutes)),
            [new Need(array_values($people), $hands, self::PACKING_PERCENT)],
            0,
            $this->horizonEnd,
            new Due($minute($moment->at) - $this->feast->marginMinutes, 0, self::LATE_COST),
        );
        foreach (array_keys($held) as $dish) {
            $last = $this->built[$dish]->dish->recipe->last();
            foreach ($this->flows[$dish]->places($last) as $place) {
                if ($this->flows[$dish]->wave($place)->moment->at <= $moment->at) {
                    $this->links[] = new Link((new StepKey($dish, $place, $last->id))->id(), $id);
                }
            }
        }
    }

    /** Whether a step ends hot and only dishing up follows. */
    private function waitsWarm(Recipe $recipe, Step $step): bool
    {
        return KeepingPlace::Warm === $step->keeping?->place && \in_array($step->id, $recipe->step($recipe->lastStep)->sources(), true);
    }

    /** @param array<string, DurationRange> $ranges by step */
    private function linksOf(PlannedDish $planned, Step $step, int $batch, array $ranges): void
    {
        $recipe = $planned->dish->recipe;
        $here = (new StepKey($planned->dish->id, $batch, $step->id))->id();
        $gaps = [];
        $straightOn = [];
        foreach ($step->takes as $take) {
            if (null !== $take->fromStep && $take->manner->straightOn) {
                $straightOn[$take->fromStep] = true;
            } elseif (null !== $take->fromStep) {
                $gaps[$take->fromStep] = [0, $recipe->step($take->fromStep)->keeping?->minutes];
            }
        }
        foreach ($step->ties as $tie) {
            $former = $gaps[$tie->after] ?? [0, null];
            $gaps[$tie->after] = [
                max($former[0], $tie->minMinutes),
                null === $tie->maxMinutes ? $former[1] : min($former[1] ?? \PHP_INT_MAX, $tie->maxMinutes),
            ];
        }
        foreach (array_keys($straightOn) as $former) {
            unset($gaps[$former]);
            $this->straightOn($planned, $recipe->step($former), $step, $batch, $ranges);
        }
        foreach ($step->bases() as $slug) {
            $this->fromBase($planned, $slug, $here);
        }
        foreach ($gaps as $former => [$min, $max]) {
            $source = $recipe->step($former);
            foreach ($this->flows[$planned->dish->id]->sources($source, $step, $batch) as $from) {
                $this->links[] = new Link((new StepKey($planned->dish->id, $from, $former))->id(), $here, $min, $max);
            }
        }
    }

    /**
     * Each load goes on as it comes out: the taker begins with the first load, and ends after the last has had its time.
     *
     * @param array<string, DurationRange> $ranges
     */
    private function straightOn(PlannedDish $planned, Step $source, Step $taker, int $batch, array $ranges): void
    {
        $first = $this->stepNeeds->firstLoad($planned, $source->id, $planned->batchPlan->potOfStep(), $ranges);
        $own = $this->stepNeeds->oneLoad($taker, $ranges[$taker->id]);
        $here = (new StepKey($planned->dish->id, $batch, $taker->id))->id();
        foreach ($this->flows[$planned->dish->id]->sources($source, $taker, $batch) as $from) {
            $there = (new StepKey($planned->dish->id, $from, $source->id))->id();
            $this->links[] = new Link($there, $here, $first, $first + self::STRAIGHT_ON, LinkType::StartToStart);
            $this->links[] = new Link($there, $here, $own, null, LinkType::EndToEnd);
        }
    }

    /** A step that takes from a base comes after the base is made, and no later than it keeps. */
    private function fromBase(PlannedDish $planned, string $slug, string $here): void
    {
        $base = $this->built['base-'.$slug] ?? null;
        if (null === $base || $planned->dish->recipe->buys($slug)) {
            return;
        }
        foreach ($this->flows[$base->dish->id]->places($base->dish->recipe->last()) as $from) {
            $this->links[] = new Link(
                (new StepKey($base->dish->id, $from, $base->dish->recipe->lastStep))->id(),
                $here,
                0,
                $base->dish->recipe->keepMinutes,
            );
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
                foreach ($this->flows[$dish]->takers($planned->dish->recipe->step($source), $batch, $step) as $taker) {
                    $members[] = $this->emptied($dish, $batch, $source, (new StepKey($dish, $taker, $step->id))->id());
                }
            }
        }
        $this->holds[$dish.'/'.$batch.'/'.$run->id] = new Hold(
            $dish.'/'.$batch.'/'.$run->id,
            array_values(array_unique($members)),
            $this->vesselNeeds->of($planned, $choice),
        );
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
}
