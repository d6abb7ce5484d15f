<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** A role may be given on a group, a surface or a document alone; those of before are the site's. */
final class Version20261130200000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql(
            "ALTER TABLE access ADD thing VARCHAR(80) NOT NULL DEFAULT 'site', ".
                'DROP PRIMARY KEY, ADD PRIMARY KEY (person_id, site_id, thing)',
        );
    }

    public function down(Schema $schema): void
    {
        $this->addSql("DELETE FROM access WHERE thing <> 'site'");
        $this->addSql('ALTER TABLE access DROP PRIMARY KEY, DROP COLUMN thing, ADD PRIMARY KEY (person_id, site_id)');
    }
}
