<?php

declare(strict_types=1);

namespace App\View;

use App\Service\CookingDay;
use App\Service\OpenFeast;
use FeastLadle\Cards\CardMaker;
use FeastLadle\Cards\Ready;
use FeastLadle\Explaining\CarriedOver;
use FeastLadle\Explaining\CutTimes;
use FeastLadle\Explaining\StopSign;
use FeastLadle\Explaining\StopSigns;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Larder\Larder;
use FeastLadle\Safety\Caution;
use FeastLadle\Safety\Cautions;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tray\CutWindow;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/**
 * The board of the cooking day: for each person what to do now and what comes next; what stands by itself; what is done.
 *
 * @phpstan-type Card array{step: PlannedStep, client: string, due: bool, overdue: bool, cautions: list<Caution>,
 *     cuts: list<array{window: CutWindow, from: \DateTimeImmutable, to: \DateTimeImmutable|null}>, goesOn: int|null,
 *     ready: Ready|null, stop: StopSign|null}
 */
final readonly class CookBoard
{
    private const NEXT_SHOWN = 3;

    public function __construct(private CookingDay $day, private ClockInterface $clock, private Larder $larder)
    {
    }

    /**
     * @return array{version: int, now: \DateTimeImmutable, begun: bool, people: list<array{id: string, name: string,
     *     now: list<Card>, next: list<PlannedStep>}>, alone: list<Card>, done: list<array{step: PlannedStep, client: string,
     *     at: \DateTimeImmutable}>, left: int}
     */
    public function of(OpenFeast $open, Plan $plan): array
    {
        $done = $this->day->done($open->record);
        $now = $this->clock->now()->setTimezone($open->feast->timeZone);
        $stops = [];
        foreach ((new StopSigns($this->larder))->of($plan, $open->feast, $open->kitchen) as $sign) {
            $stops[$sign->at->activity] = $sign;
        }
        $people = [];
        foreach ($open->kitchen->people as $person) {
            $mine = array_values(
                array_filter(
                    $plan->steps,
                    static fn (PlannedStep $s): bool => \in_array($person->id, $s->people, true) && !isset($done[$s->key->id()]),
                ),
            );
            if ([] === $mine) {
                continue;
            }
            // What is to do now: the first open step, and all that begins with it or should have begun.
            $current = array_filter(
                $mine,
                static fn (PlannedStep $s): bool => $s->startMinute <= $mine[0]->startMinute || $s->start <= $now,
            );
            $together = array_values(array_map(fn (PlannedStep $s): array => $this->card($s, $now, $open->kitchen, $stops), $current));
            $people[] = [
                'id' => $person->id,
                'name' => $person->name,
                'now' => $together,
                'next' => \array_slice($mine, \count($together), self::NEXT_SHOWN),
            ];
        }
        $alone = array_values(
            array_filter(
                $plan->steps,
                fn (PlannedStep $s): bool => [] === $s->people && !isset($done[$s->key->id()]) && $this->fed($s, $plan, $done),
            ),
        );
        $finished = [];
        foreach ($plan->steps as $step) {
            $at = $done[$step->key->id()] ?? null;
            if (null !== $at) {
                $finished[] = ['step' => $step, 'client' => Uuid::v7()->toRfc4122(), 'at' => $at->setTimezone($open->feast->timeZone)];
            }
        }
        usort($finished, static fn (array $a, array $b): int => $b['at'] <=> $a['at']);

        return [
            'version' => $this->day->version($open->record),
            'now' => $now,
            'begun' => [] !== $plan->steps && $now >= $plan->steps[0]->start->modify('-15 minutes'),
            'people' => $people,
            'alone' => array_map(fn (PlannedStep $s): array => $this->card($s, $now, $open->kitchen, $stops), $alone),
            'done' => $finished,
            'left' => \count($plan->steps) - \count($finished),
        ];
    }

    /**
     * @param array<string, StopSign> $stops by activity
     *
     * @return Card
     */
    private function card(PlannedStep $step, \DateTimeImmutable $now, Kitchen $kitchen, array $stops): array
    {
        return [
            'step' => $step,
            'client' => Uuid::v7()->toRfc4122(),
            'due' => $step->start <= $now,
            'overdue' => $step->end < $now,
            'cautions' => (new Cautions($this->larder))->of(
                $step->dish->batchPlan->ledger->flow($step->step->id),
                $kitchen->rules->liftKg,
                $kitchen->vessels[$step->vessels[0] ?? '']->emptyKg ?? null,
            ),
            'cuts' => (new CutTimes($this->larder))->of($step, $kitchen),
            'goesOn' => CarriedOver::seconds($step, $kitchen),
            'ready' => CardMaker::readyFor($step->dish, $step->step),
            'stop' => $stops[$step->activity] ?? null,
        ];
    }

    /**
     * Steps whose contents are not yet there wait.
     *
     * @param array<string, \DateTimeImmutable> $done
     */
    private function fed(PlannedStep $step, Plan $plan, array $done): bool
    {
        $sources = $step->step->sources();
        foreach ($plan->steps as $before) {
            if (
                $before->key->dish === $step->key->dish
                && \in_array($before->key->step, $sources, true)
                && !isset($done[$before->key->id()])
                && $this->feeds($before, $step, $plan)
            ) {
                return false;
            }
        }

        return true;
    }

    private function feeds(PlannedStep $before, PlannedStep $step, Plan $plan): bool
    {
        foreach ($plan->problem->links as $link) {
            if ($link->from === $before->activity && $link->to === $step->activity) {
                return true;
            }
        }

        return false;
    }
}
