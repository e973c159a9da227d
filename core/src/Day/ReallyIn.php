<?php

declare(strict_types=1);

namespace FeastLadle\Day;

use FeastLadle\Amounts\BatchFlow;
use FeastLadle\Amounts\PlannedDish;
use FeastLadle\Amounts\Round;
use FeastLadle\Day\Happening\BowlIn;
use FeastLadle\Day\Happening\Corrected;
use FeastLadle\Day\Happening\OfStep;
use FeastLadle\Day\Happening\SlipKind;
use FeastLadle\Day\Happening\Slipped;
use FeastLadle\Day\Happening\StepDone;
use FeastLadle\Day\Happening\StepNotDone;
use FeastLadle\Day\Happening\StepStarted;
use FeastLadle\Day\Slips\Way;
use FeastLadle\Day\Slips\WayKind;
use FeastLadle\Feast\Feast;
use FeastLadle\Flow\Contents;
use FeastLadle\Flow\Ledger;
use FeastLadle\Flow\Really;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Syrup\Stage;
use FeastLadle\Timing\StepTimer;

/**
 * What really went into the pots, heard event by event; the ledger of each batch is walked again with it. What is told of one batch stays
 * in that batch; what is done once for all batches finds the mean of them.
 */
final class ReallyIn
{
    /** @var array<string, array<string, array<string, array<string, Really>>>> by dish, round, step and what was said */
    private array $said = [];

    /** @var array<string, PlannedStep> by id */
    private array $planned = [];

    /** @var array<string, PlannedStep> heard of last, by dish and by vessel */
    private array $last = [];

    /** @var array<string, array<string, PlannedDish>> by dish and round */
    private array $walked = [];

    public function __construct(
        private readonly Feast $feast,
        Plan $plan,
        private readonly Kitchen $kitchen,
        private readonly Larder $larder,
    ) {
        foreach ($plan->steps as $step) {
            $this->planned[$step->key->id()] = $step;
        }
    }

    public function hear(Event $event): void
    {
        $what = $event->what;
        if ($what instanceof Corrected) {
            $step = $this->last[$what->vessel ?? ''] ?? $this->last[$what->dish ?? ''] ?? null;
            $grams = null === $what->ingredient ? null : $what->grams ?? (null === $what->measure
                ? null
                : SpokenMeasure::grams($what->measure, $this->larder->get($what->ingredient), $this->kitchen));
            if (null !== $step && null !== $what->ingredient && null !== $grams) {
                $this->say($step, $event->id, Really::asPlanned()->plus($what->ingredient, $grams / $this->share($step)));
            }

            return;
        }
        $step = $what instanceof OfStep ? $this->planned[$what->step()] ?? null : null;
        if (null === $step) {
            return;
        }
        if ($what instanceof StepStarted || $what instanceof StepDone) {
            foreach ([$step->key->dish, ...$step->vessels] as $id) {
                $this->last[$id] = $step;
            }
        }
        if ($what instanceof StepDone && null !== $what->grams) {
            $this->say($step, 'done', Really::asPlanned()->weighed($what->grams / $this->share($step)));
        } elseif ($what instanceof StepNotDone) {
            $this->say($step, 'done', null);
        } elseif ($what instanceof BowlIn) {
            $bowl = $this->bowl($step, $what->bowl, $what->reserve);
            $planned = $what->reserve ? Ledger::RESERVE_USED : 1.0;
            $share = null === $what->grams ? 1.0 : $what->grams / max(1e-9, $this->share($step) * $bowl->massGrams());
            $this->say($step, ($what->reserve ? 'reserve-' : 'bowl-').$what->bowl, Really::asPlanned()->more($bowl, $share - $planned));
        } elseif ($what instanceof Slipped) {
            [$key, $really] = $this->slipped($event, $what, $step);
            $this->say($step, $key, $really);
        }
    }

    /** A way on that was taken. */
    public function heal(Event $slip, Slipped $what, PlannedStep $step, Way $way): void
    {
        if (WayKind::Anew === $way->kind) {
            unset($this->said[$step->key->dish][$step->key->round->id()], $this->walked[$step->key->dish]);
        } elseif ([] !== $way->adds && SlipKind::WentPast === $what->slip) {
            // It is brought back to where it was to be.
            $this->say($step, $slip->id, null);
        } elseif ([] !== $way->adds) {
            $really = Really::asPlanned();
            foreach ($way->adds as $added) {
                $really = $really->plus($added->thing->id, $added->grams / $this->share($step));
            }
            $this->say($step, 'way-'.$slip->id, $really);
        }
    }

    /** Whether anything was told of a dish that is not as planned. */
    public function isOf(string $dish): bool
    {
        return [] !== ($this->said[$dish] ?? []);
    }

    /** A plan of the same steps with what really stands in their pots. */
    public function in(Plan $plan): Plan
    {
        if ([] === array_filter($this->said)) {
            return $plan;
        }
        $planned = [];
        foreach ($this->planned as $step) {
            $planned[$step->activity] = $step;
        }

        return $plan->withSteps(array_map(
            fn (PlannedStep $s): PlannedStep => isset($planned[$s->activity])
                ? $s->cookedAs($this->at($planned[$s->activity])->dish)
                : $s,
            $plan->steps,
        ));
    }

    /** The step with what really stands in its pots. */
    public function at(PlannedStep $step): PlannedStep
    {
        $dish = $step->key->dish;
        if (!$this->isOf($dish)) {
            return $step;
        }
        $this->walked[$dish][$step->key->round->id()] ??= $step->dish->cookedAs($this->walk($step->dish, $step->key->round));

        return $step->cookedAs($this->walked[$dish][$step->key->round->id()]);
    }

    /** How many times as long a step takes as with what was planned; 1 where nothing tells it. */
    public function timesAsLong(PlannedStep $step): float
    {
        $really = $this->at($step);
        if ($really === $step) {
            return 1.0;
        }
        $burner = $this->kitchen->burners[$step->burner ?? ''] ?? null;
        $minutes = function (PlannedStep $of, float $times) use ($step, $burner): ?float {
            $flow = $of->dish->batchPlan->ledger->flow($step->step->id);
            $pot = $step->dish->batchPlan->potOfStep()[$step->step->id] ?? null;

            return (new StepTimer($this->kitchen, $this->larder))
                ->minutes($flow, $pot, $times * $step->dish->scaleOf($step->step), $burner)?->exact;
        };
        $mass = static fn (PlannedStep $of): float => $of->dish->batchPlan->ledger->flow($step->step->id)->taken->massGrams();
        $planned = $minutes($step, 1.0);
        $now = $minutes($really, $mass($really) / max(1e-9, $mass($step)));

        return null === $planned || null === $now || $planned <= 0 ? 1.0 : $now / $planned;
    }

    private function say(PlannedStep $step, string $key, ?Really $really): void
    {
        [$dish, $round] = [$step->key->dish, $step->key->round->id()];
        unset($this->said[$dish][$round][$step->step->id][$key]);
        if (null !== $really) {
            $this->said[$dish][$round][$step->step->id][$key] = $really;
        }
        unset($this->walked[$dish]);
    }

    /** @return array{string, Really|null} */
    private function slipped(Event $event, Slipped $slip, PlannedStep $step): array
    {
        $bowl = null === $slip->bowl ? Contents::nothing() : $this->bowl($step, $slip->bowl, false);
        $key = 'bowl-'.$slip->bowl;
        $none = Really::asPlanned()->more($bowl, -1.0);
        $share = $slip->share ?? 0.0;
        $boil = $this->kitchen->climate->boilingCelsius();

        return match ($slip->slip) {
            SlipKind::Forgotten => [$key, $none],
            SlipKind::Swapped => [
                $key,
                null === $slip->ingredient ? $none : $none->plus($slip->ingredient, $bowl->massGrams()),
            ],
            SlipKind::TooMuch, SlipKind::TooLittle => [
                $key,
                null === $slip->grams
                    ? null
                    : Really::asPlanned()->more($bowl, $slip->grams / max(1e-9, $this->share($step) * $bowl->massGrams()) - 1),
            ],
            SlipKind::SomethingElse => [
                $event->id,
                null === $slip->ingredient
                    ? null
                    : Really::asPlanned()->plus($slip->ingredient, ($slip->grams ?? 0.0) / $this->share($step)),
            ],
            SlipKind::Spilt, SlipKind::Dropped => [$event->id, $share < 1 ? Really::asPlanned()->spilt($share) : null],
            SlipKind::WentPast => [
                $event->id,
                match (true) {
                    null !== $slip->share => Really::asPlanned()->downTo($slip->share),
                    null !== $slip->celsius => Really::asPlanned()->risenBy($slip->celsius - $boil),
                    null !== ($stage = Stage::tryFrom((string) $slip->stage)) => Really::asPlanned()->risenBy($stage->aimRise()),
                    default => null,
                },
            ],
            default => [$event->id, null],
        };
    }

    /** What a bowl holds for one doing of the step, by its number in the recipe's document. */
    private function bowl(PlannedStep $step, int $number, bool $reserve): Contents
    {
        $ledger = $this->at($step)->dish->batchPlan->ledger;
        $take = $step->step->bowl($number);
        if (null === $take || null !== $take->fatDepthMm) {
            return Contents::nothing();
        }
        $room = $this->kitchen->climate->roomCelsius;
        if (null !== $take->fromStep) {
            $from = $ledger->flow($take->fromStep);
            $each = $from->step->work->times($ledger->batches) / $step->step->work->times($ledger->batches);

            return $from->given($take->output)->share($take->share * $each);
        }
        if (null !== $take->base) {
            $grams = $take->grams * $step->dish->scaleOf($step->step);

            return Ledger::fromBase($step->dish->dish->recipe, $take->base, $grams, $this->larder, $this->kitchen->climate);
        }
        $bowl = $ledger->flow($step->step->id)->bowlOf($take);

        return null === $bowl ? Contents::nothing() : Contents::of($bowl->ingredient, $reserve ? $bowl->reserve : $bowl->grams, $room);
    }

    private function walk(PlannedDish $dish, Round $round): Ledger
    {
        $ledger = $dish->batchPlan->ledger;
        $really = $steam = [];
        foreach ($this->said[$dish->dish->id] as $of => $steps) {
            $share = self::shareIn($round, (string) $of, $ledger->batches);
            foreach (0.0 === $share ? [] : $steps as $step => $parts) {
                foreach ($parts as $part) {
                    $really[$step] = ($really[$step] ?? Really::asPlanned())->and($part, $share);
                }
            }
        }
        foreach ($ledger->flows as $step => $flow) {
            foreach ($flow->bowls as $bowl) {
                if ($bowl->boilsOffAsWritten > 0) {
                    $steam[$step] = $bowl->boilsOff / $bowl->boilsOffAsWritten;
                }
            }
        }

        return Ledger::follow(
            $dish->dish->recipe,
            $this->larder,
            $dish->factor,
            $ledger->batches,
            $this->kitchen->climate,
            $steam,
            $really,
        );
    }

    /** How much of what was told of one round is found in another: what is done once for all batches finds the mean of them. */
    private static function shareIn(Round $round, string $of, int $batches): float
    {
        $once = Round::once()->id();

        return match (true) {
            $of === $round->id(), $of === $once => 1.0,
            null === $round->batch && ctype_digit($of) => 1 / $batches,
            default => 0.0,
        };
    }

    /** Of one doing of the step; a wave takes up some of the batches. */
    private function share(PlannedStep $step): float
    {
        return null === $step->key->round->wave ? 1.0 : BatchFlow::of($this->feast, $step->dish)->share($step->key->round);
    }
}
