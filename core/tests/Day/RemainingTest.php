<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Day;

use FeastLadle\Day\Remaining;
use FeastLadle\Schedule\DurationRange;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RemainingTest extends TestCase
{
    /**
     * By hand. Of 10 to 20, likely 15, half the futures are left after 15 min; a quarter is over by x with (20 − x)² = 0.25 · 10 · 5, so
     * x = 16.46. Of 10 to 20, likely 12, after 14 min 45 in a hundred are left; half of them by x with (20 − x)² = 0.225 · 10 · 8.
     *
     * @return iterable<string, array{array{int, int, int}, float, array{int, int, int}}>
     */
    public static function cases(): iterable
    {
        yield 'just begun' => [[10, 15, 20], 0.0, [10, 15, 20]];
        yield 'before its least' => [[10, 15, 20], 8.0, [2, 7, 12]];
        yield 'at its likely end' => [[10, 15, 20], 15.0, [1, 2, 5]];
        yield 'a long tail' => [[10, 12, 20], 14.0, [1, 2, 6]];
        yield 'longer than anybody thought' => [[10, 15, 20], 25.0, [1, 2, 5]];
        yield 'known to the minute' => [[30, 30, 30], 12.5, [18, 18, 18]];
        yield 'known to the minute, and over' => [[30, 30, 30], 31.0, [1, 3, 9]];
    }

    /**
     * @param array{int, int, int} $range
     * @param array{int, int, int} $left
     */
    #[DataProvider('cases')]
    public function testWhatIsLeftFollowsFromTheMinutesGone(array $range, float $gone, array $left): void
    {
        $remaining = Remaining::after(new DurationRange(...$range), $gone);
        self::assertSame($left, [$remaining->least, $remaining->likely, $remaining->most]);
    }

    public function testTheEndItIsThoughtToHaveNeverComesNearer(): void
    {
        $range = new DurationRange(20, 31, 47);
        for ($gone = 0; $gone < 60; ++$gone) {
            $now = $gone + Remaining::after($range, $gone)->likely;
            $next = $gone + 1 + Remaining::after($range, $gone + 1)->likely;
            self::assertGreaterThanOrEqual($now, $next, "after $gone min");
            self::assertGreaterThan(0, Remaining::after($range, $gone)->least);
        }
    }
}
