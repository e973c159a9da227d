<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

use FeastLadle\Amounts\BatchFlow;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\Round;
use FeastLadle\Batch\PotChoice;
use FeastLadle\Feast\Feast;
use FeastLadle\Flow\Contents;
use FeastLadle\Flow\CoolsHere;
use FeastLadle\Flow\Ledger;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\BoilOff;
use FeastLadle\Heat\Flame;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Modelling\StepKey;
use FeastLadle\Recipe\Growth;
use FeastLadle\Recipe\Take;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Timing\Fire;
use FeastLadle\Timing\FireTimes;
use FeastLadle\Vessel\Vessel;

/**
 * A plan walked through minute by minute: what really stands in every vessel, how much of it and how warm. The ledger of a recipe says
 * how warm a thing is when all goes straight on; here it has waited as long as the plan lets it.
 */
final class Walk
{
    /** @var array<string, StandingStep> by activity, in the order of the plan */
    private array $steps = [];

    /** @var list<Waiting> */
    private array $waits = [];

    /** @var array<string, PlannedDish> those that were walked, by id */
    private array $visited = [];

    /** @var array<string, Round> as the solver counts them, by activity */
    private array $roundOf = [];

    /** @var array<string, BatchFlow> by dish */
    private array $rounds = [];

    private readonly CoolsHere $cools;

    private readonly FireTimes $onFire;

    private function __construct(private readonly Kitchen $kitchen, private readonly Larder $larder)
    {
        $this->cools = new CoolsHere($larder);
        $this->onFire = new FireTimes($kitchen, $larder);
    }

    public static function through(Feast $feast, Plan $plan, Kitchen $kitchen, Larder $larder): self
    {
        $walk = new self($kitchen, $larder);
        $planned = [];
        foreach ($plan->steps as $step) {
            $planned[$step->activity] = $step;
        }
        foreach ($plan->quantities->dishes as $id => $dish) {
            $walk->rounds[$id] = BatchFlow::of($feast, $dish);
        }
        foreach ($plan->quantities->dishes as $dish) {
            $walk->visit($dish, $plan, $planned);
        }
        uasort(
            $walk->steps,
            static fn (StandingStep $a, StandingStep $b): int => [$a->planned->startMinute, $a->planned->endMinute] <=> [
                $b->planned->startMinute,
                $b->planned->endMinute,
            ],
        );
        usort(
            $walk->waits,
            static fn (Waiting $a, Waiting $b): int => $a->readings[0]->minute <=> $b->readings[0]->minute,
        );

        return $walk;
    }

    /** @return array<string, StandingStep> by activity, in the order of the plan */
    public function steps(): array
    {
        return $this->steps;
    }

    /** @return list<Waiting> by start */
    public function waits(): array
    {
        return $this->waits;
    }

    /** When the last eat of what a dish's last step gives in one round. */
    public function lastEatenAt(StandingStep $step, Feast $feast): \DateTimeImmutable
    {
        $wave = $this->rounds[$step->planned->key->dish]->wave($this->roundOf[$step->planned->activity]);
        $serving = $wave->moment->servingMinutes;
        foreach ($feast->moments as $moment) {
            if ($moment->at->getTimestamp() === $wave->until->getTimestamp()) {
                $serving = $moment->servingMinutes;
            }
        }

        return $wave->until->modify('+'.$serving.' minutes');
    }

    /** @param array<string, PlannedStep> $planned by activity */
    private function visit(PlannedDish $dish, Plan $plan, array $planned): void
    {
        if (isset($this->visited[$dish->dish->id])) {
            return;
        }
        $this->visited[$dish->dish->id] = $dish;
        foreach (array_keys($dish->batchPlan->ledger->bases()) as $slug) {
            $base = $plan->quantities->dishes['base-'.$slug] ?? null;
            if (null !== $base) {
                $this->visit($base, $plan, $planned);
            }
        }
        // Steps of a recipe stand in the order of its flow, so every source has been walked before.
        foreach ($dish->dish->recipe->steps as $step) {
            foreach ($this->rounds[$dish->dish->id]->rounds($step) as $round) {
                $at = $planned[(new StepKey($dish->dish->id, $round, $step->id))->id()] ?? null;
                if (null !== $at) {
                    $this->roundOf[$at->activity] = $round;
                    $this->steps[$at->activity] = $this->enter($at, $at->dish, $round);
                }
            }
        }
    }

    private function enter(PlannedStep $planned, PlannedDish $dish, Round $round): StandingStep
    {
        $flow = $dish->batchPlan->ledger->flow($planned->step->id);
        $share = $this->rounds[$dish->dish->id]->share($round);
        $choice = $dish->batchPlan->potOfStep()[$planned->step->id] ?? null;
        $enters = [];
        $bowls = $planned->bowls;
        $flowBowls = $flow->bowls;
        $fat = Contents::nothing();
        foreach ($planned->step->takes as $take) {
            if (null !== $take->fromStep) {
                array_push($enters, ...$this->fromStep($take, $planned, $dish, $round, $share));
            } elseif (null !== $take->fatDepthMm && null !== $take->ingredient) {
                $grams = $choice->frying->fatGrams ?? 0.0;
                $enters[] = new Entering($take, $this->fromRoom($take->ingredient, $grams), amount: array_pop($bowls)?->amount);
                $topUp = $choice->frying?->topUpGrams($share * $flow->fatDrunk) ?? 0.0;
                if ($topUp > 0) {
                    $enters[] = new Entering($take, $this->fromRoom($take->ingredient, $topUp), topUp: true);
                }
                $fat = $this->fromRoom($take->ingredient, $grams + $topUp);
            } elseif (null !== $take->base && !$dish->dish->recipe->buys($take->base)) {
                $enters[] = $this->fromBase($take, $planned, $dish, $share);
            } else {
                $bowl = array_shift($flowBowls);
                if (null !== $bowl) {
                    $what = $this->fromRoom($bowl->ingredient, $share * $bowl->grams);
                    $enters[] = new Entering($take, $what, amount: array_shift($bowls)?->amount);
                    if ($bowl->reserve > 0) {
                        $what = $this->fromRoom($bowl->ingredient, $share * $bowl->reserve);
                        $enters[] = new Entering($take, $what, amount: array_shift($bowls)?->amount, reserve: true);
                    }
                }
            }
        }

        return $this->standing($planned, $flow, $share, $choice, $enters, $fat);
    }

    /** @return list<Entering> a share of each round that it takes from */
    private function fromStep(Take $take, PlannedStep $planned, PlannedDish $dish, Round $round, float $share): array
    {
        $source = $dish->dish->recipe->step((string) $take->fromStep);
        $from = [];
        foreach ($this->rounds[$dish->dish->id]->sources($source, $planned->step, $round) as $each) {
            $from[] = $this->steps[(new StepKey($dish->dish->id, $each, $source->id))->id()] ?? null;
        }
        $from = array_values(array_filter($from));
        $batches = $dish->batchPlan->batches;
        $wanted =
            $dish->batchPlan->ledger->flow($source->id)->given($take->output)->massGrams() *
            $take->share *
            ($source->work->times($batches) / $planned->step->work->times($batches)) *
            $share;
        $there = array_sum(array_map(static fn (StandingStep $s): float => $s->given($take->output)->massGrams(), $from));

        return array_map(
            fn (StandingStep $s): Entering => new Entering(
                $take,
                $this->afterWaiting($s, $take->output, $planned)->share($wanted / max(1e-9, $there)),
                $s,
            ),
            $from,
        );
    }

    /** A base that is cooked, as warm as it has become. */
    private function fromBase(Take $take, PlannedStep $planned, PlannedDish $dish, float $share): Entering
    {
        $slug = (string) $take->base;
        $times = $planned->step->work->once ? $dish->batchPlan->batches : 1;
        $grams = (($take->grams * $dish->factor) / $dish->batchPlan->batches) * $times * $share;
        $what = Ledger::fromBase($dish->dish->recipe, $slug, $grams, $this->larder, $this->kitchen->climate);
        $base = $this->visited['base-'.$slug] ?? null;
        $last = null;
        if (null !== $base) {
            foreach ($this->rounds[$base->dish->id]->rounds($base->dish->recipe->last()) as $round) {
                $last = $this->steps[(new StepKey($base->dish->id, $round, $base->dish->recipe->lastStep))->id()] ?? $last;
            }
        }

        return null === $last
            ? new Entering($take, $what)
            : new Entering($take, $what->withCelsius($this->afterWaiting($last, null, $planned, true)->celsius), $last);
    }

    private function fromRoom(string $ingredient, float $grams): Contents
    {
        return Contents::of($ingredient, $grams, $this->kitchen->climate->roomCelsius);
    }

    /** What a step gave, as it is when another takes it up; the wait is put down. */
    private function afterWaiting(StandingStep $of, ?string $output, PlannedStep $for, bool $inJars = false): Contents
    {
        $what = $of->given($output);
        $minutes = $for->startMinute - $of->planned->endMinute;
        if ($minutes < 1 || $what->massGrams() <= 0) {
            return $what;
        }
        $wait = Waiting::between($of, $output, $for, $this->kitchen, $this->larder, $inJars);
        $this->waits[] = $wait;

        return $what->withCelsius($wait->celsius());
    }

    /** @param list<Entering> $enters */
    private function standing(
        PlannedStep $planned,
        StepFlow $flow,
        float $share,
        ?PotChoice $choice,
        array $enters,
        Contents $fat,
    ): StandingStep {
        $in = Contents::nothing();
        foreach ($enters as $entering) {
            if (null === $entering->take->fatDepthMm) {
                $in = $in->plus($entering->reserve ? $entering->what->share(Ledger::RESERVE_USED) : $entering->what, $this->larder);
            }
        }
        if (null !== $flow->really) {
            $in = $flow->really->in($in->share(1 / $share), $this->kitchen->climate->roomCelsius, $this->larder)->share($share);
        }
        $vessels = array_map(fn (string $id): Vessel => $this->kitchen->vessels[$id], $planned->vessels);
        $here = null === $choice || [] === $vessels
            ? null
            : new PotChoice($choice->run, $vessels, $choice->fullestMl, $choice->frying, $choice->reason, $choice->ownWish);
        $fire = null === $planned->burner ? null : new Fire($this->kitchen->burners[$planned->burner], $planned->flame);
        $net = null === $here || null === $fire ? 0.0 : $this->onFire->netKw($flow, $here, $fire);
        $gives = $flow->gives->share($share)->withCelsius($this->endsAt($planned, $flow, $share, $in, $net, $vessels));
        $fatLeft = $fat->share(max(0.0, 1 - ($share * $flow->fatDrunk) / max(1e-9, $fat->massGrams())))
            ->withCelsius(FireTimes::FRYING_CELSIUS);
        $readings = (new Readings($this->kitchen, $this->larder))->through($planned, $in, $gives, $enters, $this->waits);

        return new StandingStep(
            $planned,
            $flow,
            $share,
            $in->plus($fat, $this->larder),
            $gives,
            $fatLeft,
            $enters,
            $this->levels($flow, $share, $choice, $vessels),
            $net,
            $readings,
        );
    }

    /**
     * How warm it is at the end: on a fire as hot as its heat makes it, no hotter than it gets there; off it as cool as its minutes let it.
     *
     * @param list<Vessel> $vessels
     */
    private function endsAt(PlannedStep $planned, StepFlow $flow, float $share, Contents $in, float $net, array $vessels): float
    {
        $aim = $flow->gives->celsius;
        if (Flame::None !== $planned->step->work->flame) {
            if ($net <= 0.0 || $flow->step->process->facts()->browns) {
                return $aim;
            }
            $left = $net * 60 * $planned->minutes() - ($share * $flow->waterOff / 1000) * BoilOff::KJ_PER_KG;
            $capacity = max(1e-9, $in->heatCapacityKj($this->larder));

            return min($aim, $in->celsius + max(0.0, $left) / $capacity);
        }
        if (Growth::Cooling === $planned->step->work->time->growth) {
            return min($in->celsius, $aim);
        }
        $around = $this->kitchen->climate->roomCelsius;
        $tau = $this->cools->tauMinutes($in, $vessels[0] ?? null, max(1, \count($vessels)), $planned->step->work->time->medium->filmWm2K());

        return $around + ($in->celsius - $around) * exp(-$planned->minutes() / $tau);
    }

    /**
     * @param list<Vessel> $vessels
     *
     * @return list<VesselLevel>
     */
    private function levels(StepFlow $flow, float $share, ?PotChoice $choice, array $vessels): array
    {
        $counted = null === $choice ? 0.0 : \count($choice->vessels) * $choice->standsMl($flow);
        $ml = ($share * $counted) / max(1, \count($vessels));

        return array_map(
            fn (Vessel $v): VesselLevel => new VesselLevel(
                $v,
                $v->shape->depthMm($ml),
                $ml / $v->shape->brimfulMl(),
                $this->kitchen->rules->fillLimits->share($flow->fill()),
            ),
            $vessels,
        );
    }
}
