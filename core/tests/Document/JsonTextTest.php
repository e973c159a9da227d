<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Document;

use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class JsonTextTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        yield 'cut off in a list' => ['{"steps": [{"id": "a"}, {"id"', 'ends in the middle'];
        yield 'cut off in a text' => ['{"name": "Kes', 'ends in the middle'];
        yield 'nested 10,000 deep' => [str_repeat('[', 10_000).str_repeat(']', 10_000), 'nests deeper than 40'];
        yield 'one level too deep' => [str_repeat('[', 41).str_repeat(']', 41), 'nests deeper than 40'];
        yield 'not JSON at all' => ['sugar, two cups', 'not JSON'];
        yield 'empty' => ["  \n", 'empty'];
        yield 'not UTF-8' => ["{\"name\": \"\xff\"}", 'UTF-8'];
        yield 'a bare number' => ['12', 'one JSON object'];
    }

    #[DataProvider('unreadable')]
    public function testRefusesWhatCannotBeRead(string $text, string $because): void
    {
        $this->expectException(FaultyDocument::class);
        $this->expectExceptionMessage($because);
        JsonText::decode($text, 'recipe', new Faults());
    }

    public function testRefusesThirtyMegabytesBySizeAlone(): void
    {
        $this->expectException(FaultyDocument::class);
        $this->expectExceptionMessage('The file is 30 MB; the most that is read is 1 MB.');
        JsonText::decode(str_repeat('x', 30_000_000), 'recipe', new Faults());
    }

    public function testReadsExactlyAtTheLimitOfDepth(): void
    {
        $faults = new Faults();
        JsonText::decode(str_repeat('[', 40).str_repeat(']', 40), 'recipe', $faults);
        self::assertTrue($faults->isEmpty());
    }

    public function testReportsEveryFaultWithItsPointerInOrder(): void
    {
        $faults = new Faults();
        $root = JsonText::decode('{"a": "x", "b/c": {"~d": 2.5}, "list": [1, "two", 9]}', 'thing', $faults);
        $root->at('a')->int(1, 5);
        $root->at('b/c')->at('~d')->int(0, 3);
        foreach ($root->at('list')->items() as $item) {
            $item->int(0, 5);
        }
        $root->at('missing')->string();
        self::assertSame(
            ['/a', '/b~1c/~0d', '/list/1', '/list/2', '/missing'],
            array_map(static fn ($f): string => $f->pointer, $faults->all()),
        );
        self::assertSame('Here must stand a whole number from 0 to 3, not 2.5.', $faults->all()[1]->message());
    }
}
