<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125000000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Kitchens, recipes in revisions, feasts with their plans, cooking-day events and outcomes.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE kitchen (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, version INTEGER DEFAULT 1 NOT NULL, name '
            .'VARCHAR(100) NOT NULL, document CLOB NOT NULL)');
        $this->addSql('CREATE TABLE recipe (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, slug VARCHAR(80) NOT NULL, name '
            .'VARCHAR(200) NOT NULL, kitchen_id INTEGER NOT NULL, CONSTRAINT FK_DA88B1375F858004 FOREIGN KEY (kitchen_id) REFERENCES '
            .'kitchen (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE TABLE recipe_revision (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, number INTEGER NOT NULL, document '
            .'CLOB NOT NULL, created_at DATETIME NOT NULL, recipe_id INTEGER NOT NULL, CONSTRAINT FK_1BF3B05259D8A214 FOREIGN KEY '
            .'(recipe_id) REFERENCES recipe (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE TABLE feast (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, version INTEGER DEFAULT 1 NOT NULL, name '
            .'VARCHAR(120) NOT NULL, document CLOB NOT NULL, created_at DATETIME NOT NULL, kitchen_id INTEGER NOT NULL, CONSTRAINT '
            .'FK_C6C74CC65F858004 FOREIGN KEY (kitchen_id) REFERENCES kitchen (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY '
            .'IMMEDIATE)');
        $this->addSql('CREATE TABLE feast_plan (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, fingerprint VARCHAR(64) NOT NULL, '
            .'document CLOB NOT NULL, computed_at DATETIME NOT NULL, feast_id INTEGER NOT NULL, CONSTRAINT FK_3EA82195AAAF781E '
            .'FOREIGN KEY (feast_id) REFERENCES feast (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE TABLE cook_event (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, client_id VARCHAR(60) NOT NULL, kind '
            .'VARCHAR(20) NOT NULL, step VARCHAR(200) NOT NULL, at DATETIME NOT NULL, feast_id INTEGER NOT NULL, CONSTRAINT '
            .'FK_DAAE74E0AAAF781E FOREIGN KEY (feast_id) REFERENCES feast (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE TABLE dish_outcome (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, made DOUBLE PRECISION DEFAULT NULL, '
            .'left_over DOUBLE PRECISION DEFAULT NULL, note VARCHAR(1000) NOT NULL, dish VARCHAR(80) NOT NULL, feast_id INTEGER NOT '
            .'NULL, CONSTRAINT FK_A00B7754AAAF781E FOREIGN KEY (feast_id) REFERENCES feast (id) ON DELETE CASCADE NOT DEFERRABLE '
            .'INITIALLY IMMEDIATE)');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_1BF3B05259D8A21496901F54 ON recipe_revision (recipe_id, number)');
        $this->addSql('CREATE INDEX IDX_1BF3B05259D8A214 ON recipe_revision (recipe_id)');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_A00B7754AAAF781E957D8CB8 ON dish_outcome (feast_id, dish)');
        $this->addSql('CREATE INDEX IDX_A00B7754AAAF781E ON dish_outcome (feast_id)');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_DAAE74E0AAAF781E19EB6921 ON cook_event (feast_id, client_id)');
        $this->addSql('CREATE INDEX IDX_DAAE74E0AAAF781E ON cook_event (feast_id)');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_3EA82195AAAF781E ON feast_plan (feast_id)');
        $this->addSql('CREATE INDEX IDX_C6C74CC65F858004 ON feast (kitchen_id)');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_DA88B1375F858004989D9B62 ON recipe (kitchen_id, slug)');
        $this->addSql('CREATE INDEX IDX_DA88B1375F858004 ON recipe (kitchen_id)');
    }

    public function down(Schema $schema): void
    {
        foreach (['dish_outcome', 'cook_event', 'feast_plan', 'feast', 'recipe_revision', 'recipe', 'kitchen'] as $table) {
            $this->addSql('DROP TABLE '.$table);
        }
    }
}
