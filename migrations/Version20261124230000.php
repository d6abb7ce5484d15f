<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** A design may be made for a named area of its surface. */
final class Version20261124230000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE design ADD area VARCHAR(60) NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE design DROP area');
    }
}
