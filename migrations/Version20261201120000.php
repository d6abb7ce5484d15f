<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** The almanac that a surface with lists with hours had last: the next one goes on from it. */
final class Version20261201120000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql(
            'ALTER TABLE surface ADD almanac CHAR(64) CHARACTER SET ascii NULL, '.
                'ADD almanac_for CHAR(64) CHARACTER SET ascii NULL',
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE surface DROP almanac, DROP almanac_for');
    }
}
