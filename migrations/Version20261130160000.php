<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * One programme per surface: what was handed to one player stays that player's until the surface is handed something;
 * the numbers go on per surface. A table for what is sealed beside releases and programmes.
 */
final class Version20261130160000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE sealed (sha256 CHAR(64) CHARACTER SET ascii NOT NULL PRIMARY KEY, kind VARCHAR(20) NOT NULL, '.
                'folder CHAR(40) CHARACTER SET ascii NOT NULL UNIQUE, content LONGTEXT NOT NULL, at DATETIME NOT NULL)',
        );
        $this->addSql('ALTER TABLE hand_off ADD surface_id INT NULL, ADD INDEX handed_to (player_id), DROP INDEX player_id');
        $this->addSql('UPDATE hand_off h JOIN player p ON p.id = h.player_id SET h.surface_id = p.surface_id');
        $this->addSql(
            'UPDATE hand_off h JOIN (SELECT id, ROW_NUMBER() OVER (PARTITION BY surface_id ORDER BY start_ms, id) AS n '.
                'FROM hand_off) r ON r.id = h.id SET h.number = r.n',
        );
        $this->addSql(
            'ALTER TABLE hand_off MODIFY surface_id INT NOT NULL, MODIFY player_id INT NULL, '.
                'ADD UNIQUE (surface_id, number), ADD FOREIGN KEY (surface_id) REFERENCES surface (id)',
        );
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('What a surface was handed belongs to none of its players.');
    }
}
