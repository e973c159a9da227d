<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Day;

use FeastLadle\Day\DayState;
use FeastLadle\Day\Fold;
use FeastLadle\Day\Mends;
use FeastLadle\Day\MomentNow;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\TestCase;

/** When a moment can't be met any more, each mend that is offered was planned from here, and gives what it says. */
final class MendsTest extends TestCase
{
    use HomeDay;

    public function testNothingIsMendedWhereNothingIsLate(): void
    {
        self::assertSame([], $this->mends('15:00', '15:00'));
    }

    public function testEachMendIsPlannedFromHereAndGivesWhatItSays(): void
    {
        // At half past five the kesari is not even begun: it needs three quarters of an hour.
        $mends = $this->mends('16:50', '17:30');
        $before = $this->state([], '17:30', $this->saidAsPlanned('16:50'));
        self::assertGreaterThan(0, self::late($before));
        self::assertNotSame([], $mends);
        $kinds = [];
        foreach ($mends as $k => $mend) {
            $kinds[] = $mend->said['kind'];
            $said = [['17:30', (string) $mend->said['kind'], array_diff_key($mend->said, ['kind' => true])]];
            $after = $this->state($said, '17:30', $this->saidAsPlanned('16:50'));
            self::assertSame($mend->lateMinutes, self::late($after), "mend $k");
            self::assertLessThan(self::late($before), $mend->lateMinutes);
        }
        self::assertContains('moment', $kinds, 'the offering can wait');
        self::assertContains('dish', $kinds, 'the kesari can be given up');
    }

    /** @return list<\FeastLadle\Day\Mend> */
    private function mends(string $until, string $now): array
    {
        $events = [];
        foreach ($this->saidAsPlanned($until) as $k => [$at, $kind, $rest]) {
            $events[] = ['id' => "b$k", 'at' => "2031-11-15T$at:00+05:30", 'by' => 'asha', 'kind' => $kind] + $rest;
        }
        $document = ['format' => 'feast-ladle/day-log', 'version' => 1, 'events' => $events];
        $log = $this->reader()->read(json_encode($document, \JSON_THROW_ON_ERROR));
        $fold = new Fold(Shipped::feast(), Shipped::kitchen(), Shipped::larder(), self::plan());

        return (new Mends(Shipped::feast(), Shipped::kitchen(), $fold))->of($log, new \DateTimeImmutable("2031-11-15T$now:00+05:30"));
    }

    private static function late(DayState $state): int
    {
        return array_sum(array_map(static fn (MomentNow $m): int => $m->lateMinutes, $state->moments));
    }
}
