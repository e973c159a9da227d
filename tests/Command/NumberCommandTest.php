<?php

declare(strict_types=1);

namespace App\Tests\Command;

use App\Command\NumberCommand;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Console\Tester\CommandTester;

final class NumberCommandTest extends TestCase
{
    public function testALawIsComputedFromItsInputs(): void
    {
        $tester = new CommandTester(new NumberCommand());
        self::assertSame(
            0,
            $tester->execute(['name' => 'tray-cut', '--json' => '{"cut": "squares", "lengthMm": 400, "widthMm": 300, "a": 35}']),
        );
        $figures = json_decode($tester->getDisplay(), true, 512, \JSON_THROW_ON_ERROR);
        self::assertIsArray($figures);
        self::assertSame(['value' => 88], $figures['pieces']);
    }

    public function testAllLawsAreListed(): void
    {
        $tester = new CommandTester(new NumberCommand());
        self::assertSame(0, $tester->execute(['--list' => true]));
        self::assertStringContainsString('grain-water: ', $tester->getDisplay());
        self::assertStringContainsString('netKw (kW 0 to 100, else 0)', $tester->getDisplay());
    }

    public function testAFaultIsNamedByItsPlaceWithStatusTwo(): void
    {
        $tester = new CommandTester(new NumberCommand());
        self::assertSame(
            2,
            $tester->execute(['name' => 'spare', '--json' => '{"uptake": 2, "guests": 5}'], ['capture_stderr_separately' => true]),
        );
        self::assertStringContainsString('/uptake', $tester->getErrorOutput());
        self::assertSame(2, $tester->execute(['name' => 'no-such'], ['capture_stderr_separately' => true]));
        self::assertStringContainsString('--list', $tester->getErrorOutput());
    }
}
