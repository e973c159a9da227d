<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261129150000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A kitchen has words of its own for what is done, and words that say nothing.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE kitchen_word (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, word VARCHAR(60) NOT NULL, '
            .'"action" VARCHAR(20) NOT NULL, kitchen_id INTEGER NOT NULL, CONSTRAINT FK_23487A265F858004 FOREIGN KEY (kitchen_id) '
            .'REFERENCES kitchen (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE INDEX IDX_23487A265F858004 ON kitchen_word (kitchen_id)');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_23487A265F858004C3F17511 ON kitchen_word (kitchen_id, word)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE kitchen_word');
    }
}
