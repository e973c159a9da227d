<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Waves are named w1, w2 in the ids of steps, and bowls dish/round/step/number: in what was ticked and what is pinned.';
    }

    public function up(Schema $schema): void
    {
        $this->rename(
            static fn (string $id): string => (string) preg_replace('#^([^/]+)/-(\d+)/#', '$1/w$2/', str_replace('#', '/', $id)),
        );
    }

    public function down(Schema $schema): void
    {
        $this->rename(
            static fn (string $id): string => (string) preg_replace(
                ['#^([^/]+)/w(\d+)/#', '#^([^/]+/[^/]+/[^/]+)/(\d+)$#D'],
                ['$1/-$2/', '$1#$2'],
                $id,
            ),
        );
    }

    /** @param \Closure(string): string $renamed */
    private function rename(\Closure $renamed): void
    {
        /** @var array<int, string> $ticked */
        $ticked = $this->connection->fetchAllKeyValue('SELECT id, step FROM cook_event');
        foreach ($ticked as $id => $step) {
            if ($renamed($step) !== $step) {
                $this->addSql('UPDATE cook_event SET step = ? WHERE id = ?', [$renamed($step), $id]);
            }
        }
        /** @var array<int, string> $feasts */
        $feasts = $this->connection->fetchAllKeyValue('SELECT id, document FROM feast');
        foreach ($feasts as $id => $json) {
            $document = json_decode($json, true);
            if (!\is_array($document) || !\is_array($document['pins'] ?? null)) {
                continue;
            }
            $pins = array_map(
                static fn (mixed $pin): mixed => \is_array($pin) && \is_string($pin['step'] ?? null)
                    ? [...$pin, 'step' => $renamed($pin['step'])]
                    : $pin,
                $document['pins'],
            );
            if ($pins !== $document['pins']) {
                $changed = json_encode(
                    ['pins' => $pins] + $document,
                    \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION | \JSON_THROW_ON_ERROR,
                );
                $this->addSql('UPDATE feast SET document = ? WHERE id = ?', [$changed, $id]);
            }
        }
    }
}
