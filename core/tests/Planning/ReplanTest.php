<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Planning;

use FeastLadle\Feast\Feast;
use FeastLadle\Kitchen\Kitchen;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Planning\Replanner;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Solving\Task;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The cooking day does not go as planned: the syrup takes longer, somebody begins late. */
final class ReplanTest extends TestCase
{
    /** @return iterable<string, array{Feast, Kitchen, int}> */
    public static function days(): iterable
    {
        foreach ([120, 240, 400] as $minutes) {
            yield "home, $minutes min after the first step of the day" => [Shipped::feast(), Shipped::kitchen(), $minutes];
            yield "temple, $minutes min after the first step of the day" => [Shipped::templeFeast(), Shipped::temple(), $minutes];
        }
    }

    #[DataProvider('days')]
    public function testWhatIsDoneStaysWhatRunsGoesOnAndTheRestComesAfterNow(Feast $feast, Kitchen $kitchen, int $minutes): void
    {
        $planner = new FeastPlanner(Shipped::larder());
        $before = $planner->plan($feast, $kitchen);
        $replanner = new Replanner(Shipped::larder());
        $task = new Task($feast, $kitchen, $before->quantities);
        $onTheDay = array_values(
            array_filter(
                $before->steps,
                static fn (PlannedStep $s): bool => $s->start->format('Y-m-d') ===
                    $feast->firstMoment()->at->setTimezone($s->start->getTimezone())->format('Y-m-d'),
            ),
        );
        $now = $onTheDay[0]->start->modify("+$minutes minutes");
        $done = $running = [];
        foreach ($before->steps as $i => $step) {
            // Every third step on a fire takes ten minutes more than it was thought.
            $end = null !== $step->burner && 0 === $i % 3 ? $step->end->modify('+10 minutes') : $step->end;
            if ($end <= $now) {
                $done[$step->activity] = [$step->start, $end];
            } elseif ($step->start < $now) {
                $running[$step->activity] = $step->start;
            }
        }
        [$after] = $replanner->replan($task, $replanner->model($task), $before->solution, $now, $done, $running);
        self::assertCount(
            \count($before->steps),
            $after->steps,
            json_encode(array_map(static fn ($c): string => $c->text, $after->solution->conflicts)) ?: '',
        );
        $was = array_column(array_map(static fn (PlannedStep $s): array => [$s->activity, $s], $before->steps), 1, 0);
        $stayed = 0;
        foreach ($after->steps as $step) {
            if (isset($done[$step->activity])) {
                self::assertEquals($done[$step->activity], [$step->start, $step->end]);
            } elseif (isset($running[$step->activity])) {
                self::assertEquals($running[$step->activity], $step->start);
                self::assertSame([$was[$step->activity]->burner, $was[$step->activity]->people], [$step->burner, $step->people]);
            } else {
                self::assertGreaterThanOrEqual($now, $step->start, $step->activity);
            }
            $stayed += abs($step->start->getTimestamp() - $was[$step->activity]->start->getTimestamp()) <= 1800 ? 1 : 0;
        }
        self::assertGreaterThan(0.8 * \count($after->steps), $stayed, 'Most steps stay within half an hour of where they were.');
    }
}
