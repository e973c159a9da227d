<?php

declare(strict_types=1);

namespace FeastLadle\Standing;

use FeastLadle\Amounts\BatchFlow;
use FeastLadle\Amounts\DemandCurve;
use FeastLadle\Feast\Feast;
use FeastLadle\Heat\Evaporation;
use FeastLadle\Keeping\TwoClocks;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\ServingWay;
use FeastLadle\Solving\Plan;

/** What each dish wants while it is held: heated again before it is too cold or its clock warns, loosened before it is eaten. */
final readonly class HoldTasks
{
    /** What has drunk and lost less of itself than this looks as it did. Kitchen estimate. */
    private const SEEN_SHARE = 0.02;

    /** From this share of water on a thing loosens. */
    private const LIQUID = 0.85;

    public function __construct(private Feast $feast, private Plan $plan, private Kitchen $kitchen, private Larder $larder)
    {
    }

    /** @return list<HoldTask> by the minute */
    public function of(HeldDish $held): array
    {
        $tasks = [...array_filter([$this->reheating($held)]), ...$this->loosening($held)];
        usort($tasks, static fn (HoldTask $a, HoldTask $b): int => $a->minute <=> $b->minute);

        return $tasks;
    }

    /** A hot or warm dish that nothing keeps hot: when it would come to the plate too cold, and before its clock warns. */
    private function reheating(HeldDish $held): ?HoldTask
    {
        $serving = $held->last->planned->dish->dish->recipe->serving;
        if (null !== $held->exempt || Place::Room !== $held->place || !\in_array($serving, [ServingWay::Hot, ServingWay::Warm], true)) {
            return null;
        }
        $served = $this->servedAt($held);
        [$least] = $serving->servedCelsius();
        $readings = $held->readings;
        $until = $readings[\count($readings) - 1];
        $by = $held->warns() ? $until->minute - ($held->bandMinutes - TwoClocks::WARN_MINUTES) : null;
        $from = $readings[0];
        foreach ($readings as $reading) {
            if ($reading->celsius < $least && $from->celsius >= $least) {
                $fell = $from->celsius - $reading->celsius;
                $cold = $from->minute + (($from->celsius - $least) / $fell) * ($reading->minute - $from->minute);
                $by = min($by ?? \INF, max($cold, $served));
            }
            $from = $reading;
        }

        return null === $by ? null : HoldTask::reheat(max($readings[0]->minute, $by));
    }

    /**
     * Where its grain goes on drinking: at each moment at which it is eaten, what has been drunk and lost as steam since it stood ready or
     * was loosened, for those who have not eaten yet.
     *
     * @return list<HoldTask>
     */
    private function loosening(HeldDish $held): array
    {
        $planned = $held->last->planned;
        $former = $held->readings[0]->minute;
        $thickens = $this->thickensFrom($planned->key->dish, $former);
        if (null === $thickens || ServingWay::Cold === $planned->dish->dish->recipe->serving) {
            return [];
        }
        $gives = $held->last->gives;
        $shape = $held->vessel?->shape;
        $surface = $shape?->surfaceM2($shape->depthMm(min($shape->brimfulMl(), $gives->volumeMl($this->larder)))) ?? 0.0;
        $celsius = ($held->readings[0]->celsius + $held->readings[\count($held->readings) - 1]->celsius) / 2;
        $wave = BatchFlow::of($this->feast, $planned->dish)->wave($planned->key->round);
        $calls = array_filter(
            DemandCurve::of($this->feast, $planned->dish),
            static fn (array $call): bool => $call['now'] > 0 && $call['at'] >= $wave->moment->at && $call['at'] <= $wave->until,
        );
        $all = $left = array_sum(array_column($calls, 'now'));
        $tasks = [];
        foreach ($calls as $call) {
            $at = max($former, $this->minute($call['at']));
            $grams =
                $gives->drinksGrams($at - $thickens, $this->larder)
                - $gives->drinksGrams($former - $thickens, $this->larder)
                + Evaporation::gramsUnderLid($celsius, $surface, $at - $former, $this->kitchen->climate);
            if ($grams >= self::SEEN_SHARE * $gives->massGrams()) {
                $tasks[] = HoldTask::loosen($at, $this->liquid($held), ($grams * $left) / $all);
                $former = $at;
            }
            $left -= $call['now'];
        }

        return $tasks;
    }

    /** The end of the last step after which it thickens. */
    private function thickensFrom(string $dish, float $until): ?float
    {
        $from = null;
        foreach ($this->plan->steps as $step) {
            if ($step->key->dish === $dish && true === $step->step->gives->keeping?->thickens && $step->endMinute <= $until) {
                $from = max($from ?? 0.0, (float) $step->endMinute);
            }
        }

        return $from;
    }

    /** When the first eat of it. */
    private function servedAt(HeldDish $held): float
    {
        $planned = $held->last->planned;
        $at = BatchFlow::of($this->feast, $planned->dish)->wave($planned->key->round)->moment->at;

        return max($held->readings[0]->minute, $this->minute($at));
    }

    private function minute(\DateTimeImmutable $at): float
    {
        return ($at->getTimestamp() - $this->plan->origin->getTimestamp()) / 60;
    }

    /** The thin liquid it has most of already: milk into what is milky, else water. */
    private function liquid(HeldDish $held): string
    {
        $most = 0.0;
        $liquid = 'water';
        foreach ($held->last->gives->grams as $id => $grams) {
            if ($grams > $most && $this->larder->get($id)->composition->water >= self::LIQUID) {
                [$most, $liquid] = [$grams, $id];
            }
        }

        return $liquid;
    }
}
