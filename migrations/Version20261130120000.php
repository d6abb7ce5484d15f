<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** The SHA-256 of an upload, as far as it has come: nothing is read once more for it at the end. */
final class Version20261130120000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE upload ADD hashed VARBINARY(600) NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE upload DROP COLUMN hashed');
    }
}
