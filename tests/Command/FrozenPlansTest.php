<?php

declare(strict_types=1);

namespace App\Tests\Command;

use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Console\Tester\CommandTester;

/**
 * The plans of the demo feasts, as a cook reads them, put down: whoever moves code must not move a step. FREEZE=1 writes them anew, when
 * they are meant to change; the change is then read and explained.
 */
final class FrozenPlansTest extends KernelTestCase
{
    #[TestWith(['new-roof'])]
    #[TestWith(['boat-lamp'])]
    #[TestWith(['bell-raising'])]
    public function testThePlanIsTheOneThatWasPutDown(string $feast): void
    {
        $root = \dirname(__DIR__, 2);
        $tester = new CommandTester((new Application(self::bootKernel()))->find('ladle:plan'));
        $tester->execute(['file' => "$root/data/feasts/$feast.json"]);
        $file = "$root/tests/Frozen/$feast.txt";
        if ('' !== (string) getenv('FREEZE')) {
            file_put_contents($file, $tester->getDisplay(true));
        }
        self::assertStringEqualsFile($file, $tester->getDisplay(true));
    }
}
