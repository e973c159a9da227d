<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Day;

use FeastLadle\Day\Event;
use FeastLadle\Day\Happening\Replanned;
use FeastLadle\Day\Happening\Slipped;
use FeastLadle\Day\Happening\StepDone;
use FeastLadle\Day\Happening\StepStarted;
use FeastLadle\Day\SimulationReport;
use FeastLadle\Day\Simulator;
use FeastLadle\Day\SlipRate;
use FeastLadle\Day\Violation;
use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Days that are cooked through: every rule of the day holds at every event of every run. */
final class SimulatorTest extends TestCase
{
    /** @return iterable<string, array{Feast, Kitchen, int}> */
    public static function days(): iterable
    {
        yield 'at home' => [Shipped::feast(), Shipped::kitchen(), 10];
        yield 'in the temple' => [Shipped::templeFeast(), Shipped::temple(), 3];
        yield 'eighteen hundred' => [Shipped::bellFeast(), Shipped::bellYard(), 1];
    }

    #[DataProvider('days')]
    public function testNoRuleIsBroken(Feast $feast, Kitchen $kitchen, int $runs): void
    {
        $report = $this->simulated($feast, $kitchen, $runs);
        self::assertSame([], array_map(static fn (Violation $v): string => "$v->rule, run $v->run, $v->event", $report->violations));
        self::assertGreaterThan(2 * 25 * $runs - 1, $report->events, 'each step is begun and done');
    }

    public function testWhatGoesWrongIsMendedOnTheWayAndNoRuleIsBroken(): void
    {
        $plan = (new FeastPlanner(Shipped::larder()))->plan(Shipped::feast(), Shipped::kitchen());
        $simulator = new Simulator(Shipped::feast(), Shipped::kitchen(), Shipped::larder(), $plan, slips: SlipRate::Many);
        $report = $simulator->run(6, 3);
        self::assertSame([], array_map(static fn (Violation $v): string => "$v->rule, run $v->run, $v->event", $report->violations));
        // Eight of a hundred of 25 steps in six days: twelve, give or take.
        self::assertGreaterThan(3, $report->slipsDrawn);
        self::assertLessThan(30, $report->slipsDrawn);
        self::assertLessThanOrEqual($report->slipsDrawn, $report->healed);
        self::assertEquals($simulator->day(2, 3, true), $simulator->day(2, 3, true));
        $steps = static fn (bool $anew): array => array_values(array_map(
            static fn (Event $e): string => $e->what instanceof Slipped ? $e->what->step.$e->what->slip->value : '',
            array_filter($simulator->day(1, 3, $anew)->events, static fn (Event $e): bool => $e->what instanceof Slipped),
        ));
        self::assertEqualsCanonicalizing($steps(true), $steps(false), 'both meet the same fate');
    }

    public function testADayThatIsSureLosesNoMomentByBeingPlannedAnew(): void
    {
        $report = $this->simulated(Shipped::feast(), Shipped::kitchen(), 6);
        $met = [0.0, 0.0];
        foreach ($report->with->moments as $i => $moment) {
            $met[0] += $moment->chance ?? 0.0;
            $met[1] += $report->without->moments[$i]->chance ?? 0.0;
        }
        self::assertGreaterThanOrEqual($met[1], $met[0]);
    }

    public function testTheSameSeedIsTheSameDayAndAnotherIsAnother(): void
    {
        $first = $this->simulator()->day(0, 7, true);
        self::assertEquals($first, $this->simulator()->day(0, 7, true));
        self::assertNotEquals($first->ends, $this->simulator()->day(1, 7, true)->ends);
        self::assertNotEquals($first->ends, $this->simulator()->day(0, 8, true)->ends);
    }

    public function testADayByTheFirstPlanIsToldNothingNewAndKeepsItsOrder(): void
    {
        $day = $this->simulator()->day(0, 7, false);
        self::assertSame([], array_filter($day->events, static fn (Event $e): bool => $e->what instanceof Replanned));
        $starts = $ends = [];
        foreach ($day->events as $event) {
            if ($event->what instanceof StepStarted) {
                $starts[$event->what->step] = $event->at;
            } elseif ($event->what instanceof StepDone) {
                $ends[$event->what->step] = $event->at;
            }
        }
        foreach ((new FeastPlanner(Shipped::larder()))->plan(Shipped::feast(), Shipped::kitchen())->steps as $step) {
            $id = $step->key->id();
            self::assertGreaterThanOrEqual($step->start->getTimestamp(), $starts[$id]->getTimestamp(), 'nothing before its time');
            self::assertGreaterThanOrEqual($starts[$id], $ends[$id]);
        }
        self::assertGreaterThanOrEqual($ends['basundi/1/boil'], $starts['basundi/1/reduce']);
        self::assertGreaterThanOrEqual($ends['kesari/1/roast'], $starts['kesari/1/merge']);
    }

    private function simulator(): Simulator
    {
        $plan = (new FeastPlanner(Shipped::larder()))->plan(Shipped::feast(), Shipped::kitchen());

        return new Simulator(Shipped::feast(), Shipped::kitchen(), Shipped::larder(), $plan);
    }

    private function simulated(Feast $feast, Kitchen $kitchen, int $runs): SimulationReport
    {
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, $kitchen);

        return (new Simulator($feast, $kitchen, Shipped::larder(), $plan))->run($runs, 3);
    }
}
