<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** What was heard of players, as stretches of time: a month of proofs is a few rows. */
final class Version20261201010000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql(
            'CREATE TABLE stretch (id BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY, player_id INT NOT NULL, '.
                'from_ms BIGINT NOT NULL, until_ms BIGINT NOT NULL, heard VARCHAR(10) CHARACTER SET ascii NOT NULL, '.
                'programme CHAR(64) CHARACTER SET ascii NULL, act CHAR(36) CHARACTER SET ascii NULL, '.
                'INDEX (player_id, until_ms), INDEX (until_ms), '.
                'FOREIGN KEY (player_id) REFERENCES player (id) ON DELETE CASCADE)',
        );
        $this->addSql('ALTER TABLE programme ADD INDEX (sha256)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE programme DROP INDEX sha256');
        $this->addSql('DROP TABLE stretch');
    }
}
