<?php

declare(strict_types=1);

namespace App\Tests\Architecture;

use PHPUnit\Framework\TestCase;

/** What the sentences of Rooms must be, so that they mean something. */
final class RoomOrderTest extends TestCase
{
    private const LONGEST_FILE = 350;
    private const LONGEST_LINE = 140;

    public function testEveryRoomHasItsSentenceAndStandsBelowWhatItUses(): void
    {
        $root = \dirname(__DIR__, 2).'/core/src';
        $rooms = array_map(basename(...), glob($root.'/*', \GLOB_ONLYDIR) ?: []);
        self::assertEqualsCanonicalizing($rooms, array_keys(Rooms::MAY_USE));
        self::assertEqualsCanonicalizing($rooms, array_keys(Rooms::KNOWS));
        $above = [];
        foreach (Rooms::MAY_USE as $room => $others) {
            self::assertSame([], array_diff($others, $above), "$room uses only rooms above it");
            $above[] = $room;
        }
    }

    public function testNoSentenceAllowsWhatNobodyNeeds(): void
    {
        $root = \dirname(__DIR__, 2).'/core/src';
        foreach (Rooms::MAY_USE as $room => $others) {
            $code = implode("\n", array_map(file_get_contents(...), glob("$root/$room/{*,*/*}.php", \GLOB_BRACE) ?: []));
            foreach ($others as $other) {
                self::assertStringContainsString('FeastLadle\\'.$other.'\\', $code, "$room may use $other and does not");
            }
        }
    }

    public function testNoFileOfTheCoreIsTooLong(): void
    {
        foreach (glob(\dirname(__DIR__, 2).'/core/src/{*,*/*}/*.php', \GLOB_BRACE) ?: [] as $file) {
            self::assertLessThanOrEqual(self::LONGEST_FILE, \count((array) file($file)), $file);
        }
    }

    public function testNoLineIsTooLong(): void
    {
        $root = \dirname(__DIR__, 2);
        exec('cd '.escapeshellarg($root).' && git ls-files "*.php" "*.twig" "*.js" "*.mjs" "*.scss" "*.md" "*.yaml" bin', $files);
        self::assertNotSame([], $files);
        foreach ($files as $file) {
            foreach ((array) file("$root/$file") as $i => $line) {
                if (str_ends_with($file, '.md') && str_starts_with((string) $line, '|')) {
                    // A row of a table can't be broken.
                    continue;
                }
                self::assertLessThanOrEqual(self::LONGEST_LINE, mb_strlen(rtrim((string) $line, "\n")), $file.':'.($i + 1));
            }
        }
    }
}
