<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Document\FaultyDocument;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\ProblemWriter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ProblemReaderTest extends TestCase
{
    private const SOUND = ['format' => 'feast-ladle/schedule-problem', 'version' => 1, 'horizon' => [0, 100]];

    /** @return iterable<string, array{array<string, mixed>, list<string>}> */
    public static function faulty(): iterable
    {
        $resource = ['id' => 'a'];
        yield 'unknown ids' => [
            [
                'resources' => [$resource],
                'activities' => [['id' => 'x', 'duration' => 1, 'needs' => [['from' => ['b']]]]],
                'links' => [['from' => 'x', 'to' => 'y']],
                'holds' => [['id' => 'h', 'activities' => ['z'], 'needs' => []]],
            ],
            ['/activities/0/needs/0/from/0', '/holds/0/activities/0', '/links/0/to'],
        ];
        yield 'negative time' => [['activities' => [['id' => 'x', 'duration' => -1]]], ['/activities/0/duration']];
        yield 'falling triangle' => [
            ['activities' => [['id' => 'x', 'duration' => ['min' => 5, 'likely' => 3, 'max' => 9]]]],
            ['/activities/0/duration'],
        ];
        yield 'max below min' => [
            ['activities' => [['id' => 'x', 'duration' => 1]], 'links' => [['from' => 'x', 'to' => 'x', 'min' => 3, 'max' => 2]]],
            ['/links/0/max'],
        ];
        yield 'turnover with capacity' => [['resources' => [['id' => 'a', 'capacity' => 2, 'turnover' => 5]]], ['/resources/0/turnover']];
        yield 'sameAs in a circle' => [
            [
                'resources' => [$resource],
                'activities' => [
                    ['id' => 'x', 'duration' => 1, 'needs' => [['sameAs' => ['activity' => 'y', 'need' => 0]]]],
                    ['id' => 'y', 'duration' => 1, 'needs' => [['sameAs' => ['activity' => 'x', 'need' => 0]]]],
                ],
            ],
            ['/activities/0/needs/0/sameAs', '/activities/1/needs/0/sameAs'],
        ];
        yield 'sameAs of a need that is not there' => [
            [
                'resources' => [$resource],
                'activities' => [['id' => 'x', 'duration' => 1, 'needs' => [['sameAs' => ['activity' => 'x', 'need' => 4]]]]],
            ],
            ['/activities/0/needs/0/sameAs'],
        ];
        yield 'an id used twice' => [['resources' => [$resource, $resource]], ['/resources/1/id']];
        yield 'a horizon that ends first' => [['horizon' => [5, 4]], ['/horizon']];
        yield 'a fraction of a minute' => [['activities' => [['id' => 'x', 'duration' => 1.5]]], ['/activities/0/duration']];
        yield 'an unknown field' => [['activites' => []], ['/activites']];
        yield 'shortest gaps in a circle' => [
            [
                'horizon' => [0, 9000],
                'activities' => [['id' => 'x', 'duration' => 1], ['id' => 'y', 'duration' => 2], ['id' => 'z', 'duration' => 0]],
                'links' => [['from' => 'z', 'to' => 'x'], ['from' => 'x', 'to' => 'y', 'min' => 1], ['from' => 'y', 'to' => 'x']],
            ],
            ['/links/1', '/links/2'],
        ];
        yield 'a step that must follow itself' => [
            ['activities' => [['id' => 'x', 'duration' => 3]], 'links' => [['from' => 'x', 'to' => 'x']]],
            ['/links/0'],
        ];
        yield 'overlapping shifts' => [['resources' => [['id' => 'a', 'calendar' => [[0, 10], [5, 20]]]]], ['/resources/0/calendar']];
    }

    /**
     * @param array<string, mixed> $change
     * @param list<string>         $pointers
     */
    #[DataProvider('faulty')]
    public function testFaultsHavePointers(array $change, array $pointers): void
    {
        try {
            (new ProblemReader())->read(json_encode([...self::SOUND, ...$change], \JSON_THROW_ON_ERROR));
            self::fail('The fault was not noticed.');
        } catch (FaultyDocument $faulty) {
            self::assertSame($pointers, array_map(static fn ($f): string => $f->pointer, $faulty->faults));
        }
    }

    public function testStartingTogetherIsNoCircle(): void
    {
        $problem = (new ProblemReader())->read(
            json_encode(
                [
                    ...self::SOUND,
                    'activities' => [['id' => 'x', 'duration' => 1], ['id' => 'y', 'duration' => 2]],
                    'links' => [
                        ['from' => 'x', 'to' => 'y', 'type' => 'SS'],
                        ['from' => 'y', 'to' => 'x', 'type' => 'SS'],
                        ['from' => 'x', 'to' => 'y', 'type' => 'EE', 'min' => -5],
                    ],
                ],
                \JSON_THROW_ON_ERROR,
            ),
        );
        self::assertCount(3, $problem->links);
    }

    public function testAMillionActivitiesAreRefused(): void
    {
        $this->expectException(FaultyDocument::class);
        (new ProblemReader())->read(
            '{"format":"feast-ladle/schedule-problem","version":1,"horizon":[0,9],"activities":['.
                rtrim(str_repeat('{},', 1_000_000), ',').
                ']}',
        );
    }

    public function testWrittenAndReadAgainIsTheSameProblem(): void
    {
        $json = (string) file_get_contents(__DIR__.'/fixtures/example.json');
        $problem = (new ProblemReader())->read($json);
        $again = (new ProblemReader())->read(json_encode((new ProblemWriter())->problem($problem), \JSON_THROW_ON_ERROR));
        self::assertEquals($problem, $again);
    }
}
