<?php

declare(strict_types=1);

namespace App\Tests\Service;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Schema\Schema;
use DoctrineMigrations\Version20261128000000;
use Psr\Log\NullLogger;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

/** What was ticked and pinned under the former names of steps is found under the new ones, and back. */
final class RenamedStepsTest extends KernelTestCase
{
    public function testTicksAndPinsKeepTheirSteps(): void
    {
        $connection = self::getContainer()->get(Connection::class);
        $feast = $connection->fetchOne('SELECT id FROM feast');
        // As it was then: what was ticked has gone into another table since.
        $connection->executeStatement('CREATE TABLE cook_event (id INTEGER PRIMARY KEY, client_id, kind, step, at, feast_id)');
        $document = $this->document($connection, $feast);
        $pins = [
            ['step' => 'kesari/-2/garnish', 'day' => 0, 'time' => '10:00'],
            ['step' => 'kesari/1/roast', 'day' => 0, 'time' => '09:00'],
        ];
        $connection->update('feast', ['document' => json_encode([...$document, 'pins' => $pins])], ['id' => $feast]);
        $old = ['kesari/-2/garnish', 'kesari/0/syrup#3', 'kesari/2/roast', 'kesari/-10/pack#12'];
        foreach ($old as $i => $step) {
            $connection->insert('cook_event', [
                'client_id' => "old-tick-$i",
                'kind' => 'done',
                'step' => $step,
                'at' => '2031-11-15 08:00:00',
                'feast_id' => $feast,
            ]);
        }
        $ticked = static fn (): array => $connection->fetchFirstColumn(
            "SELECT step FROM cook_event WHERE client_id LIKE 'old-tick-%' ORDER BY id",
        );
        $this->migrate($connection, 'up');
        self::assertSame(['kesari/w2/garnish', 'kesari/0/syrup/3', 'kesari/2/roast', 'kesari/w10/pack/12'], $ticked());
        $changed = $this->document($connection, $feast);
        self::assertSame(['kesari/w2/garnish', 'kesari/1/roast'], array_column((array) $changed['pins'], 'step'));
        self::assertEquals($document['dishes'] ?? null, $changed['dishes'] ?? null);
        $this->migrate($connection, 'down');
        self::assertSame($old, $ticked());
    }

    /** @return array<mixed> */
    private function document(Connection $connection, mixed $feast): array
    {
        $json = $connection->fetchOne('SELECT document FROM feast WHERE id = ?', [$feast]);
        self::assertIsString($json);
        $document = json_decode($json, true);
        self::assertIsArray($document);

        return $document;
    }

    private function migrate(Connection $connection, string $way): void
    {
        require_once \dirname(__DIR__, 2).'/migrations/Version20261128000000.php';
        $migration = new Version20261128000000($connection, new NullLogger());
        'up' === $way ? $migration->up(new Schema()) : $migration->down(new Schema());
        foreach ($migration->getSql() as $query) {
            $connection->executeStatement($query->getStatement(), array_values($query->getParameters()));
        }
    }
}
