<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Feast;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Feast\Feast;
use FeastLadle\Feast\FeastReader;
use FeastLadle\Tests\Support\Document;
use FeastLadle\Tests\Support\Shipped;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FeastReaderTest extends TestCase
{
    /** @return iterable<string, array{string, mixed, string}> path, value, part of the message */
    public static function faulty(): iterable
    {
        foreach ([[0, '0'], [-3, '-3'], [2.5, '2.5'], [1_000_000_000, '1000000000'], ['many', '"many"']] as [$count, $shown]) {
            yield "a guest count of $shown" => ['groups/0/count', $count, 'a whole number from 1 to 100000, not '.$shown];
        }
        yield 'a person who does not work here' => ['hands/0/person', 'ghost', 'Nobody called "ghost"'];
        yield 'an unknown recipe' => ['dishes/0/recipe', 'cloud-cake', 'no recipe "cloud-cake"'];
        yield 'no such pot' => ['dishes/0/pots', ['roast' => 'cauldron'], 'no pot "cauldron"'];
        yield 'a tray in place of a pan' => ['dishes/0/pots', ['roast' => 'tray-1'], 'needs a pan'];
        yield 'a pot for a step that begins none' => ['dishes/0/pots', ['merge' => 'round-pan'], 'No vessel is begun'];
        yield 'a day that is not in the calendar' => ['date', '2031-02-30', 'year-month-day'];
        yield 'half past twenty-five' => ['moments/0/time', '25:30', 'hours:minutes'];
        yield 'no such time zone' => ['timeZone', 'Mars/Olympus', 'no time zone'];
        yield 'more than everybody takes it' => ['dishes/0/uptake', 1.5, 'from 0.05 to 1'];
    }

    #[DataProvider('faulty')]
    public function testAFaultStandsAtItsField(string $path, mixed $value, string $says): void
    {
        try {
            $this->read($path, $value);
            self::fail('The fault was not noticed.');
        } catch (FaultyDocument $faulty) {
            self::assertStringStartsWith('/'.$path, $faulty->faults[0]->pointer);
            self::assertStringContainsString($says, $faulty->faults[0]->message());
        }
    }

    public function testAMomentInThePastIsAFaultOnlyWhenItIsSetNow(): void
    {
        $now = new \DateTimeImmutable('2031-11-15 18:00:01 +05:30');
        self::assertSame(28, $this->read('name', 'Old')->guests());
        $this->expectExceptionMessage('/moments/0/time: This moment, 2031-11-15 18:00, is in the past.');
        $this->read('name', 'Old', $now);
    }

    public function testAShiftPastMidnightEndsTheNextDay(): void
    {
        $shift = $this->read('hands/0', ['person' => 'asha', 'day' => -1, 'from' => '22:00', 'to' => '02:30'])->shifts[0];
        self::assertSame('2031-11-15 02:30', $shift->to->format('Y-m-d H:i'));
    }

    private function read(string $path, mixed $value, ?\DateTimeImmutable $now = null): Feast
    {
        return (new FeastReader(Shipped::kitchen(), Shipped::shelf()))->read(
            Document::changed(Shipped::document('feasts/new-roof'), ['/'.$path => $value]),
            $now,
        );
    }
}
