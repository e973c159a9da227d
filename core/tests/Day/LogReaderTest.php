<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Day;

use FeastLadle\Day\DayLog;
use FeastLadle\Day\Event;
use FeastLadle\Day\EventKind;
use FeastLadle\Day\Happening\Noted;
use FeastLadle\Day\Happening\StepDone;
use FeastLadle\Day\Happening\VesselRead;
use FeastLadle\Day\LogReader;
use FeastLadle\Document\Fault;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Tests\Support\Shipped;
use FeastLadle\Words\CannotBe;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LogReaderTest extends TestCase
{
    private const AT = ['at' => '2031-11-15T12:00:00+05:30'];

    /** @return iterable<string, array{array<string, mixed>, string}> what is said, and where it is wrong */
    public static function faulty(): iterable
    {
        yield 'an unknown kind' => [['kind' => 'cooked'], '/events/0/kind'];
        yield 'a field of another kind' => [['kind' => 'started', 'step' => 'kesari/1/roast', 'grams' => 3], '/events/0/grams'];
        yield 'no step' => [['kind' => 'started'], '/events/0/step'];
        yield 'a step without a batch' => [['kind' => 'started', 'step' => 'kesari/roast'], '/events/0/step'];
        yield 'less than nothing' => [['kind' => 'bowl', 'step' => 'kesari/1/roast', 'bowl' => 1, 'grams' => -3], '/events/0/grams'];
        yield 'hotter than any fire' => [['kind' => 'reading', 'vessel' => 'tall-pot', 'celsius' => 900], '/events/0/celsius'];
        yield 'nothing was read' => [['kind' => 'reading', 'vessel' => 'tall-pot'], '/events/0'];
        yield 'a vessel of another kitchen' => [['kind' => 'reading', 'vessel' => 'tun-1', 'celsius' => 90], '/events/0/vessel'];
        yield 'a person of another kitchen' => [['kind' => 'left', 'person' => 'bhima'], '/events/0/person'];
        yield 'said by nobody here' => [['kind' => 'note', 'text' => 'hm', 'by' => 'bhima'], '/events/0/by'];
        yield 'an end before its beginning' => [
            ['kind' => 'left', 'person' => 'asha', 'from' => '2031-11-15T13:00:00+05:30', 'until' => '2031-11-15T12:00:00+05:30'],
            '/events/0/until',
        ];
        yield 'no day of the calendar' => [['kind' => 'note', 'text' => 'hm', 'at' => '2031-02-30T12:00:00+05:30'], '/events/0/at'];
        yield 'no offset' => [['kind' => 'note', 'text' => 'hm', 'at' => '2031-11-15T12:00:00'], '/events/0/at'];
        yield 'a slip without its bowl' => [['kind' => 'slipped', 'step' => 'kesari/1/roast', 'slip' => 'forgotten'], '/events/0/bowl'];
        yield 'past, but how far' => [['kind' => 'slipped', 'step' => 'kesari/1/syrup', 'slip' => 'went-past'], '/events/0'];
        yield 'what no larder holds' => [
            ['kind' => 'slipped', 'step' => 'kesari/1/roast', 'slip' => 'something-else', 'ingredient' => 'sand', 'grams' => 3],
            '/events/0/ingredient',
        ];
        yield 'moved nowhere' => [['kind' => 'moved', 'vessel' => 'tall-pot', 'to' => 'moon'], '/events/0/to'];
        yield 'a stage nobody knows' => [['kind' => 'reading', 'vessel' => 'tall-pot', 'stage' => 'sticky'], '/events/0/stage'];
        yield 'no such group' => [['kind' => 'guests', 'group' => 'rowers', 'count' => 3], '/events/0/group'];
    }

    /** @param array<string, mixed> $said */
    #[DataProvider('faulty')]
    public function testAFaultStandsAtItsPlace(array $said, string $place): void
    {
        try {
            $this->log([$said + ['id' => 'a'] + self::AT]);
            self::fail('It was read.');
        } catch (FaultyDocument $faulty) {
            self::assertSame([$place], array_map(static fn (Fault $f): string => $f->pointer, $faulty->faults));
        }
    }

    public function testEveryKindHasItsFieldsInTheContractAndIsRead(): void
    {
        $least = [
            'step' => 'kesari/1/roast', 'mark' => 1, 'bowl' => 1, 'part' => 1, 'what' => 'the ladle', 'becomes' => 'kept',
            'slip' => 'caught',
            'vessel' => 'tall-pot', 'celsius' => 80.5, 'verdict' => 'right', 'to' => 'warm', 'recipe' => 'basundi', 'person' => 'asha',
            'thing' => 'tall-pot', 'group' => 'elders', 'count' => 5, 'moment' => 'offering',
            'companion' => 'flatbread', 'lateMinutes' => 10,
            'dish' => 'kesari', 'feast' => 'f', 'taken' => true, 'fingerprint' => 'f', 'moves' => [], 'text' => 'x', 'event' => 'a1',
        ];
        $stop = ['what' => 'burn'];
        $events = [];
        foreach (EventKind::cases() as $kind) {
            $of = \in_array($kind, [EventKind::Stop, EventKind::Over], true) ? $stop + $least : $least;
            $events[] = ['id' => $kind->value, 'kind' => $kind->value] + self::AT + array_intersect_key($of, array_flip($kind->fields()));
        }
        self::assertCount(\count(EventKind::cases()) - 1, $this->log($events)->until(new \DateTimeImmutable('2031-11-16')));
    }

    public function testTheSameTwiceIsOneAndWithOtherWordsIsRefused(): void
    {
        $event = ['id' => 'a', 'kind' => 'note', 'text' => 'hm'] + self::AT;
        $heard = ['arrived' => '2031-11-15T12:09:00+05:30'] + $event;
        self::assertCount(1, $this->log([$event, $heard])->until(new \DateTimeImmutable('2031-11-16')));

        try {
            $this->log([$event, ['text' => 'ha'] + $event]);
            self::fail('It was read.');
        } catch (FaultyDocument $faulty) {
            self::assertSame('/events/1/id', $faulty->faults[0]->pointer);
        }
        $reader = new LogReader(Shipped::feast(), Shipped::kitchen(), Shipped::larder());
        $one = static fn (string $text): string => json_encode(['text' => $text] + $event, \JSON_THROW_ON_ERROR);
        $this->expectException(CannotBe::class);
        DayLog::of([$reader->readEvent($one('hm')), $reader->readEvent($one('ha'))]);
    }

    public function testWhatWasTakenBackWasNeverSaidUnlessThatIsTakenBackToo(): void
    {
        $at = static fn (int $minute): array => ['at' => \sprintf('2031-11-15T12:%02d:00+05:30', $minute)];
        $note = ['id' => 'n', 'kind' => 'note', 'text' => 'hm'] + $at(1);
        $back = ['id' => 'w', 'kind' => 'withdrawn', 'event' => 'n'] + $at(2);
        $again = ['id' => 'x', 'kind' => 'withdrawn', 'event' => 'w'] + $at(3);
        $ids = static fn (DayLog $log, int $minute): array => array_map(
            static fn (Event $e): string => $e->id,
            $log->until(new \DateTimeImmutable($at($minute)['at'])),
        );
        foreach ([[$note, $back, $again], [$again, $back, $note], [$back, $again, $note]] as $order) {
            $log = $this->log($order);
            self::assertSame([['n'], [], ['n']], [$ids($log, 1), $ids($log, 2), $ids($log, 3)], 'in whatever order they came');
        }
    }

    public function testWhatIsSaidIsTyped(): void
    {
        $log = $this->log([
            ['id' => 'b', 'kind' => 'reading', 'vessel' => 'tall-pot', 'grams' => 4200,
                'gross' => true, 'sample' => ['ml' => 100, 'grams' => 119.5]]
            + self::AT,
            ['id' => 'a', 'kind' => 'done', 'step' => 'balls/1/shape', 'share' => 0.5, 'by' => 'nilu'] + self::AT,
            ['id' => 'c', 'kind' => 'note', 'text' => '<b>', 'about' => true] + self::AT,
        ])->until(new \DateTimeImmutable('2031-11-16'));
        self::assertSame(['a', 'b', 'c'], array_map(static fn (Event $e): string => $e->id, $log), 'at one instant by their ids');
        self::assertEquals(new StepDone('balls/1/shape', null, null, 0.5), $log[0]->what);
        self::assertSame('nilu', $log[0]->by);
        self::assertEquals(new VesselRead('tall-pot', null, 4200.0, true, null, null, null, 100.0, 119.5), $log[1]->what);
        self::assertEquals(new Noted('<b>', null, null, null), $log[2]->what);
        self::assertTrue($log[2]->isGuess);
    }

    /** @param list<array<string, mixed>> $events */
    private function log(array $events): DayLog
    {
        $document = ['format' => 'feast-ladle/day-log', 'version' => 1, 'events' => $events];

        return (new LogReader(Shipped::feast(), Shipped::kitchen(), Shipped::larder()))->read(json_encode($document, \JSON_THROW_ON_ERROR));
    }
}
