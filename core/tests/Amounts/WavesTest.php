<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Amounts;

use FeastLadle\Amounts\Waves;
use FeastLadle\Feast\Feast;
use FeastLadle\Modelling\Calendar;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Schedule\Audit;
use FeastLadle\Solving\Plan;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** Several moments: what is wanted at each is ready for each, and fresh. */
final class WavesTest extends TestCase
{
    public function testAHotSweetIsMadeFreshForSittingsFurtherApartThanItKeeps(): void
    {
        $plan = $this->plan(Shipped::templeFeast());
        self::assertTrue($plan->isOnTime());
        $waves = Waves::of(Shipped::templeFeast(), $plan->quantities->dishes['kesari']);
        self::assertSame([[1], [2]], array_column($waves, 'batches'));
        self::assertSame(['Offering at the lamp', 'First sitting'], array_map(static fn ($w): string => $w->moment->name, $waves));
        $ends = $this->ends($plan, 'kesari', 'dish-up');
        foreach ($waves as $w => $wave) {
            self::assertLessThanOrEqual($wave->moment->at, $ends[$w]);
            self::assertLessThanOrEqual(
                60 * $plan->quantities->dishes['kesari']->dish->recipe->keepMinutes,
                $wave->until->getTimestamp() - $ends[$w]->getTimestamp(),
                'It still keeps for the last who eat of it.',
            );
        }
    }

    public function testWhatIsDoneOnceForAllBatchesIsDoneForEachMoment(): void
    {
        $feast = Shipped::templeFeast(static function (array $document): array {
            /** @var array{moments: list<array<string, mixed>>, hands: list<array<string, mixed>>} $document */
            $document['moments'][2]['time'] = '23:30';
            foreach ($document['hands'] as $i => $hand) {
                $document['hands'][$i]['to'] = '23:55';
            }

            return $document;
        });
        $planned = (new FeastPlanner(Shipped::larder()))->quantities($feast, Shipped::temple())->dishes['pudding'];
        self::assertGreaterThan(
            1,
            $planned->batchPlan->batches,
            'It keeps four hours warm, and the second sitting is six hours after the offering.',
        );
        $plan = $this->plan($feast);
        $dishedUp = array_values(
            array_filter($plan->steps, static fn (PlannedStep $s): bool => 'pudding' === $s->key->dish && 'dish-up' === $s->key->step),
        );
        self::assertGreaterThan(1, \count($dishedUp));
        foreach ($dishedUp as $step) {
            self::assertNotNull($step->key->round->wave);
            self::assertNotNull($step->for);
            $taken = array_filter(
                $plan->problem->links,
                static fn ($l): bool => $l->to === $step->activity
                    && str_starts_with($l->from, 'pudding/')
                    && !str_contains($l->from, '>'),
            );
            self::assertNotEmpty($taken);
        }
        $names = array_map(static fn (PlannedStep $s): string => $s->for->name ?? '', $dishedUp);
        self::assertSame($names, array_values(array_unique($names)));
    }

    /** Eighteen hundred guests in four sittings: every hot sweet is fresh for each, and the whole passes its audit. */
    public function testBellRaisingDayIsPlannedInTimeForAllFourSittings(): void
    {
        $feast = Shipped::bellFeast();
        self::assertSame(1800, $feast->guests());
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, Shipped::bellYard());
        self::assertTrue($plan->isOnTime());
        self::assertSame([], (new Audit())->faults($plan->problem, $plan->solution));
        foreach (['kesari' => 4, 'pongal' => 2, 'wheat' => 2] as $dish => $waves) {
            $found = Waves::of($feast, $plan->quantities->dishes[$dish]);
            self::assertCount($waves, $found);
            foreach ($this->ends($plan, $dish, 'dish-up') as $w => $end) {
                self::assertLessThanOrEqual($found[$w]->moment->at, $end);
                self::assertLessThanOrEqual(
                    60 * $plan->quantities->dishes[$dish]->dish->recipe->keepMinutes,
                    $found[$w]->until->getTimestamp() - $end->getTimestamp(),
                    $dish,
                );
            }
        }
    }

    public function testOneSittingIsOneWave(): void
    {
        $plan = $this->plan(
            Shipped::templeFeast(static function (array $document): array {
                /** @var array{groups: list<array<string, mixed>>} $document */
                return [
                    ...$document,
                    'groups' => array_map(static fn (array $group): array => [...$group, 'at' => 'first'], $document['groups']),
                ];
            }),
        );
        foreach ($plan->steps as $step) {
            self::assertNull($step->for);
        }
    }

    public function testBoxesArePackedAfterWhatGoesIntoThemAndBeforeTheirMoment(): void
    {
        $feast = Shipped::templeFeast();
        $plan = $this->plan($feast);
        self::assertCount(1, $plan->jobs);
        $job = $plan->jobs[0];
        self::assertTrue($job->planned);
        self::assertLessThanOrEqual($feast->lastMoment()->at, $job->end);
        foreach (array_keys($feast->boxes[0]->holds) as $dish) {
            foreach ($this->ends($plan, $dish, 'dish-up') as $end) {
                self::assertLessThanOrEqual($job->start, $end);
            }
        }
    }

    public function testOtherWorkKeepsItsFireToItself(): void
    {
        $lent = Shipped::templeFeast(
            static fn (array $document): array => [
                ...$document,
                'otherWork' => [
                    ['name' => 'Rice', 'on' => 'fire-1', 'day' => 0, 'from' => '14:00', 'to' => '17:00'],
                    ['name' => 'A lesson', 'on' => 'ila', 'day' => 0, 'from' => '15:00', 'to' => '15:30'],
                ],
            ],
        );
        self::assertCount(2, $lent->otherWork);
        $met = [];
        foreach ($this->plan($lent)->steps as $step) {
            foreach ($lent->otherWork as $work) {
                if ($step->burner === $work->on || \in_array($work->on, $step->people, true)) {
                    self::assertTrue(
                        $step->end <= $work->from || $step->start >= $work->to,
                        $step->activity.' runs into '.$work->name,
                    );
                    $met[$work->name] = true;
                }
            }
        }
        self::assertCount(2, $met, 'The fire and the hands that were lent out are used at other times.');
    }

    /** A tool that exists once is at one step at a time. */
    public function testAToolServesOneStepAtATime(): void
    {
        $plan = $this->plan(Shipped::templeFeast());
        $uses = [];
        foreach ($plan->solution->activities as $placement) {
            foreach (array_merge(...[[], ...$placement->uses]) as $resource) {
                if (str_starts_with($resource, 'tool:')) {
                    $uses[$resource][] = [$placement->start, $placement->end];
                }
            }
        }
        self::assertNotEmpty($uses);
        foreach ($uses as $intervals) {
            sort($intervals);
            foreach (\array_slice($intervals, 1) as $k => [$start]) {
                self::assertGreaterThanOrEqual($intervals[$k][1], $start);
            }
        }
    }

    public function testClosedMinutesAreCutOutOfACalendar(): void
    {
        self::assertSame([[0, 10], [20, 30], [45, 60]], Calendar::without([[0, 30], [40, 60]], [[10, 20], [35, 45]]));
        self::assertSame([], Calendar::without([[5, 9]], [[0, 7], [6, 20]]));
        self::assertSame([[0, 8], [9, 12]], Calendar::merged([[9, 12], [0, 5], [5, 8], [2, 4]]));
    }

    private function plan(Feast $feast): Plan
    {
        return (new FeastPlanner(Shipped::larder()))->plan($feast, Shipped::temple());
    }

    /** @return list<\DateTimeImmutable> */
    private function ends(Plan $plan, string $dish, string $step): array
    {
        $ends = array_map(
            static fn (PlannedStep $s): \DateTimeImmutable => $s->end,
            array_values(
                array_filter($plan->steps, static fn (PlannedStep $s): bool => $s->key->dish === $dish && $s->key->step === $step),
            ),
        );
        sort($ends);

        return $ends;
    }
}
