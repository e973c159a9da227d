<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Tray;

use FeastLadle\Tray\Cut;
use FeastLadle\Tray\TrayPlan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class TrayPlanTest extends TestCase
{
    public function testTraysAreFilledAlikeAndNoDeeperThanWanted(): void
    {
        $plan = TrayPlan::of(7000, 1.25, 400, 300, 22, Cut::Squares, 35);
        self::assertSame(3, $plan->trays);
        self::assertEqualsWithDelta(7000 / 3 / 1.25 / 120, $plan->depth, 1e-6);
        self::assertSame(264, $plan->pieces());
        self::assertEqualsWithDelta(1.25 * 3.5 * 3.5 * $plan->depth / 10, $plan->gramsEach, 1e-6);
    }

    public function testASlabOnARackIsReadySoonerThanOnATable(): void
    {
        $rack = TrayPlan::of(3300, 1.25, 400, 300, 22, Cut::Squares, 35);
        $table = TrayPlan::of(3300, 1.25, 400, 300, 22, Cut::Squares, 35, 0, 60, false);
        self::assertEqualsWithDelta(122, $rack->minutesTo(40, 110, 28) ?? 0, 1);
        self::assertGreaterThan($rack->minutesTo(40, 110, 28), $table->minutesTo(40, 110, 28));
        self::assertNull($rack->minutesTo(25, 110, 28));
    }

    public function testACutLargerThanTheTrayIsRefused(): void
    {
        $this->expectException(\DomainException::class);
        TrayPlan::of(1000, 1.25, 200, 100, 20, Cut::Triangles, 300, 50);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 20; ++$seed) {
            yield "seed $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testPiecesNeverCoverMoreThanTheSlab(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $between = static fn (int $low, int $high): float => $random->getInt(10 * $low, 10 * $high) / 10;
        foreach (Cut::cases() as $cut) {
            [$l, $w, $a, $b, $degrees] = [$between(100, 900), $between(100, 900), $between(15, 90), $between(15, 90), $between(30, 90)];
            $pieces = $cut->pieces($l, $w, $a, $b, $degrees);
            self::assertLessThanOrEqual($l * $w + 1e-6, $pieces * $cut->pieceMm2($a, $b, $degrees), $cut->value);
            self::assertGreaterThanOrEqual($pieces, $cut->pieces(2 * $l, $w, $a, $b, $degrees), $cut->value);
        }
    }
}
