<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Frozen;

use PHPUnit\Framework\Assert;

/** What was put down, by name; FREEZE=1 puts it down anew. */
final class Frozen
{
    public static function compare(string $name, string $text): void
    {
        $file = __DIR__.'/'.$name.'.txt';
        if (false !== getenv('FREEZE')) {
            file_put_contents($file, $text);
        }
        Assert::assertStringEqualsFile($file, $text);
    }
}
