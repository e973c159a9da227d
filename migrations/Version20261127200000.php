<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127200000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'What a kitchen knows of its larder has a version, so that two who change it at once are told.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE larder_entry ADD COLUMN version INTEGER DEFAULT 1 NOT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE larder_entry DROP COLUMN version');
    }
}
