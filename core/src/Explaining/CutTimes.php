<?php

declare(strict_types=1);

namespace FeastLadle\Explaining;

use FeastLadle\Heat\Cooling;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Step;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Timing\CoolingTimes;
use FeastLadle\Tray\CutWindow;

/** When a slab that sets in its tray is to be scored, cut or parted: by the law of its cooling, from when it was poured. */
final readonly class CutTimes
{
    public function __construct(private Larder $larder)
    {
    }

    /**
     * @return array<string, list<array{window: CutWindow, from: \DateTimeImmutable, to: \DateTimeImmutable|null}>> by
     *     activity, where something is cut
     */
    public function ofPlan(Plan $plan, Kitchen $kitchen): array
    {
        $times = [];
        foreach ($plan->steps as $step) {
            $times[$step->activity] = $this->of($step, $kitchen);
        }

        return array_filter($times);
    }

    /**
     * @return list<array{window: CutWindow, from: \DateTimeImmutable, to: \DateTimeImmutable|null}> empty for what is not a
     *     slab that is cut
     */
    public function of(PlannedStep $planned, Kitchen $kitchen): array
    {
        $pot = $planned->dish->batchPlan->potOfStep()[$planned->step->id] ?? null;
        if (Process::Set !== $planned->step->process || null === $pot) {
            return [];
        }
        $flow = $planned->dish->batchPlan->ledger->flow($planned->step->id);
        $poured = $flow->taken->celsius;
        $tau = (new CoolingTimes($kitchen, $this->larder))->tauMinutes($flow, $pot);
        $times = [];
        foreach ($this->windows($planned) as $window) {
            $from = Cooling::minutes($tau, $poured, $window->fromCelsius(), $kitchen->climate->roomCelsius);
            $to =
                null === $window->toCelsius()
                    ? null
                    : Cooling::minutes($tau, $poured, $window->toCelsius(), $kitchen->climate->roomCelsius);
            if (null !== $from) {
                $times[] = [
                    'window' => $window,
                    'from' => self::after($planned->start, $from),
                    'to' => null === $to ? null : self::after($planned->start, $to),
                ];
            }
        }

        return $times;
    }

    /** @return list<CutWindow> what the steps after it ask for */
    private function windows(PlannedStep $planned): array
    {
        $after = array_map(
            static fn (Step $s): Process => $s->process,
            array_filter(
                $planned->dish->dish->recipe->steps,
                static fn (Step $s): bool => \in_array($planned->step->id, $s->sources(), true),
            ),
        );
        $windows = [];
        if (\in_array(Process::Score, $after, true) || \in_array(Process::Part, $after, true)) {
            $windows[] = CutWindow::Score;
        }
        if (\in_array(Process::Cut, $after, true)) {
            $windows[] = $planned->step->work->target->value >= 40 ? CutWindow::Warm : CutWindow::Cold;
        }
        if (\in_array(Process::Part, $after, true)) {
            $windows[] = CutWindow::Cold;
        }

        return $windows;
    }

    private static function after(\DateTimeImmutable $start, float $minutes): \DateTimeImmutable
    {
        return $start->setTimestamp($start->getTimestamp() + 60 * (int) round($minutes));
    }
}
