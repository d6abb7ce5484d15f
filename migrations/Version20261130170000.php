<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** What each plan of a release was compiled of. Those of before have none: a chore rebuilds them, and marks them so. */
final class Version20261130170000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql(
            'ALTER TABLE release_plan ADD inputs CHAR(64) CHARACTER SET ascii NULL, ADD made_of JSON NULL, '.
                'ADD rebuilt TINYINT(1) NOT NULL DEFAULT 0',
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE release_plan DROP COLUMN inputs, DROP COLUMN made_of, DROP COLUMN rebuilt');
    }
}
