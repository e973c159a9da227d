<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Explaining\StepPlaces;
use FeastLadle\Modelling\Obstacle;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\LinkType;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Solution;
use FeastLadle\Solving\Plan;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

final class StepPlacesTest extends TestCase
{
    private Plan $plan;

    protected function setUp(): void
    {
        $this->plan = (new FeastPlanner(Shipped::larder()))->try(Shipped::feast(), Shipped::kitchen());
    }

    public function testEveryStepSaysWhatStandsNext(): void
    {
        $places = StepPlaces::of($this->plan, Shipped::kitchen());
        self::assertCount(\count($this->plan->steps), $places);
        foreach ($this->plan->steps as $step) {
            $place = $places[$step->activity];
            self::assertGreaterThanOrEqual(0, $place->slackMinutes);
            self::assertNotSame([], $place->reasons, $step->activity);
        }
    }

    public function testADishThatIsReadyAtItsMomentHasNoSlackAndSaysWhy(): void
    {
        $places = StepPlaces::of((new FeastPlanner(Shipped::larder()))->glance(Shipped::feast(), Shipped::kitchen()), Shipped::kitchen());
        $place = $places['kesari/1/dish-up'];
        self::assertTrue($place->isTight());
        self::assertSame(15, $place->slipMinutes, 'it is planned so much before its moment');
        self::assertStringContainsString(
            'ready at 17:45',
            implode('; ', array_map(static fn (Obstacle $o): string => $o->text(), $place->reasons)),
        );
    }

    /** Moved later by its slack, a step still ends before what stands next on its fire. */
    public function testSlackIsNotMoreThanTheFireAllows(): void
    {
        $places = StepPlaces::of($this->plan, Shipped::kitchen());
        $pairs = 0;
        foreach ($this->plan->steps as $step) {
            foreach ($this->plan->steps as $other) {
                if (
                    null !== $step->burner
                    && $step->burner === $other->burner
                    && $other->startMinute >= $step->endMinute
                    && $other !== $step
                ) {
                    self::assertLessThanOrEqual(
                        $other->startMinute - $step->endMinute,
                        $places[$step->activity]->slackMinutes,
                        $step->activity.' before '.$other->activity,
                    );
                    ++$pairs;
                }
            }
        }
        self::assertGreaterThan(10, $pairs);
    }

    /** The independent audit agrees: moved later by its slack alone, a step breaks nothing. */
    public function testAStepMovedByItsSlackStillPassesTheAudit(): void
    {
        $moved = 0;
        foreach (
            [
                [$this->plan, Shipped::kitchen()],
                [(new FeastPlanner(Shipped::larder()))->plan(Shipped::feast(45), Shipped::kitchen()), Shipped::kitchen()],
                [(new FeastPlanner(Shipped::larder()))->plan(Shipped::feast(70), Shipped::kitchen()), Shipped::kitchen()],
                [
                    (new FeastPlanner(Shipped::larder()))->plan(Shipped::templeFeast(self::atTheMinute(...)), Shipped::temple()),
                    Shipped::temple(),
                ],
                [(new FeastPlanner(Shipped::larder()))->plan(Shipped::bellFeast(), Shipped::bellYard()), Shipped::bellYard()],
            ] as [$plan, $kitchen]
        ) {
            foreach (StepPlaces::of($plan, $kitchen) as $id => $place) {
                $placements = $plan->solution->activities;
                $with = [$id];
                foreach ($plan->problem->links as $link) {
                    if ($link->from === $id && LinkType::StartToStart === $link->type && 0 === $link->max) {
                        $with[] = $link->to;
                    }
                }
                foreach ($with as $each) {
                    $placements[$each] = new Placement(
                        $placements[$each]->start + $place->slackMinutes,
                        $placements[$each]->end + $place->slackMinutes,
                        $placements[$each]->uses,
                    );
                }
                $s = $plan->solution;
                $faults = array_filter(
                    (new Audit())->faults(
                        $plan->problem,
                        new Solution($s->status, $s->objective, $s->bound, $placements, $s->holds, $s->seed, [], 0),
                    ),
                    static fn (string $f): bool => !str_contains($f, 'objective'),
                );
                self::assertSame([], array_values($faults), $id);
                $moved += $place->slackMinutes > 0 ? 1 : 0;
            }
        }
        self::assertGreaterThan(0, $moved);
    }

    public function testWithoutAScheduleNothingIsExplained(): void
    {
        self::assertSame([], StepPlaces::of(Plan::unscheduled($this->plan->quantities), Shipped::kitchen()));
    }

    /**
     * @param array<string, mixed> $document
     *
     * @return array<string, mixed> with nothing planned before its moment
     */
    private static function atTheMinute(array $document): array
    {
        \assert(\is_array($document['dishes']));
        $document['dishes'] = array_map(
            static fn (mixed $dish): mixed => \is_array($dish) ? array_diff_key($dish, ['readyEarlier' => 0]) : $dish,
            $document['dishes'],
        );

        return $document;
    }
}
