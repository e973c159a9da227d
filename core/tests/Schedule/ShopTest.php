<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\Audit;
use FeastLadle\Schedule\Budget;
use FeastLadle\Schedule\Link;
use FeastLadle\Schedule\Network;
use FeastLadle\Schedule\Problem;
use FeastLadle\Schedule\Shop;
use FeastLadle\Schedule\Solution;
use FeastLadle\Schedule\Solver;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Job shops, among them classical ones whose optima are published. */
final class ShopTest extends TestCase
{
    /** @return iterable<string, array{list<list<int>>, int, int, float}> jobs, optimum, steps, how far off it may be */
    public static function classical(): iterable
    {
        $shops = json_decode((string) file_get_contents(__DIR__.'/fixtures/shops.json'), true, 16, \JSON_THROW_ON_ERROR);
        self::assertIsArray($shops);
        foreach (['ft06' => [6000, 0.0], 'la01' => [2000, 0.0], 'ft10' => [9000, 0.03]] as $name => [$steps, $off]) {
            self::assertIsArray($shops[$name]);
            /** @var list<list<int>> $jobs */
            $jobs = $shops[$name]['jobs'];
            self::assertIsInt($shops[$name]['optimum']);
            yield $name => [$jobs, $shops[$name]['optimum'], $steps, $off];
        }
    }

    /** @param list<list<int>> $jobs */
    #[DataProvider('classical')]
    public function testAClassicalShopComesToItsOptimumOrNear(array $jobs, int $optimum, int $steps, float $off): void
    {
        $problem = RandomShop::problem($jobs);
        $solution = (new Solver())->solve($problem, Budget::iterations($steps), 3);
        self::assertSame([], (new Audit())->faults($problem, $solution));
        self::assertGreaterThanOrEqual($optimum, $solution->objective);
        self::assertLessThanOrEqual((int) floor($optimum * (1 + $off)), $solution->objective);
        self::assertLessThanOrEqual($optimum, $solution->bound);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 20; ++$seed) {
            yield "seed $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testRandomShopsPassTheAuditAndTheSameSeedGivesTheSame(int $seed): void
    {
        $problem = RandomShop::of($seed);
        $first = (new Solver())->solve($problem, Budget::iterations(400), $seed);
        self::assertSame([], (new Audit())->faults($problem, $first));
        self::assertEquals(self::starts($first), self::starts((new Solver())->solve($problem, Budget::iterations(400), $seed)));
        self::assertGreaterThanOrEqual($first->bound, $first->objective);
    }

    public function testOnlyQuestionsOfOrderAreSearchedSo(): void
    {
        $jobs = [[0, 5, 1, 5], [1, 5, 0, 5]];
        self::assertNotNull(Shop::of(new Network(RandomShop::problem($jobs))));
        self::assertNull(Shop::of(new Network(RandomShop::problem($jobs, 0, ['objective' => ['kind' => 'just-in-time']]))));
        self::assertNull(
            Shop::of(
                new Network(RandomShop::problem($jobs, 0, ['links' => [['from' => 'j0o0', 'to' => 'j0o1', 'min' => 0, 'max' => 3]]])),
            ),
        );
        self::assertNull(
            Shop::of(
                new Network(
                    RandomShop::problem($jobs, 0, [
                        'holds' => [['id' => 'h', 'activities' => ['j0o0'], 'needs' => [['from' => ['m1']]]]],
                    ]),
                ),
            ),
        );
        self::assertNull(
            Shop::of(new Network(RandomShop::problem($jobs, 0, ['resources' => [['id' => 'm0', 'capacity' => 2], ['id' => 'm1']]]))),
        );
    }

    /** @return iterable<string, array{array<string, mixed>}> one thing more than order about one step */
    public static function more(): iterable
    {
        yield 'it begins later' => [['earliestStart' => 1]];
        yield 'it ends sooner' => [['latestEnd' => 8999]];
        yield 'two things at once' => [['needs' => [['from' => ['m0']], ['from' => ['m1']]]]];
        yield 'one of two' => [['needs' => [['from' => ['m0', 'm1']]]]];
        yield 'both of two' => [['needs' => [['from' => ['m0', 'm1'], 'count' => 2]]]];
        yield 'a time of its own there' => [['needs' => [['from' => ['m0'], 'duration' => ['m0' => 7]]]]];
        yield 'no time at all' => [['duration' => 0]];
    }

    /** @param array<string, mixed> $more */
    #[DataProvider('more')]
    public function testOneThingMoreThanOrderIsNoShop(array $more): void
    {
        $activities = [
            ['id' => 'a', 'duration' => 5, 'needs' => [['from' => ['m0']]]],
            ['id' => 'b', 'duration' => 5, 'needs' => [['from' => ['m1']]]],
        ];
        $shop = static fn (array $activities): ?Shop => Shop::of(
            new Network(RandomShop::problem([[0, 5, 1, 5]], 0, ['activities' => $activities, 'links' => []])),
        );
        self::assertNotNull($shop($activities));
        self::assertNull($shop([[...$activities[0], ...$more], $activities[1]]));
    }

    /** @return iterable<string, array{string, int, int}> how the second follows the first, by how much at least, when both are done */
    public static function follows(): iterable
    {
        // The first lasts 5, the second 3.
        yield 'after its end' => ['ES', 2, 10];
        yield 'after its start' => ['SS', 4, 7];
        yield 'ends after its end' => ['EE', 4, 9];
        yield 'ends after its start' => ['SE', 9, 9];
    }

    #[DataProvider('follows')]
    public function testAShopKeepsEveryKindOfLink(string $type, int $min, int $makespan): void
    {
        $problem = RandomShop::problem([[0, 5], [1, 3]], 0, [
            'links' => [['from' => 'j0o0', 'to' => 'j1o0', 'min' => $min, 'type' => $type]],
        ]);
        self::assertNotNull(Shop::of(new Network($problem)));
        $solution = (new Solver())->solve($problem, Budget::iterations(20));
        self::assertSame([], (new Audit())->faults($problem, $solution));
        self::assertSame($makespan, $solution->objective);
    }

    public function testLinksInACircleAreNoShop(): void
    {
        // The reader refuses these; a problem that is built may still hold them.
        $sound = RandomShop::problem([[0, 5, 1, 5]]);
        $problem = new Problem(
            $sound->horizonStart,
            $sound->horizonEnd,
            60,
            $sound->resources,
            $sound->activities,
            [new Link('j0o0', 'j0o1'), new Link('j0o1', 'j0o0')],
            [],
            $sound->objective,
        );
        self::assertNull(Shop::of(new Network($problem)));
    }

    /** @return array<string, int> */
    private static function starts(Solution $solution): array
    {
        return array_map(static fn ($p): int => $p->start, $solution->activities);
    }
}
