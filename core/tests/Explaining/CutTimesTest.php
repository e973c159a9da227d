<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Explaining\CarriedOver;
use FeastLadle\Explaining\CutTimes;
use FeastLadle\Heat\CarryOver;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Solving\PlannedStep;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Tray\CutWindow;
use PHPUnit\Framework\TestCase;

final class CutTimesTest extends TestCase
{
    public function testTheBarfiIsScoredWarmAndPartedCold(): void
    {
        $plan = (new FeastPlanner(Shipped::larder()))->plan(Shipped::feast(), Shipped::kitchen());
        $cuts = new CutTimes(Shipped::larder());
        $set = array_values(array_filter($plan->steps, static fn (PlannedStep $s): bool => 'barfi/1/set' === $s->activity))[0];
        $times = $cuts->of($set, Shipped::kitchen());
        self::assertSame([CutWindow::Score, CutWindow::Cold], array_column($times, 'window'));
        [$score, $cold] = $times;
        self::assertGreaterThan($set->start, $score['from']);
        self::assertGreaterThan($score['from'], $score['to']);
        self::assertGreaterThan($score['to'], $cold['from']);
        self::assertNull($cold['to']);
        // Newton's law: from the pouring to 34 °C takes ln((T − room)/(34 − room)) / ln((T − room)/(70 − room)) times as long as to 70 °C.
        $room = Shipped::kitchen()->climate->roomCelsius;
        $poured = $set->dish->batchPlan->ledger->flow('set')->taken->celsius;
        $seconds = static fn (\DateTimeImmutable $t): int => $t->getTimestamp() - $set->start->getTimestamp();
        self::assertEqualsWithDelta(
            log(($poured - $room) / (34 - $room)) / log(($poured - $room) / (70 - $room)),
            $seconds($cold['from']) / $seconds($score['from']),
            0.2,
        );
        foreach ($plan->steps as $step) {
            self::assertTrue('set' === $step->key->step || [] === $cuts->of($step, Shipped::kitchen()), $step->activity);
        }
    }

    /** 16 kg of iron, 50 K above what it roasts: 16 × 0.45 × 50 = 360 kJ, which a fire of 4 kW gives in a minute and a half. */
    public function testAHeavyPanGoesOnOffTheFire(): void
    {
        self::assertEqualsWithDelta(90.0, CarryOver::seconds(16, 0.45, 50, 4), 1e-9);
        self::assertSame(0.0, CarryOver::seconds(16, 0.45, 50, 0));
        $plan = (new FeastPlanner(Shipped::larder()))->plan(Shipped::templeFeast(), Shipped::temple());
        $told = [];
        foreach ($plan->steps as $step) {
            $seconds = CarriedOver::seconds($step, Shipped::temple());
            if (null !== $seconds) {
                self::assertNotNull($step->burner);
                self::assertGreaterThanOrEqual(20, $seconds);
                $told[$step->activity] = $seconds;
            }
        }
        self::assertArrayHasKey('kesari/1/roast', $told);
        self::assertArrayNotHasKey('cups/1/steam', $told);
    }
}
