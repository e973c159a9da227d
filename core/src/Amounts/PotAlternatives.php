<?php

declare(strict_types=1);

namespace FeastLadle\Amounts;

use FeastLadle\Batch\PotChoice;
use FeastLadle\Flow\Ledger;
use FeastLadle\Heat\Flame;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Timing\StepTimer;

/** One big pot or several small: what a run takes in each vessel it could go into, on the fire that does it quickest. */
final readonly class PotAlternatives
{
    private const MOST_SHOWN = 4;
    private const MOST_BATCHES = 12;

    private StepTimer $timer;

    public function __construct(private Kitchen $kitchen, private Larder $larder)
    {
        $this->timer = new StepTimer($kitchen, $larder);
    }

    /**
     * @return list<array{vessel: string, batches: int, minutes: int, chosen: bool}> minutes of the run in one batch;
     *     quickest in all first
     */
    public function of(PlannedDish $planned, PotChoice $choice): array
    {
        if (!$choice->run->isHeated() || null !== $choice->frying) {
            return [];
        }
        $ledgers = [];
        $rows = [];
        foreach ($this->kitchen->vessels as $vessel) {
            if ($vessel->kind !== $choice->run->kind) {
                continue;
            }
            for ($batches = 1; $batches <= self::MOST_BATCHES; ++$batches) {
                $ledgers[$batches] ??= Ledger::follow(
                    $planned->dish->recipe,
                    $this->larder,
                    $planned->factor,
                    $batches,
                    $this->kitchen->climate,
                );
                $run = null;
                foreach ($ledgers[$batches]->runs($this->kitchen->rules->fillLimits) as $candidate) {
                    $run = $candidate->id === $choice->run->id ? $candidate : $run;
                }
                if (null === $run || $run->needBrimMl > $vessel->shape->brimfulMl() + 1e-6 || $run->isTooMuch()) {
                    continue;
                }
                $minutes = $this->minutes(
                    new PotChoice($run, [$vessel], $run->fullest->fullestMl, null, $choice->reason, false),
                    $planned->factor / $batches,
                );
                if (null !== $minutes) {
                    $rows[] = [
                        'vessel' => $vessel->name,
                        'batches' => $batches,
                        'minutes' => $minutes,
                        'chosen' => $vessel->id === $choice->vessel()->id && $batches === $planned->batchPlan->batches,
                    ];
                }
                break;
            }
        }
        usort(
            $rows,
            static fn (array $a, array $b): int => [$a['minutes'] * $a['batches'], $a['batches']] <=> [
                $b['minutes'] * $b['batches'],
                $b['batches'],
            ],
        );

        return \array_slice($rows, 0, self::MOST_SHOWN);
    }

    private function minutes(PotChoice $choice, float $scale): ?int
    {
        $sum = 0;
        foreach ($choice->run->flows as $flow) {
            $best = null;
            foreach (Flame::None === $flow->step->work->flame ? [null] : $this->kitchen->burners as $burner) {
                $minutes = $this->timer->minutes($flow, $choice, $scale, $burner)?->likely;
                $best = null === $minutes ? $best : min($best ?? $minutes, $minutes);
            }
            if (null === $best) {
                return null;
            }
            $sum += $best;
        }

        return $sum;
    }
}
