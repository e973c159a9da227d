<?php

declare(strict_types=1);

namespace App\View;

use App\Service\CookingDay;
use App\Service\OpenFeast;
use FeastLadle\Planning\Plan;
use FeastLadle\Planning\PlannedStep;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/**
 * The board of the cooking day: for each person what to do now and what comes next; what stands by itself; what is done.
 *
 * @phpstan-type Card array{step: PlannedStep, client: string, due: bool, overdue: bool}
 */
final readonly class CookBoard
{
    private const NEXT_SHOWN = 3;

    public function __construct(private CookingDay $day, private ClockInterface $clock)
    {
    }

    /** @return array{version: int, now: \DateTimeImmutable, begun: bool, people: list<array{id: string, name: string, now: list<Card>, next: list<PlannedStep>}>, alone: list<Card>, done: list<array{step: PlannedStep, client: string, at: \DateTimeImmutable}>, left: int} */
    public function of(OpenFeast $open, Plan $plan): array
    {
        $done = $this->day->done($open->record);
        $now = $this->clock->now()->setTimezone($open->feast->timeZone);
        $people = [];
        foreach ($open->kitchen->people as $person) {
            $mine = array_values(array_filter($plan->steps, static fn (PlannedStep $s): bool => \in_array($person->id, $s->people, true) && !isset($done[$s->key->id()])));
            if ([] === $mine) {
                continue;
            }
            // The first open step is what to do now, with all that the plan runs beside it.
            $current = array_values(array_filter($mine, static fn (PlannedStep $s): bool => $s->startMinute < $mine[0]->endMinute || $s->start <= $now));
            $together = [];
            foreach ($current as $step) {
                if ($step->startMinute <= $mine[0]->startMinute || $step->start <= $now) {
                    $together[] = $this->card($step, $now);
                }
            }
            $people[] = ['id' => $person->id, 'name' => $person->name, 'now' => $together, 'next' => \array_slice($mine, \count($together), self::NEXT_SHOWN)];
        }
        $alone = array_values(array_filter($plan->steps, fn (PlannedStep $s): bool => [] === $s->people && !isset($done[$s->key->id()]) && $this->fed($s, $done)));
        $finished = [];
        foreach ($plan->steps as $step) {
            $at = $done[$step->key->id()] ?? null;
            if (null !== $at) {
                $finished[] = ['step' => $step, 'client' => Uuid::v4()->toRfc4122(), 'at' => $at->setTimezone($open->feast->timeZone)];
            }
        }
        usort($finished, static fn (array $a, array $b): int => $b['at'] <=> $a['at']);

        return [
            'version' => $this->day->version($open->record),
            'now' => $now,
            'begun' => [] !== $plan->steps && $now >= $plan->steps[0]->start->modify('-15 minutes'),
            'people' => $people,
            'alone' => array_map(fn (PlannedStep $s): array => $this->card($s, $now), $alone),
            'done' => $finished,
            'left' => \count($plan->steps) - \count($finished),
        ];
    }

    /** @return Card */
    private function card(PlannedStep $step, \DateTimeImmutable $now): array
    {
        return ['step' => $step, 'client' => Uuid::v4()->toRfc4122(), 'due' => $step->start <= $now, 'overdue' => $step->end < $now];
    }

    /** @param array<string, \DateTimeImmutable> $done */
    private function fed(PlannedStep $step, array $done): bool
    {
        foreach ($step->step->sources() as $source) {
            foreach ([$step->key->batch, 0] as $batch) {
                if (isset($done[$step->key->dish.'/'.$batch.'/'.$source])) {
                    continue 2;
                }
            }

            return false;
        }

        return true;
    }
}
