<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Surfaces become sheets that people make and change: more fields, a revision, every change with what it was before; players say how many outputs they have. */
final class Version20261124000000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $usual = '{"viewing_mm":[2000,10000],"safe_px":[0,0,0,0],"sound":false,"touch":false,"groups":[],"areas":[],"outputs":null}';
        $this->addSql("ALTER TABLE surface ADD details LONGTEXT NOT NULL DEFAULT '$usual', ADD archived TINYINT(1) NOT NULL DEFAULT 0, ADD revision INT NOT NULL DEFAULT 0, ADD made_as CHAR(36) NULL UNIQUE");
        $this->addSql('ALTER TABLE player ADD outputs INT NOT NULL DEFAULT 1');
        $this->addSql('CREATE TABLE surface_change (id BIGINT AUTO_INCREMENT PRIMARY KEY, surface_id INT NOT NULL, number INT NOT NULL, sent_as CHAR(36) NOT NULL UNIQUE, author_id INT NOT NULL, at DATETIME NOT NULL, kind VARCHAR(10) NOT NULL, before_fields LONGTEXT NOT NULL, after_fields LONGTEXT NOT NULL, undone TINYINT(1) NOT NULL, UNIQUE (surface_id, number), FOREIGN KEY (surface_id) REFERENCES surface (id), FOREIGN KEY (author_id) REFERENCES person (id)) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE surface_change');
        $this->addSql('ALTER TABLE player DROP outputs');
        $this->addSql('ALTER TABLE surface DROP details, DROP archived, DROP revision, DROP made_as');
    }
}
