<?php

declare(strict_types=1);

namespace App\Tests\Command;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Console\Tester\CommandTester;

final class DayReplayTest extends KernelTestCase
{
    private const FEAST = __DIR__.'/../../data/feasts/new-roof.json';

    public function testALogGivesTheStateAtItsLastEvent(): void
    {
        $state = $this->state([
            ['id' => 'a1', 'at' => '2031-11-15T11:22:00+05:30', 'by' => 'asha', 'kind' => 'started', 'step' => 'basundi/1/boil'],
            ['id' => 'a3', 'at' => '2031-11-15T12:04:00+05:30', 'by' => 'asha', 'kind' => 'done', 'step' => 'basundi/1/boil'],
            ['id' => 'a4', 'at' => '2031-11-15T12:05:00+05:30', 'by' => 'asha', 'kind' => 'started', 'step' => 'basundi/1/reduce'],
            ['id' => 'x', 'at' => '2031-11-15T12:06:00+05:30', 'kind' => 'done', 'step' => 'laddu/1/roll'],
            ['id' => 'n', 'at' => '2031-11-15T12:30:00+05:30', 'by' => 'nilu', 'kind' => 'not-done', 'step' => 'basundi/1/boil'],
            ['id' => 'w', 'at' => '2031-11-15T12:35:00+05:30', 'by' => 'nilu', 'kind' => 'withdrawn', 'event' => 'n'],
        ]);
        self::assertSame(['feast-ladle/day-state', 1, '2031-11-15T12:35:00+05:30'], [$state['format'], $state['version'], $state['at']]);
        $steps = array_column($this->rows($state, 'steps'), null, 'step');
        self::assertSame('done', $steps['basundi/1/boil']['state'] ?? null);
        self::assertSame('2031-11-15T12:04:00+05:30', $steps['basundi/1/boil']['ended'] ?? null);
        self::assertNull($steps['basundi/1/boil']['minutesLeft'] ?? null);
        self::assertSame('running', $steps['basundi/1/reduce']['state'] ?? null);
        self::assertSame('not-yet', $steps['kesari/1/merge']['state'] ?? null);
        self::assertSame(['x'], $state['withoutStep']);
        self::assertSame([], $state['contradictions']);
        $pots = array_column($this->rows($state, 'vessels'), null, 'vessel');
        self::assertSame(['basundi/1'], $pots['tall-pot']['holds'] ?? null);
        self::assertGreaterThan(2500, $pots['tall-pot']['grams'] ?? null);
        foreach ($this->rows($state, 'moments') as $moment) {
            self::assertGreaterThan(0.5, $moment['chance'] ?? null);
        }
    }

    public function testTheDayIsToldInWordsAtAnyInstant(): void
    {
        $event = ['id' => 'a1', 'at' => '2031-11-15T11:22:00+05:30', 'kind' => 'started', 'step' => 'basundi/1/boil'];
        $tester = $this->replay([$event], ['--format' => 'text', '--at' => '2031-11-15T11:40:00+05:30']);
        self::assertSame(0, $tester->getStatusCode());
        self::assertStringContainsString('0 of 25 steps done', $tester->getDisplay());
        self::assertMatchesRegularExpression('~runs: .*basundi/1/boil.*min left~', $tester->getDisplay());
        // Before it was said it was not so.
        $before = $this->replay([$event], ['--format' => 'text', '--at' => '2031-11-15T11:20:00+05:30']);
        self::assertStringNotContainsString('runs:', $before->getDisplay());
        self::assertStringContainsString('may begin: ', $before->getDisplay());
    }

    /** @return iterable<string, array{string, array<string, string>, string}> */
    public static function refused(): iterable
    {
        $log = static fn (string $events): string => '{"format": "feast-ladle/day-log", "version": 1, "events": ['.$events.']}';
        yield 'no JSON' => ['{', [], 'never closed'];
        yield 'no log' => ['{"format": "x", "version": 1}', [], '/format'];
        yield 'another version' => ['{"format": "feast-ladle/day-log", "version": 2, "events": []}', [], '/version'];
        yield 'a fault in an event' => [
            $log('{"id": "a", "at": "2031-11-15T11:22:00+05:30", "kind": "reading", "vessel": "tall-pot", "celsius": 900}'),
            [],
            '/events/0/celsius',
        ];
        yield 'an instant that is none' => [$log(''), ['--at' => 'noon'], '--at'];
        yield 'another format' => [$log(''), ['--format' => 'pdf'], '--format'];
    }

    /** @param array<string, string> $options */
    #[DataProvider('refused')]
    public function testWhatCanNotBeReadIsRefusedWithItsPlace(string $log, array $options, string $place): void
    {
        $tester = $this->replayText($log, $options);
        self::assertSame(2, $tester->getStatusCode());
        self::assertStringContainsString($place, $tester->getErrorOutput().$tester->getDisplay());
    }

    public function testSimulatedDaysAreToldInFiguresAndWords(): void
    {
        $tester = new CommandTester((new Application(self::bootKernel()))->find('ladle:day:simulate'));
        $tester->execute(['feast' => self::FEAST, '--runs' => '2', '--seed' => '5']);
        self::assertSame(0, $tester->getStatusCode());
        $report = json_decode($tester->getDisplay(), true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($report);
        self::assertSame([2, 5, []], [$report['runs'], $report['seed'], $report['violations']]);
        self::assertIsArray($report['moments']);
        self::assertCount(2, $report['moments']);
        foreach ($report['moments'] as $moment) {
            self::assertIsArray($moment);
            self::assertContains($moment['metWith'], [0, 0.5, 1, 1.0]);
            self::assertIsArray($moment['lateMinutesWith']);
            self::assertCount(3, $moment['lateMinutesWith']);
        }
        $tester->execute(['feast' => self::FEAST, '--runs' => '1', '--format' => 'text']);
        self::assertMatchesRegularExpression('/Offering at the threshold: met in [01] of 1 days/', $tester->getDisplay());
        foreach ([['--runs' => '0'], ['--seed' => 'x'], ['--format' => 'pdf']] as $wrong) {
            $tester->execute(['feast' => self::FEAST] + $wrong, ['capture_stderr_separately' => true]);
            self::assertSame(2, $tester->getStatusCode());
            self::assertStringContainsString((string) array_key_first($wrong), $tester->getErrorOutput());
        }
    }

    /**
     * @param list<array<string, mixed>> $events
     *
     * @return array<string, mixed>
     */
    private function state(array $events): array
    {
        $tester = $this->replay($events, []);
        self::assertSame(0, $tester->getStatusCode());
        $state = json_decode($tester->getDisplay(), true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($state);

        /** @var array<string, mixed> $state */
        return $state;
    }

    /**
     * @param array<string, mixed> $state
     *
     * @return list<array<string, mixed>>
     */
    private function rows(array $state, string $key): array
    {
        self::assertIsArray($state[$key]);

        /** @var list<array<string, mixed>> $rows */
        $rows = $state[$key];

        return $rows;
    }

    /**
     * @param list<array<string, mixed>> $events
     * @param array<string, string>      $options
     */
    private function replay(array $events, array $options): CommandTester
    {
        $document = ['format' => 'feast-ladle/day-log', 'version' => 1, 'events' => $events];

        return $this->replayText(json_encode($document, \JSON_THROW_ON_ERROR), $options);
    }

    /** @param array<string, string> $options */
    private function replayText(string $log, array $options): CommandTester
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'day');
        file_put_contents($file, $log);
        try {
            $tester = new CommandTester((new Application(self::bootKernel()))->find('ladle:day:replay'));
            $tester->execute(['feast' => self::FEAST, 'log' => $file] + $options, ['capture_stderr_separately' => true]);
        } finally {
            unlink($file);
        }

        return $tester;
    }
}
