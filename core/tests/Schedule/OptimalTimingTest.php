<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\OptimalTiming;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The best times, against all times there are. */
final class OptimalTimingTest extends TestCase
{
    private const MUST_KEEP = 1000;
    private const NODES = 4;
    private const LATEST = 6;

    public function testTwoDishesShareTheirLateness(): void
    {
        // Both are best over at 60; one fire, 20 and 30 minutes; the second costs 3 a minute late, the first 1 a minute early.
        $timing = new OptimalTiming(3, self::MUST_KEEP);
        $timing->add(0, 1, 40, 1);
        $timing->add(2, 0, -30, 3);
        $turn = $timing->add(1, 2, 20);

        self::assertTrue($timing->settle());
        self::assertSame([10, 30], [$timing->time(1), $timing->time(2)]);
        self::assertSame(30, $timing->cost());
        self::assertSame(1, $timing->savedBy($turn), 'a minute less between them is a minute less early');
    }

    public function testTurnsThatContradictEachOtherAreNamed(): void
    {
        $timing = new OptimalTiming(3, self::MUST_KEEP);
        $one = $timing->add(1, 2, 10);
        $other = $timing->add(2, 1, 5);
        $free = $timing->add(0, 1, 3);

        self::assertFalse($timing->settle());
        self::assertSame(15, $timing->lacks());
        self::assertGreaterThanOrEqual(self::MUST_KEEP, min($timing->savedBy($one), $timing->savedBy($other)));
        self::assertSame(0, $timing->savedBy($free));
        $timing->drop($other);
        self::assertTrue($timing->settle(), 'without the other it goes');
        self::assertSame(0, $timing->lacks());
        self::assertGreaterThanOrEqual(10, $timing->time(2) - $timing->time(1));
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 40; ++$seed) {
            yield "seed $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testGapsThatComeGoAndChangeLeaveTheBestOfAllTimes(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $timing = new OptimalTiming(self::NODES, self::MUST_KEEP);
        /** @var array<int, array{int, int, int, ?int}> $gaps */
        $gaps = [];
        for ($node = 1; $node < self::NODES; ++$node) {
            $timing->add(0, $node, 0);
            $timing->add($node, 0, -self::LATEST);
        }
        for ($step = 0; $step < 14; ++$step) {
            $known = [] === $gaps ? 0 : $random->pickArrayKeys($gaps, 1)[0];
            switch ([] === $gaps ? 0 : $random->getInt(0, 3)) {
                case 1:
                    $timing->drop($known);
                    unset($gaps[$known]);
                    break;
                case 2:
                    [$from, $to, , $price] = $gaps[$known];
                    $gaps[$known] = [$from, $to, $random->getInt(-5, 5), $price];
                    $timing->change($known, $gaps[$known][2]);
                    break;
                default:
                    $from = $random->getInt(0, self::NODES - 1);
                    $to = ($from + $random->getInt(1, self::NODES - 1)) % self::NODES;
                    $gap = [$from, $to, $random->getInt(-5, 5), $random->getInt(0, 2) > 0 ? $random->getInt(1, 9) : null];
                    $gaps[$timing->add(...$gap)] = $gap;
            }
            $best = self::best($gaps);
            self::assertSame(null !== $best, $timing->settle(), "step $step");
            if (null !== $best) {
                self::assertSame($best, $timing->cost(), "step $step");
                self::assertSame($best, self::cost($gaps, array_map($timing->time(...), range(0, self::NODES - 1))), "step $step");
            }
        }
    }

    /** @param array<int, array{int, int, int, ?int}> $gaps */
    private static function best(array $gaps): ?int
    {
        $best = null;
        $all = (self::LATEST + 1) ** (self::NODES - 1);
        for ($k = 0; $k < $all; ++$k) {
            $times = [0];
            for ($rest = $k, $node = 1; $node < self::NODES; ++$node) {
                $times[] = $rest % (self::LATEST + 1);
                $rest = intdiv($rest, self::LATEST + 1);
            }
            $cost = self::cost($gaps, $times);
            $best = null === $cost ? $best : min($best ?? $cost, $cost);
        }

        return $best;
    }

    /**
     * @param array<int, array{int, int, int, ?int}> $gaps
     * @param array<int, int>                        $times
     */
    private static function cost(array $gaps, array $times): ?int
    {
        $cost = 0;
        foreach ($gaps as [$from, $to, $length, $price]) {
            $missed = max(0, $times[$from] + $length - $times[$to]);
            if ($missed > 0 && null === $price) {
                return null;
            }
            $cost += $missed * ($price ?? 0);
        }

        return $cost;
    }
}
