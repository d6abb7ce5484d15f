<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Who has which document open, and where they are in it. */
final class Version20261126120000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE presence (document_id CHAR(36) NOT NULL, person_id INT NOT NULL, spot VARCHAR(64) NOT NULL, at_ms BIGINT NOT NULL, PRIMARY KEY (document_id, person_id), INDEX (at_ms), FOREIGN KEY (document_id) REFERENCES document (id) ON DELETE CASCADE, FOREIGN KEY (person_id) REFERENCES person (id) ON DELETE CASCADE) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE presence');
    }
}
