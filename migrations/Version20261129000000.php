<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261129000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'All kinds of events of the cooking day are kept as they were said; ticks of steps and bowls become such events.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE day_event (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, feast_id INTEGER NOT NULL,'
                .' client_id VARCHAR(60) NOT NULL, kind VARCHAR(20) NOT NULL, subject VARCHAR(200) NOT NULL,'
                .' by_person VARCHAR(60) DEFAULT NULL, at DATETIME NOT NULL, arrived DATETIME DEFAULT NULL, body CLOB NOT NULL,'
                .' CONSTRAINT FK_DAY_EVENT_FEAST FOREIGN KEY (feast_id) REFERENCES feast (id) ON DELETE CASCADE'
                .' NOT DEFERRABLE INITIALLY IMMEDIATE)',
        );
        $ticked = [];
        /** @var list<array{id: int, feast_id: int, client_id: string, kind: string, step: string, at: string}> $rows */
        $rows = $this->connection->fetchAllAssociative('SELECT * FROM cook_event ORDER BY id');
        foreach ($rows as $row) {
            $isBowl = 3 === substr_count($row['step'], '/');
            $key = $row['feast_id'].':'.$row['step'];
            $said = match (true) {
                $isBowl && 'done' === $row['kind'] => [
                    'kind' => 'ready',
                    'step' => substr($row['step'], 0, (int) strrpos($row['step'], '/')),
                    'what' => 'bowl '.substr($row['step'], (int) strrpos($row['step'], '/') + 1),
                ],
                $isBowl => ['kind' => 'withdrawn', 'event' => $ticked[$key] ?? ''],
                default => ['kind' => 'done' === $row['kind'] ? 'done' : 'not-done', 'step' => $row['step']],
            };
            if ('' === ($said['event'] ?? null)) {
                continue;
            }
            if ($isBowl && 'done' === $row['kind']) {
                $ticked[$key] = $row['client_id'];
            }
            $body = ['id' => $row['client_id'], 'at' => str_replace(' ', 'T', $row['at']).'+00:00', ...$said];
            ksort($body);
            $this->addSql(
                'INSERT INTO day_event (id, feast_id, client_id, kind, subject, at, arrived, body) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
                [
                    $row['id'],
                    $row['feast_id'],
                    $row['client_id'],
                    $said['kind'],
                    'withdrawn' === $said['kind'] ? $said['event'] : $row['step'],
                    $row['at'],
                    $row['at'],
                    json_encode($body, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE),
                ],
            );
        }
        $this->addSql('CREATE UNIQUE INDEX UNIQ_DAY_EVENT_CLIENT ON day_event (feast_id, client_id)');
        $this->addSql('CREATE INDEX IDX_DAY_EVENT_FEAST ON day_event (feast_id)');
        $this->addSql('DROP TABLE cook_event');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Most of what was said of a day has no place in the older table.');
    }
}
