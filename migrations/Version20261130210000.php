<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Documents refer to documents too, as designs do to a house style; and they can be removed, for a month. */
final class Version20261130210000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql(
            "ALTER TABLE reference ADD kind VARCHAR(10) CHARACTER SET ascii NOT NULL DEFAULT 'media', ".
                'CHANGE media target CHAR(36) NOT NULL, DROP PRIMARY KEY, '.
                'ADD PRIMARY KEY (document_id, kind, target), ADD INDEX (kind, target)',
        );
        $this->addSql(
            "INSERT IGNORE INTO reference (document_id, kind, target) SELECT d.id, 'document', JSON_VALUE(p.content, '$.style') ".
                "FROM document d JOIN part p ON p.document_id = d.id AND p.name = 'head' ".
                "WHERE d.kind = 'design' AND JSON_VALUE(p.content, '$.style') IS NOT NULL",
        );
        $this->addSql(
            'ALTER TABLE document ADD removed_ms BIGINT NULL, ADD removed_by_id INT NULL, ADD INDEX (removed_ms), '.
                'ADD FOREIGN KEY (removed_by_id) REFERENCES person (id)',
        );
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('What was removed would be there again, and nobody had asked.');
    }
}
