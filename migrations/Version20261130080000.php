<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Lanes of jobs; an upload that is done answers again with its medium; who knocks is told apart by address. */
final class Version20261130080000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE job ADD lane VARCHAR(8) NOT NULL DEFAULT 'soon' AFTER kind, ADD INDEX (lane, state, due_ms)");
        $this->addSql("UPDATE job SET lane = CASE WHEN kind = 'player.publish' THEN 'now' WHEN kind = 'web.look' THEN 'long' ELSE 'soon' END");
        // Their ids are kept as sums now: everybody signs in once more.
        $this->addSql('DELETE FROM signed_in');
        $this->addSql('DELETE FROM session');
        $this->addSql('ALTER TABLE upload ADD media_id CHAR(36) NULL');
        $this->addSql("ALTER TABLE knock ADD origin CHAR(64) NOT NULL DEFAULT '', ADD INDEX (player_id, origin)");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE job DROP COLUMN lane');
        $this->addSql('ALTER TABLE upload DROP COLUMN media_id');
        $this->addSql('ALTER TABLE knock DROP COLUMN origin');
    }
}
