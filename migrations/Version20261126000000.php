<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * A release holds a plan per surface that it is for; a design may be meant for many surfaces, or for none yet, and is
 * found by its size.
 */
final class Version20261126000000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $engine = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin';
        $this->addSql("CREATE TABLE release_plan (id INT AUTO_INCREMENT PRIMARY KEY, release_id INT NOT NULL, surface_id INT NOT NULL, plan LONGTEXT NOT NULL, findings LONGTEXT NOT NULL, sha256 CHAR(64) NOT NULL, folder CHAR(64) NOT NULL, UNIQUE (release_id, surface_id), FOREIGN KEY (release_id) REFERENCES release_ (id), FOREIGN KEY (surface_id) REFERENCES surface (id)) $engine");
        $this->addSql('INSERT INTO release_plan (release_id, surface_id, plan, findings, sha256, folder) SELECT id, surface_id, plan, findings, sha256, folder FROM release_');
        $this->addSql('ALTER TABLE release_ DROP FOREIGN KEY release__ibfk_2, DROP surface_id, DROP plan, DROP findings, DROP sha256, DROP folder');
        $this->addSql("CREATE TABLE design_surface (design_id CHAR(36) NOT NULL, surface_id INT NOT NULL, PRIMARY KEY (design_id, surface_id), FOREIGN KEY (design_id) REFERENCES document (id), FOREIGN KEY (surface_id) REFERENCES surface (id)) $engine");
        $this->addSql('ALTER TABLE document ADD width INT NULL, ADD height INT NULL, ADD archived TINYINT(1) NOT NULL DEFAULT 0');
        $side = static fn (int $index) => "(SELECT JSON_VALUE(p.content, '$.canvas.px[$index]') FROM part p WHERE p.document_id = d.id AND p.name = 'head')";
        $this->addSql("UPDATE document d SET d.width = {$side(0)}, d.height = {$side(1)} WHERE d.kind = 'design'");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE document DROP width, DROP height, DROP archived');
        $this->addSql('DROP TABLE design_surface');
        $this->addSql('ALTER TABLE release_ ADD surface_id INT NOT NULL, ADD plan LONGTEXT NOT NULL, ADD findings LONGTEXT NOT NULL, ADD sha256 CHAR(64) NOT NULL, ADD folder CHAR(64) NOT NULL');
        $this->addSql('UPDATE release_ r JOIN release_plan p ON p.release_id = r.id SET r.surface_id = p.surface_id, r.plan = p.plan, r.findings = p.findings, r.sha256 = p.sha256, r.folder = p.folder');
        $this->addSql('DROP TABLE release_plan');
        $this->addSql('ALTER TABLE release_ ADD CONSTRAINT release__ibfk_2 FOREIGN KEY (surface_id) REFERENCES surface (id)');
    }
}
