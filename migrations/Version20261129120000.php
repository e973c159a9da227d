<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261129120000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A draft keeps the telling that it was made of.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE recipe_draft ADD COLUMN told CLOB DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE recipe_draft DROP COLUMN told');
    }
}
