<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** How light media are; those that are there already are looked at once more. */
final class Version20261128000000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE media_light (sha256 CHAR(64) NOT NULL PRIMARY KEY, cells MEDIUMBLOB NOT NULL)');
        $this->addSql("INSERT INTO job (kind, payload, state, due_ms) SELECT 'media.inspect', JSON_OBJECT('media', id), 'waiting', 0 FROM media WHERE state = 'ready'");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE media_light');
    }
}
