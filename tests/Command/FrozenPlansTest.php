<?php

declare(strict_types=1);

namespace App\Tests\Command;

use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Console\Tester\CommandTester;

/**
 * The plans of the demo feasts, byte for byte as they were put down. A change of structure changes nothing here; a change of
 * a law does, and then the difference is read, explained in the commit, and the file written anew.
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
        $tester->execute(['file' => "$root/data/feasts/$feast.json", '--format' => 'json']);
        self::assertStringEqualsFile("$root/tests/Frozen/$feast.json", $tester->getDisplay(true));
    }
}
