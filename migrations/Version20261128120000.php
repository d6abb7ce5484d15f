<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Pictures made for where they are shown. */
final class Version20261128120000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE variant (original CHAR(64) NOT NULL, side INT NOT NULL, quality VARCHAR(10) NOT NULL, ordered TINYINT(1) NOT NULL DEFAULT 0, sha256 CHAR(64) NULL, mime VARCHAR(60) NULL, bytes BIGINT NULL, width INT NULL, height INT NULL, PRIMARY KEY (original, side, quality), INDEX (sha256), INDEX (ordered))');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE variant');
    }
}
