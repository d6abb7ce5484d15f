<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Every document has a kept state that it can be restored from: documents of before, as they are now. */
final class Version20261125210000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $parts = '(SELECT JSON_OBJECTAGG(p.name, p.content) FROM part p WHERE p.document_id = d.id)';
        $this->addSql("INSERT IGNORE INTO revision (document_id, number, batch, client, author_id, at, nature, cancels, labels, commands, inverses, reads_scopes, writes_scopes, keyframe) SELECT d.id, 0, UUID(), '', d.changed_by_id, d.changed_at, 'begin', NULL, '[{\"code\":\"document.begin\",\"about\":{}}]', '[]', '[]', '[]', '[]', $parts FROM document d WHERE d.revision = 0 AND d.changed_by_id IS NOT NULL");
        $this->addSql("UPDATE revision r JOIN document d ON d.id = r.document_id AND d.revision = r.number SET r.keyframe = $parts WHERE r.keyframe IS NULL");
    }

    public function down(Schema $schema): void
    {
        $this->addSql("DELETE FROM revision WHERE nature = 'begin'");
    }
}
