<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Files on their way into the Stock, part by part. */
final class Version20261128180000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE upload (id CHAR(36) NOT NULL PRIMARY KEY, site_id INT NOT NULL, person_id INT NOT NULL, name VARCHAR(250) COLLATE utf8mb4_bin NOT NULL, bytes BIGINT NOT NULL, received BIGINT NOT NULL DEFAULT 0, at_ms BIGINT NOT NULL, INDEX (at_ms))');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE upload');
    }
}
