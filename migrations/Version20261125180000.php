<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Pages that ask to be a player show a code; pairing is no longer open to whoever comes first. */
final class Version20261125180000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE knock (player_id INT NOT NULL, token_hash CHAR(64) NOT NULL, code CHAR(6) NOT NULL, until_ms BIGINT NOT NULL, PRIMARY KEY (player_id, token_hash), UNIQUE (player_id, code), FOREIGN KEY (player_id) REFERENCES player (id) ON DELETE CASCADE) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin');
        $this->addSql('ALTER TABLE player DROP pairing_open');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE player ADD pairing_open TINYINT(1) NOT NULL DEFAULT 0');
        $this->addSql('DROP TABLE knock');
    }
}
