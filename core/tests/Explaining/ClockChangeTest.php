<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Explaining;

use FeastLadle\Explaining\ClockChange;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Planning\FeastPlanner;
use FeastLadle\Solving\Plan;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A feast at dawn, cooked for through the night in which the clocks change. */
final class ClockChangeTest extends TestCase
{
    /** @return iterable<string, array{string, string, string|null}> zone, date, what is said */
    public static function nights(): iterable
    {
        yield 'put back' => [
            'CST6CDT',
            '2031-11-02',
            'At 02:00 the clocks are put back by 60 min to 01:00. What follows is told in the new time.',
        ];
        yield 'put on' => [
            'CST6CDT',
            '2031-03-09',
            'At 02:00 the clocks are put on by 60 min to 03:00. What follows is told in the new time.',
        ];
        yield 'a night like others' => ['CST6CDT', '2031-06-15', null];
        yield 'an offset never changes' => ['+05:30', '2031-10-26', null];
    }

    #[DataProvider('nights')]
    public function testItIsSaidAndNoStepIsLongerForIt(string $zone, string $date, ?string $says): void
    {
        $feast = $this->atDawn($zone, $date);
        $plan = (new FeastPlanner(Shipped::larder()))->plan($feast, Shipped::kitchen());
        self::assertTrue($plan->isOnTime());
        $changes = ClockChange::during($plan, $feast->timeZone);
        self::assertSame(null === $says ? [] : [$says], array_map(static fn (ClockChange $c): string => $c->sentence()->text(), $changes));
        foreach ($plan->steps as $step) {
            self::assertSame(60 * $step->minutes(), $step->end->getTimestamp() - $step->start->getTimestamp());
        }
    }

    public function testNoStepsNoChange(): void
    {
        self::assertSame(
            [],
            ClockChange::during(
                Plan::unscheduled((new FeastPlanner(Shipped::larder()))->quantities(Shipped::feast(), Shipped::kitchen())),
                new \DateTimeZone('CST6CDT'),
            ),
        );
    }

    private function atDawn(string $zone, string $date): Feast
    {
        $document = Shipped::document('feasts/new-roof');
        \assert(\is_array($document['moments']) && \is_array($document['hands']));
        $document['timeZone'] = $zone;
        $document['date'] = $date;
        $document['moments'] = array_map(
            static fn (mixed $m): mixed => \is_array($m) ? [...$m, 'time' => 'sitting' === $m['kind'] ? '06:40' : '06:00'] : $m,
            $document['moments'],
        );
        $document['hands'] = array_map(
            static fn (mixed $h): mixed => \is_array($h) ? [...$h, 'day' => -1, 'from' => '20:00', 'to' => '08:00'] : $h,
            $document['hands'],
        );

        return (new FeastReader(Shipped::kitchen(), Shipped::shelf()))->read(
            json_encode($document, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION),
        );
    }
}
