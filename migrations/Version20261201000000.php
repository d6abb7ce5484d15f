<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Acts, which reach players at once; and numbers of orders that are instants, so that a restored backup is obeyed. */
final class Version20261201000000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE player CHANGE orders_number orders_number BIGINT NOT NULL');
        $this->addSql('ALTER TABLE site ADD acts_key VARCHAR(64) NULL, ADD acts_number BIGINT NOT NULL DEFAULT 0');
        $this->addSql('UPDATE site SET acts_key = LOWER(HEX(RANDOM_BYTES(20)))');
        $this->addSql('ALTER TABLE site CHANGE acts_key acts_key VARCHAR(64) NOT NULL, ADD UNIQUE INDEX (acts_key)');
        $this->addSql(
            'CREATE TABLE act (id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY, site_id INT NOT NULL, '.
                'kind VARCHAR(20) CHARACTER SET ascii NOT NULL, targets JSON NOT NULL, from_ms BIGINT NOT NULL, '.
                'until_ms BIGINT NOT NULL, until_cleared TINYINT(1) NOT NULL, by_id INT NOT NULL, '.
                'cleared_ms BIGINT NULL, cleared_by_id INT NULL, INDEX (site_id, until_ms), '.
                'FOREIGN KEY (site_id) REFERENCES site (id), FOREIGN KEY (by_id) REFERENCES person (id), '.
                'FOREIGN KEY (cleared_by_id) REFERENCES person (id)) '.
                'DEFAULT CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci',
        );
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Numbers of orders would not fit any more.');
    }
}
