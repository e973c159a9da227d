<?php

declare(strict_types=1);

namespace FeastLadle\Modelling;

use FeastLadle\Amounts\Making;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\Wait;
use FeastLadle\Batch\PotChoice;
use FeastLadle\Feast\Feast;
use FeastLadle\Flow\StepFlow;
use FeastLadle\Heat\Flame;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\AttentionKind;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\SharedWork;
use FeastLadle\Recipe\Step;
use FeastLadle\Schedule\Activity;
use FeastLadle\Schedule\DurationRange;
use FeastLadle\Schedule\Need;
use FeastLadle\Schedule\NeedReference;
use FeastLadle\Timing\Minutes;
use FeastLadle\Timing\StepTimer;

/** What each step of a dish asks for, a fire, hands, cold space, and how long it takes there. */
final readonly class StepNeeds
{
    public const COLD = 'cold-space';

    public const DRYING = 'drying-space';

    /** What dries lies in one layer, about so deep: a litre on a square metre is a millimetre. */
    private const SPREAD_MM = 8.0;

    /** Before the id of a tool: it may be called as a vessel is. */
    public const TOOL = 'tool:';

    private const MOSTLY_FAT = 0.8;

    /** A fire that takes so many times as long as the best is no choice where others wait beside it. */
    private const MUCH_SLOWER = 1.25;

    private HandsNeeds $hands;

    private VesselNeeds $vessels;

    public function __construct(
        Feast $feast,
        private Kitchen $kitchen,
        private Larder $larder,
        private StepTimer $timer,
        private Making $making = new Making(),
    ) {
        $this->hands = new HandsNeeds($feast, $kitchen, $making);
        $this->vessels = new VesselNeeds($kitchen, $larder, $timer, $making);
    }

    /**
     * @return array{array<string, list<Need>>, array<string, DurationRange>}|Obstacle needs (references name the step in
     *     place of the activity) and minutes by step
     */
    public function of(PlannedDish $planned): array|Obstacle
    {
        $pots = $planned->batchPlan->potOfStep();
        $needs = [];
        $ranges = [];
        $exact = [];
        foreach ($planned->dish->recipe->steps as $step) {
            $range = $this->needsOf($planned, $step, $pots, $needs, $exact);
            if ($range instanceof Obstacle) {
                return $range;
            }
            $ranges[$step->id] = $range;
        }
        $ranges = $this->summedBeforeRounding($planned, $ranges, $exact);
        foreach ($planned->dish->recipe->steps as $step) {
            $this->stretch($planned, $step, $pots, $needs, $ranges);
        }

        return [$needs, $ranges];
    }

    /**
     * Steps under a minute that follow each other take together what their sum comes to, not a minute each.
     *
     * @param array<string, DurationRange> $ranges
     * @param array<string, float>         $exact
     *
     * @return array<string, DurationRange>
     */
    private function summedBeforeRounding(PlannedDish $planned, array $ranges, array $exact): array
    {
        $chains = [];
        $chainOf = [];
        foreach ($planned->dish->recipe->steps as $step) {
            if (!isset($exact[$step->id]) || $exact[$step->id] >= 1 || 1 !== $ranges[$step->id]->likely) {
                continue;
            }
            $sources = $step->sources();
            $chain = 1 === \count($sources) ? $chainOf[$sources[0]] ?? $step->id : $step->id;
            $chainOf[$step->id] = $chain;
            $chains[$chain][] = $step->id;
        }
        foreach ($chains as $steps) {
            $sum = array_sum(array_map(static fn (string $id): float => $exact[$id], $steps));
            $whole = max(1, (int) round($sum));
            $soFar = 0.0;
            $before = 0;
            foreach (\count($steps) > 1 ? $steps : [] as $id) {
                $soFar += $exact[$id];
                $until = (int) round(($soFar / max(1e-9, $sum)) * $whole);
                $ranges[$id] = new DurationRange(0, $until - $before, max($until - $before, $ranges[$id]->max));
                $before = $until;
            }
        }

        return $ranges;
    }

    /**
     * Minutes until the first load of a step is out.
     *
     * @param array<string, PotChoice>     $pots
     * @param array<string, DurationRange> $ranges
     */
    public function firstLoad(PlannedDish $planned, string $source, array $pots, array $ranges): int
    {
        return (int) ceil(
            $ranges[$source]->likely / $this->timer->loads($planned->batchPlan->ledger->flow($source), $pots[$source] ?? null),
        );
    }

    /** Minutes that the last load still takes after it has come. */
    public function oneLoad(Step $step, DurationRange $own): int
    {
        return min($own->likely, (int) ceil($step->work->time->likelyMinutes));
    }

    /**
     * A step that takes each load as it comes out lasts as long as the loads keep coming; it takes hands only by the way.
     *
     * @param array<string, PotChoice>     $pots
     * @param array<string, list<Need>>    $needs
     * @param array<string, DurationRange> $ranges
     */
    private function stretch(PlannedDish $planned, Step $step, array $pots, array &$needs, array &$ranges): void
    {
        foreach ($step->takes as $take) {
            if (null === $take->fromStep || !$take->manner->straightOn) {
                continue;
            }
            // Whoever takes up the loads waits for the slowest fire there may be: those that are much slower are left out.
            $needs[$take->fromStep] = array_map(self::withoutTheSlow(...), $needs[$take->fromStep]);
            $first = $this->firstLoad($planned, $take->fromStep, $pots, $ranges);
            $longest = max([
                $ranges[$take->fromStep]->likely,
                ...array_merge(...array_map(static fn (Need $n): array => array_values($n->durations), $needs[$take->fromStep])),
            ]);
            $own = $ranges[$step->id];
            $more = max(0, $longest - $first + $this->oneLoad($step, $own) - $own->likely);
            $ranges[$step->id] = new DurationRange($own->min + $more, $own->likely + $more, $own->max + $more);
            $needs[$step->id] = array_map(
                static fn (Need $n): Need => new Need(
                    $n->from,
                    $n->count,
                    // Fires and pots have one unit, people a hundred.
                    0 === $more || $n->units < 10 ? $n->units : max(10, (int) ceil(($n->units * $own->likely) / ($own->likely + $more))),
                    array_map(static fn (int $minutes): int => $minutes + $more, $n->durations),
                    $n->sameAs,
                ),
                $needs[$step->id],
            );
        }
    }

    private static function withoutTheSlow(Need $need): Need
    {
        if ([] === $need->durations) {
            return $need;
        }
        $most = self::MUCH_SLOWER * min($need->durations);
        $quick = array_filter($need->durations, static fn (int $minutes): bool => $minutes <= $most);

        return \count($quick) < $need->count
            ? $need
            : new Need(
                array_values(array_filter($need->from, static fn (string $r): bool => isset($quick[$r]))),
                $need->count,
                $need->units,
                $quick,
                $need->sameAs,
            );
    }

    /**
     * @param array<string, PotChoice>  $pots
     * @param array<string, list<Need>> $needs by step; references name the step in place of the activity. Filled here.
     * @param array<string, float>      $exact likely minutes before rounding, of steps that take the same on any fire. Filled here.
     */
    private function needsOf(PlannedDish $planned, Step $step, array $pots, array &$needs, array &$exact): DurationRange|Obstacle
    {
        $flow = $planned->batchPlan->ledger->flow($step->id);
        $pot = $pots[$step->id] ?? null;
        $needs[$step->id] = [];
        $range = null;
        if (Flame::None !== $step->work->flame && null !== $pot) {
            $times = $this->onEachBurner($planned, $flow, $pot);
            if ([] === $times) {
                return new Obstacle(
                    $planned->dish->id,
                    'No fire of this kitchen gets "{step}" done in {pot}: what the open pot loses is more than the fire gives.',
                    ['step' => $step->title, 'pot' => $pot->vessel()->name],
                    ObstacleKind::Heat,
                    $step->id,
                );
            }
            $likely = array_map(static fn (Minutes $m): int => $m->likely, $times);
            asort($likely);
            $quickest = $times[(string) array_key_first($likely)];
            $range = new DurationRange($quickest->min, $quickest->likely, $quickest->max);
            $same = \count(array_unique($likely)) < 2;
            if ($same) {
                $exact[$step->id] = $quickest->exact;
            }
            $former = $step->vessel?->continues;
            $before = null === $former ? null : $planned->dish->recipe->step($former);
            $durations = $same ? [] : array_map(static fn (Minutes $m): int => $m->likely, $times);
            if (
                null !== $before
                && Flame::None !== $before->work->flame
                && [] ===
                    array_diff(
                        array_keys($this->onEachBurner($planned, $planned->batchPlan->ledger->flow($before->id), $pot)),
                        array_keys($times),
                    )
            ) {
                // The pot stays on the fire it stands on.
                $needs[$step->id][] = new Need([], 1, 1, $durations, NeedReference::ofActivity($before->id, 0));
            } else {
                $needs[$step->id][] = new Need(array_keys($likely), 1, 1, $durations);
            }
        }
        if (null === $range) {
            $minutes = $this->vessels->minutes($planned, $flow, $pot, null);
            if (null === $minutes) {
                return new Obstacle($planned->dish->id, '"{step}" never gets as cool as it must in a room of {room} °C.', [
                    'step' => $step->title,
                    'room' => $this->kitchen->climate->roomCelsius,
                ], ObstacleKind::Heat, $step->id);
            }
            $range = new DurationRange($minutes->min, $minutes->likely, $minutes->max);
            $exact[$step->id] = $minutes->exact;
        }
        if ($step->standsAlone()) {
            $range = match ($this->making->wait($planned->dish->id)) {
                Wait::Usual => $range,
                Wait::Least => new DurationRange($range->min, $range->min, $range->max),
                Wait::Most => new DurationRange($range->min, $range->max, $range->max),
            };
        }
        $atIt = $this->hands->atIt($planned, $step, $range);
        if ($atIt > $step->work->attention->people) {
            // Each takes a part of it, side by side.
            $range = $range->times(SharedWork::share($atIt) / SharedWork::share($step->work->attention->people));
            unset($exact[$step->id]);
        }
        if (AttentionKind::None !== $step->work->attention->kind) {
            $hands = $this->hands->of($planned, $step, $range, $atIt);
            if ($hands instanceof Obstacle) {
                return $hands;
            }
            $needs[$step->id] = [...$needs[$step->id], ...$hands];
        }
        foreach (Process::HotFat === $step->process ? $step->sources() : [] as $source) {
            $given = $planned->batchPlan->ledger->flow($source)->gives;
            if (
                Flame::None !== $planned->dish->recipe->step($source)->work->flame
                && $given->fatGrams($this->larder) > self::MOSTLY_FAT * $given->massGrams()
                && [] !== $needs[$source]
            ) {
                // It is ladled from the fire it was heated on, until the last ladle.
                $needs[$step->id][] = new Need([], 1, 1, [], NeedReference::ofActivity($source, 0));
            }
        }
        $tool = $this->kitchen->toolFor($step->process);
        if (null !== $tool) {
            $needs[$step->id][] = new Need([self::TOOL.$tool->id]);
        }
        if (Process::Chill === $step->process) {
            $litres = (int) ceil($flow->taken->volumeMl($this->larder) / 1000);
            if ($litres > $this->kitchen->storeroom->coldLitres) {
                return new Obstacle($planned->dish->id, '"{step}" needs {litres} litres of cold space; there are {there}.', [
                    'step' => $step->title,
                    'litres' => $litres,
                    'there' => $this->kitchen->storeroom->coldLitres,
                ], ObstacleKind::Space, $step->id);
            }
            $needs[$step->id][] = new Need([self::COLD], 1, max(1, $litres));
        }

        if (Process::Dry === $step->process && $this->kitchen->storeroom->dryingM2 > 0) {
            $squareMetres = $flow->taken->volumeMl($this->larder) / 1000 / self::SPREAD_MM;
            if ($squareMetres > $this->kitchen->storeroom->dryingM2) {
                return new Obstacle(
                    $planned->dish->id,
                    '"{step}" needs {wanted} m² to be spread on; there are {there}. Dry it in turns, or the day before.',
                    ['step' => $step->title, 'wanted' => round($squareMetres, 1), 'there' => $this->kitchen->storeroom->dryingM2],
                    ObstacleKind::Space,
                    $step->id,
                );
            }
            $needs[$step->id][] = new Need([self::DRYING], 1, max(1, (int) ceil(100 * $squareMetres)));
        }

        return $range;
    }

    /** @return array<string, Minutes> by burner id, only those that get it done */
    private function onEachBurner(PlannedDish $planned, StepFlow $flow, PotChoice $pot): array
    {
        $times = [];
        foreach ($this->kitchen->burners as $burner) {
            $minutes = $this->vessels->minutes($planned, $flow, $pot, $burner);
            if (null !== $minutes) {
                $times[$burner->id] = $minutes;
            }
        }

        return $times;
    }
}
