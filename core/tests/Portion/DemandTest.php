<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Portion;

use FeastLadle\Portion\Demand;
use FeastLadle\Portion\Group;
use FeastLadle\Portion\Spare;
use FeastLadle\Recipe\Portion;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DemandTest extends TestCase
{
    /** @return iterable<array{int, float}> */
    public static function crowds(): iterable
    {
        yield [28, 15];
        yield [240, 7];
        yield [1800, 5];
    }

    #[DataProvider('crowds')]
    public function testALargerCrowdNeedsLessSpare(int $guests, float $percent): void
    {
        self::assertEqualsWithDelta($percent, 100 * Spare::share(0.75, $guests), 0.5);
    }

    public function testNeedIsGuestsTimesAppetiteTimesUptakeTimesPortionPlusSpareAndOffering(): void
    {
        $groups = [new Group('a', 'grown-ups', 18, 1.0), new Group('b', 'elders', 4, 0.8), new Group('c', 'children', 6, 0.6)];
        $demand = Demand::of(Portion::grams(95), $groups, 0.85, 1);
        self::assertEqualsWithDelta(24.8, $demand->grownUps, 1e-9);
        self::assertEqualsWithDelta(24.8 * 0.85 * 95, $demand->forGuests, 1e-6);
        self::assertEqualsWithDelta($demand->forGuests * (1 + $demand->spareShare) + 95, $demand->total, 1e-6);
    }

    public function testPiecesGoUpToWholeForEachGroupAndOnceMoreWithTheSpare(): void
    {
        $groups = [new Group('a', 'three', 3, 1.0), new Group('b', 'two', 2, 0.6)];
        $demand = Demand::of(Portion::pieces(1, 'ball'), $groups, 1.0, 0);
        // 3 and ⌈1.2⌉ are 5; with 5 % spare 5.25, so 6.
        self::assertSame(5.0, $demand->forGuests);
        self::assertSame(6.0, $demand->total);
    }

    public function testAWholeNumberIsNotPushedUpByRoundingNoise(): void
    {
        $demand = Demand::of(Portion::pieces(0.1, 'ball'), [new Group('a', 'thirty', 30, 1.0)], 1.0, 0);
        self::assertSame(3.0, $demand->forGuests);
    }
}
