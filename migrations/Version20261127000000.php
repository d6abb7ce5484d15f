<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** What was uploaded, where something else was made of it for players; the openings of art. */
final class Version20261127000000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE media ADD original_sha256 VARCHAR(64) DEFAULT NULL, ADD original JSON DEFAULT NULL COMMENT \'(DC2Type:json)\', ADD openings JSON DEFAULT NULL COMMENT \'(DC2Type:json)\', ADD INDEX media_original (site_id, original_sha256)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE media DROP INDEX media_original, DROP original_sha256, DROP original, DROP openings');
    }
}
