<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** What is known of pages that zones show. */
final class Version20261127120000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE web_page (sum CHAR(64) NOT NULL, address VARCHAR(2000) NOT NULL, origin VARCHAR(255) NOT NULL, state VARCHAR(16) NOT NULL, said VARCHAR(255) NOT NULL, wanted_ms BIGINT NOT NULL, looked_ms BIGINT NOT NULL, PRIMARY KEY (sum), INDEX (looked_ms)) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE web_page');
    }
}
