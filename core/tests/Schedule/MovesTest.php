<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Cost;
use FeastLadle\Schedule\Decoder;
use FeastLadle\Schedule\Ejection;
use FeastLadle\Schedule\Groups;
use FeastLadle\Schedule\Neighbours;
use FeastLadle\Schedule\Network;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\Propagation;
use FeastLadle\Schedule\Reinsertion;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Solver;
use FeastLadle\Schedule\StartingOrder;
use FeastLadle\Schedule\Timeline;
use FeastLadle\Schedule\WarmStart;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The moves of the search: what is taken out and put back leaves no trace, and no move leaves an unsound schedule behind. */
final class MovesTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 60; ++$seed) {
            yield "seed $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testWhatIsLiftedAndPutBackStandsAsBefore(int $seed): void
    {
        [, , $groups, $decoder] = $this->placed($seed);
        if (null === $decoder) {
            $this->expectNotToPerformAssertions();

            return;
        }
        $timeline = $decoder->timeline;
        $random = new Randomizer(new Mt19937($seed));
        for ($round = 0; $round < 10; ++$round) {
            $before = $this->state($timeline);
            $some = \array_slice($random->shuffleArray($groups->members), 0, $random->getInt(1, max(1, \count($groups->members))));
            $lifted = array_map($timeline->lift(...), $some);
            foreach (array_reverse($lifted) as $group) {
                $timeline->putBack($group);
            }
            self::assertSame($before, $this->state($timeline));
        }
    }

    /** After many moves, kept and taken back, the schedule that stands is sound and costs what is said. */
    #[DataProvider('seeds')]
    public function testMovesKeepTheScheduleSound(int $seed): void
    {
        [$problem, $network, $groups, $decoder] = $this->placed($seed);
        if (null === $decoder || $problem->objective->makespan) {
            $this->expectNotToPerformAssertions();

            return;
        }
        $cost = new Cost($network, $decoder->timeline);
        $reinsertion = new Reinsertion(
            $network,
            $groups,
            Neighbours::of($network, $groups),
            $decoder,
            $cost,
            new Randomizer(new Mt19937($seed)),
        );
        $start = $cost->now();
        [[$starts, $ends, $chosen], $objective] = $reinsertion->improve(-1, Budget::iterations(80), 0);
        self::assertLessThanOrEqual($start, $objective);
        self::assertSame([], (new Audit())->faults($problem, $this->solution($network, $starts, $ends, $chosen, $objective)));
        $now = $decoder->timeline;
        self::assertSame(
            [],
            (new Audit())->faults($problem, $this->solution($network, $now->start, $now->end, $now->chosen, $cost->now())),
            'Also what stands at the end, better or not.',
        );
        self::assertLessThanOrEqual(\count($network->ids), \count(array_filter($now->placed)));
    }

    /** From nothing at all, throwing each other out, the groups find a sound schedule. */
    #[DataProvider('seeds')]
    public function testGroupsThatThrowEachOtherOutEndInASoundSchedule(int $seed): void
    {
        $problem = $this->problem(RandomProblem::document($seed, 12));
        $network = new Network($problem);
        $windows = new Propagation($network);
        if ([] !== $windows->conflicts || $problem->objective->makespan) {
            $this->expectNotToPerformAssertions();

            return;
        }
        $groups = Groups::of($network);
        $decoder = new Decoder($network, $windows, $groups);
        $ejection = new Ejection($windows, $groups, Neighbours::of($network, $groups), $decoder, new Randomizer(new Mt19937($seed)));
        if (!$ejection->complete(400_000)) {
            $this->expectNotToPerformAssertions();

            return;
        }
        $t = $decoder->timeline;
        self::assertSame(
            [],
            (new Audit())->faults($problem, $this->solution($network, $t->start, $t->end, $t->chosen, (new Cost($network, $t))->now())),
        );
    }

    /** A schedule of the same problem can be kept whole. */
    #[DataProvider('seeds')]
    public function testAWarmStartKeepsAllOfASoundSchedule(int $seed): void
    {
        $problem = $this->problem(RandomProblem::document($seed, 10));
        $solution = (new Solver())->solve($problem, Budget::iterations(8), $seed);
        if (SolutionStatus::Feasible !== $solution->status || $problem->objective->makespan) {
            $this->expectNotToPerformAssertions();

            return;
        }
        $network = new Network($problem);
        $windows = new Propagation($network);
        $groups = Groups::of($network);
        $decoder = new Decoder($network, $windows, $groups);
        (new WarmStart($network, $windows, $groups, $decoder))->place($solution);
        foreach ($network->ids as $i => $id) {
            self::assertTrue($decoder->timeline->placed[$i], $id);
            self::assertSame($solution->activities[$id]->start, $decoder->timeline->start[$i], $id);
        }
    }

    /** @return array{Problem, Network, Groups, ?Decoder} */
    private function placed(int $seed): array
    {
        $problem = $this->problem(RandomProblem::document($seed, 14));
        $network = new Network($problem);
        $windows = new Propagation($network);
        $groups = Groups::of($network);
        $decoder = new Decoder($network, $windows, $groups);
        $found = [] === $windows->conflicts && $decoder->decode(StartingOrder::of($network, $windows, $groups, 0), [], []);

        return [$problem, $network, $groups, $found ? $decoder : null];
    }

    /** @return array<string, mixed> */
    private function state(Timeline $timeline): array
    {
        return ['start' => $timeline->start, 'end' => $timeline->end, 'placed' => $timeline->placed, 'chosen' => $timeline->chosen];
    }

    /**
     * @param array<int, int>            $starts
     * @param array<int, int>            $ends
     * @param array<int, list<int>|null> $chosen
     */
    private function solution(Network $network, array $starts, array $ends, array $chosen, int $objective): Solution
    {
        $names = static fn (int $choice): array => array_map(
            static fn (int $r): string => $network->resourceIds[$r],
            $chosen[$choice] ?? [],
        );
        $placements = $holds = [];
        foreach ($network->ids as $i => $id) {
            $placements[$id] = new Placement(
                $starts[$i],
                $ends[$i],
                array_map(static fn (array $need): array => $names($need[0]), $network->needs[$i]),
            );
        }
        foreach ($network->holdIds as $h => $id) {
            $holds[$id] = array_map(static fn (array $need): array => $names($need[0]), $network->holdNeeds[$h]);
        }

        return new Solution(SolutionStatus::Feasible, $objective, null, $placements, $holds, 1, [], 0);
    }

    /** @param array<string, mixed> $document */
    private function problem(array $document): Problem
    {
        return (new ProblemReader())->read(json_encode($document, \JSON_THROW_ON_ERROR));
    }
}
