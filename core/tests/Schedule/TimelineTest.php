<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Network;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Timeline;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The inner loop against the plainest judge there is: every minute tried, each asked of the audit. */
final class TimelineTest extends TestCase
{
    private const HORIZON = 60;

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 120; ++$seed) {
            yield "seed $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testTheLatestFitIsTheLatestMinuteTheAuditAllows(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $problem = $this->problem($random);
        $network = new Network($problem);
        $timeline = new Timeline($network);
        $placed = [];
        for ($i = 0; $i < $network->size; ++$i) {
            $duration = $network->likely[$i];
            $choices = $this->choices($network, $timeline, $i);
            $allowed = Timeline::NO_TIME;
            for ($t = self::HORIZON - $duration; $t >= 0 && Timeline::NO_TIME === $allowed; --$t) {
                $allowed = $this->isSound($problem, $network, $placed + [$i => $t]) ? $t : $allowed;
            }
            $fit = $timeline->latestFit($i, $duration, 0, self::HORIZON - $duration, $choices);
            self::assertSame($allowed, $fit, "seed $seed, activity $i");
            if (Timeline::NO_TIME === $fit) {
                return;
            }
            $timeline->place($i, $fit, $duration, $choices);
            $placed[$i] = $fit;
        }
    }

    public function testWhatIsRemovedLeavesNoTrace(): void
    {
        $problem = $this->problem(new Randomizer(new Mt19937(99)));
        $network = new Network($problem);
        $timeline = new Timeline($network);
        $all = range(0, $network->size - 1);
        foreach ($all as $i) {
            $timeline->place($i, 5, $network->likely[$i], $this->choices($network, $timeline, $i));
        }
        $timeline->remove($all);
        $again = new Timeline($network);
        self::assertSame($again->placed, $timeline->placed);
        self::assertSame($again->chosen, $timeline->chosen);
        self::assertSame([], $timeline->occupants(0, 0, self::HORIZON));
        foreach ($all as $i) {
            self::assertSame(
                self::HORIZON - 20,
                $timeline->latestFit($i, 0, 0, self::HORIZON - 20, $this->choices($network, $timeline, $i)),
            );
        }
    }

    /** One fire with washing up, one person with a break, one pot held by neighbours. */
    private function problem(Randomizer $random): Problem
    {
        $activities = [];
        $holds = [];
        $count = $random->getInt(2, 7);
        for ($i = 0; $i < $count; ++$i) {
            $needs = [];
            if ($random->getInt(0, 2) > 0) {
                $needs[] = ['from' => ['fire']];
            }
            if ($random->getInt(0, 2) > 0) {
                $needs[] = ['from' => ['hand'], 'units' => [25, 40, 75, 100][$random->getInt(0, 3)]];
            }
            $activities[] = ['id' => "a$i", 'duration' => $random->getInt(0, 9), 'needs' => $needs];
        }
        for ($i = 0; $i + 1 < $count; $i += 2) {
            if ($random->getInt(0, 1) > 0) {
                $holds[] = ['id' => "h$i", 'activities' => ["a$i", 'a'.($i + 1)], 'needs' => [['from' => ['pot']]]];
            }
        }

        return (new ProblemReader())->read(
            json_encode(
                [
                    'format' => 'feast-ladle/schedule-problem',
                    'version' => 1,
                    'horizon' => [0, self::HORIZON],
                    'resources' => [
                        ['id' => 'fire', 'turnover' => $random->getInt(0, 3)],
                        ['id' => 'hand', 'capacity' => 100, 'calendar' => [[0, 22], [26, self::HORIZON]]],
                        ['id' => 'pot', 'turnover' => 2],
                    ],
                    'activities' => $activities,
                    'holds' => $holds,
                ],
                \JSON_THROW_ON_ERROR,
            ),
        );
    }

    /** @return array<int, list<int>> the one option of each open choice */
    private function choices(Network $network, Timeline $timeline, int $i): array
    {
        $choices = [];
        foreach ($network->needs[$i] as [$choice]) {
            $choices[$choice] = $network->options[$choice];
        }
        foreach ($network->holdsOf[$i] as $h) {
            foreach ($network->holdNeeds[$h] as [$choice]) {
                if ($timeline->isOpen($choice)) {
                    $choices[$choice] = $network->options[$choice];
                }
            }
        }

        return $choices;
    }

    /** @param array<int, int> $starts of the activities placed so far; the others, and what holds them, do not exist yet */
    private function isSound(Problem $problem, Network $network, array $starts): bool
    {
        $activities = [];
        $placements = [];
        foreach ($starts as $i => $start) {
            $activity = $problem->activities[$network->ids[$i]];
            $activities[$activity->id] = $activity;
            $placements[$activity->id] = new Placement(
                $start,
                $start + $activity->duration->likely,
                array_map(static fn ($n): array => $n->from, $activity->needs),
            );
        }
        $holds = [];
        $uses = [];
        foreach ($problem->holds as $hold) {
            $members = array_values(array_filter($hold->activities, static fn (string $a): bool => isset($activities[$a])));
            if ([] !== $members) {
                $holds[$hold->id] = new \FeastLadle\Schedule\Hold($hold->id, $members, $hold->needs);
                $uses[$hold->id] = [['pot']];
            }
        }
        $part = new Problem(0, self::HORIZON, 60, $problem->resources, $activities, [], $holds, $problem->objective);

        return [] === (new Audit())->faults($part, new Solution(SolutionStatus::Feasible, 0, null, $placements, $uses, 1, [], 0));
    }
}
