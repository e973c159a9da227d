<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Completion;
use FeastLadle\Schedule\Cost;
use FeastLadle\Schedule\Network;
use FeastLadle\Schedule\Placement;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\Propagation;
use FeastLadle\Schedule\Resequencing;
use FeastLadle\Schedule\Sequences;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\SolutionStatus;
use FeastLadle\Schedule\Timeline;
use FeastLadle\Schedule\TimingModel;
use FeastLadle\Schedule\Uses;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Turns on each resource, changed where that makes a schedule cheaper, or makes one at all. */
final class ResequencingTest extends TestCase
{
    private const WORK = 120_000;

    /** Two on one fire, the wrong one first: 20 minutes due at 60 for 5 a minute, 30 due at 30. */
    private const TURNED = '{"format":"feast-ladle/schedule-problem","version":1,"horizon":[0,200],"resources":[{"id":"fire"}],
        "activities":[
        {"id":"a","duration":20,"needs":[{"from":["fire"]}],"due":{"at":60,"early":0,"late":5}},
        {"id":"b","duration":30,"needs":[{"from":["fire"]}],"due":{"at":30,"early":1,"late":5}}],
        "objective":{"kind":"just-in-time"}}';

    /** Both at their moment only when one of them goes to the other fire, which is slower. */
    private const ELSEWHERE = '{"format":"feast-ladle/schedule-problem","version":1,"horizon":[0,200],
        "resources":[{"id":"one"},{"id":"two"}],
        "activities":[
        {"id":"a","duration":20,"needs":[{"from":["one","two"],"duration":{"two":25}}],"due":{"at":60,"early":1,"late":5}},
        {"id":"b","duration":30,"needs":[{"from":["one","two"],"duration":{"two":35}}],"due":{"at":60,"early":1,"late":5}}],
        "objective":{"kind":"just-in-time"}}';

    public function testWhoGoesFirstIsChangedWhereThatIsCheaper(): void
    {
        $problem = (new ProblemReader())->read(self::TURNED);
        [$before, $after, $timeline] = $this->improved($problem, [0, 20], [[0], [0]]);

        self::assertSame(100, $before, 'at the best times for the wrong turn, b is 20 late');
        self::assertSame(0, $after);
        self::assertSame(0, $timeline->start[1]);
    }

    public function testOneGoesToTheOtherFireThoughThatIsSlower(): void
    {
        $problem = (new ProblemReader())->read(self::ELSEWHERE);
        [$before, $after, $timeline] = $this->improved($problem, [0, 20], [[0], [0]]);

        self::assertGreaterThan(0, $before);
        self::assertSame(0, $after);
        self::assertNotSame($timeline->chosen[0], $timeline->chosen[1]);
        self::assertSame(60, $timeline->end[0]);
        self::assertSame(60, $timeline->end[1]);
    }

    /** @return iterable<string, array{int, string}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 40; ++$seed) {
            yield "document $seed" => [$seed, 'document'];
            yield "shared $seed" => [$seed, 'shared'];
        }
    }

    #[DataProvider('seeds')]
    public function testWhatIsFoundFromNothingAndImprovedPassesTheAudit(int $seed, string $kind): void
    {
        $document = 'shared' === $kind ? RandomProblem::shared($seed) : RandomProblem::document($seed);
        $problem = (new ProblemReader())->read(json_encode($document, \JSON_THROW_ON_ERROR));
        $network = new Network($problem);
        $windows = new Propagation($network);
        $timeline = new Timeline($network);
        $random = new Randomizer(new Mt19937($seed));
        $uses = new Uses($network, TimingModel::of($network));
        $isAsked = !$problem->objective->makespan && [] === $windows->conflicts;
        if (!$isAsked || !(new Completion($uses, $windows, $random))->find($timeline, 400_000)) {
            $this->expectNotToPerformAssertions();

            return;
        }
        $cost = new Cost($network, $timeline);
        $this->assertSound($problem, $network, $timeline, $cost->now());
        $first = $cost->now();
        $sequences = Sequences::of($uses, $timeline);
        if (!$sequences->settle()) {
            return;
        }
        self::assertLessThanOrEqual($first, $sequences->cost(), 'the best times for its turns');
        $best = (new Resequencing($random))->improve($sequences, self::WORK, 0);
        self::assertLessThanOrEqual($sequences->cost(), $best->cost());
        $best->putInto($timeline);
        self::assertSame($best->cost(), $cost->now());
        $this->assertSound($problem, $network, $timeline, $best->cost());
    }

    /**
     * @param array<int, int>       $starts
     * @param array<int, list<int>> $chosen
     *
     * @return array{int, int, Timeline} cost at the best times for the turns as they are, and after changing them
     */
    private function improved(Problem $problem, array $starts, array $chosen): array
    {
        $network = new Network($problem);
        $sequences = new Sequences(new Uses($network, TimingModel::of($network)), $starts, $chosen);
        self::assertTrue($sequences->settle());
        $best = (new Resequencing(new Randomizer(new Mt19937(1))))->improve($sequences, self::WORK, 0);
        $timeline = new Timeline($network);
        $best->putInto($timeline);
        $this->assertSound($problem, $network, $timeline, $best->cost());

        return [$sequences->cost(), $best->cost(), $timeline];
    }

    private function assertSound(Problem $problem, Network $network, Timeline $timeline, int $cost): void
    {
        $names = static fn (int $choice): array => array_map(
            static fn (int $r): string => $network->resourceIds[$r],
            $timeline->chosen[$choice] ?? [],
        );
        $placements = $holds = [];
        foreach ($network->ids as $i => $id) {
            $uses = array_map(static fn (array $need): array => $names($need[0]), $network->needs[$i]);
            $placements[$id] = new Placement($timeline->start[$i], $timeline->end[$i], $uses);
        }
        foreach ($network->holdIds as $h => $id) {
            $holds[$id] = array_map(static fn (array $need): array => $names($need[0]), $network->holdNeeds[$h]);
        }
        $solution = new Solution(SolutionStatus::Feasible, $cost, null, $placements, $holds, 1, [], 0);
        self::assertSame([], (new Audit())->faults($problem, $solution));
    }
}
