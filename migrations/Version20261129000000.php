<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Widths that browsers measured. */
final class Version20261129000000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE measured_text (sum CHAR(64) NOT NULL PRIMARY KEY, width INT NOT NULL, at_ms BIGINT NOT NULL)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE measured_text');
    }
}
