<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125040000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Recipes while they are written, and what a kitchen knows better than the larder that ships.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE recipe_draft (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, version INTEGER DEFAULT 1 NOT NULL, '
            .'former CLOB DEFAULT NULL, document CLOB NOT NULL, of_slug VARCHAR(80) DEFAULT NULL, of_revision INTEGER DEFAULT NULL, '
            .'questions CLOB NOT NULL, changed_at DATETIME NOT NULL, kitchen_id INTEGER NOT NULL, CONSTRAINT FK_506F428B5F858004 '
            .'FOREIGN KEY (kitchen_id) REFERENCES kitchen (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE INDEX IDX_506F428B5F858004 ON recipe_draft (kitchen_id)');
        $this->addSql('CREATE TABLE larder_entry (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, ingredient VARCHAR(80) NOT NULL, '
            .'document CLOB NOT NULL, kitchen_id INTEGER NOT NULL, CONSTRAINT FK_C7C394815F858004 FOREIGN KEY (kitchen_id) REFERENCES '
            .'kitchen (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_C7C394815F8580046BAF7870 ON larder_entry (kitchen_id, ingredient)');
        $this->addSql('CREATE INDEX IDX_C7C394815F858004 ON larder_entry (kitchen_id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE larder_entry');
        $this->addSql('DROP TABLE recipe_draft');
    }
}
