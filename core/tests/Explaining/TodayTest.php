<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Explaining\Today;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

final class TodayTest extends TestCase
{
    public function testADayAsksForWhatIsToBeGotAndBegunOnIt(): void
    {
        $feast = Shipped::templeFeast();
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, Shipped::temple());
        $first = $plan->steps[0]->start->setTimezone($feast->timeZone);
        $morning = $first->setTime(5, 0);
        $asks = Today::of($feast, $plan, $morning);
        self::assertNotNull($asks);
        self::assertTrue($asks->isToday);
        self::assertSame($plan->steps[0], $asks->steps[0]);
        foreach ($asks->steps as $step) {
            self::assertSame($first->format('Y-m-d'), $step->start->setTimezone($feast->timeZone)->format('Y-m-d'));
        }
        // Long before, only the next day that asks for something is named; all that must be got stands on some day.
        $early = Today::of($feast, $plan, $morning->modify('-60 days'));
        self::assertNotNull($early);
        self::assertFalse($early->isToday);
        self::assertNotEmpty($early->get);
        self::assertSame([], $early->steps);
        self::assertLessThan($first->format('Y-m-d'), $early->day->format('Y-m-d'));
        // What should have been got before is still to be got today.
        $toGet = array_filter($plan->quantities->stores, static fn ($l): bool => $l->packs > 0);
        self::assertCount(\count($toGet), $asks->get);
        self::assertNull(Today::of($feast, $plan, $feast->lastMoment()->at->modify('+1 day')));
    }
}
