<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Faults of media and jobs as codes with parameters; what was kept in words before is carried as said then. Addresses, ids
 * and codes are compared byte by byte. Browsers that people have signed in with, and where they are signed in.
 */
final class Version20261125120000 extends AbstractMigration
{
    private const OPTIONS = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin';

    public function up(Schema $schema): void
    {
        $this->compareByBytes();
        $this->addSql('ALTER TABLE player ADD publish_fault LONGTEXT NULL COMMENT \'(DC2Type:json)\'');
        $this->addSql('ALTER TABLE release_ ADD made_as CHAR(36) NULL UNIQUE');
        $this->addSql('ALTER TABLE hand_off ADD made_as CHAR(36) NULL UNIQUE');
        $this->addSql('UPDATE person SET email = LOWER(email)');
        $this->addSql('DELETE FROM sign_in_attempt');
        $this->addSql('CREATE TABLE known_browser (token_hash CHAR(64) NOT NULL, person_id INT NOT NULL, seen_ms BIGINT NOT NULL, PRIMARY KEY (token_hash, person_id), INDEX (person_id, seen_ms), FOREIGN KEY (person_id) REFERENCES person (id)) '.self::OPTIONS);
        $this->addSql('CREATE TABLE signed_in (session VARBINARY(128) PRIMARY KEY, name CHAR(16) NOT NULL UNIQUE, person_id INT NOT NULL, address VARCHAR(60) NOT NULL, agent VARCHAR(200) NOT NULL, since_s INT UNSIGNED NOT NULL, INDEX (person_id), FOREIGN KEY (person_id) REFERENCES person (id)) '.self::OPTIONS);
        $this->addSql('ALTER TABLE media MODIFY fault LONGTEXT NULL COMMENT \'(DC2Type:json)\'');
        $this->addSql("UPDATE media SET fault = IF(fault = '', NULL, JSON_OBJECT('code', 'stock.earlier', 'params', JSON_OBJECT('said', fault)))");
        $this->addSql('ALTER TABLE job MODIFY fault LONGTEXT NULL');
        $this->addSql("UPDATE job SET fault = IF(fault IS NULL OR fault = '', NULL, JSON_OBJECT('code', 'job.fault', 'params', JSON_OBJECT('what', fault)))");
    }

    /** Text columns that refer to each other change together only while nothing holds them to each other. */
    private function compareByBytes(): void
    {
        $keys = $this->connection->fetchAllAssociative(
            'SELECT constraint_name AS name, table_name AS of, column_name AS col, referenced_table_name AS to_table, referenced_column_name AS to_col FROM information_schema.key_column_usage WHERE table_schema = DATABASE() AND referenced_table_name IS NOT NULL',
        );
        foreach ($keys as $key) {
            $this->addSql("ALTER TABLE `{$key['of']}` DROP FOREIGN KEY `{$key['name']}`");
        }
        foreach ($this->connection->fetchFirstColumn("SELECT table_name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name NOT LIKE 'doctrine%'") as $table) {
            $this->addSql("ALTER TABLE `$table` CONVERT TO CHARACTER SET utf8mb4 COLLATE utf8mb4_bin");
        }
        foreach ($keys as $key) {
            $this->addSql("ALTER TABLE `{$key['of']}` ADD CONSTRAINT `{$key['name']}` FOREIGN KEY (`{$key['col']}`) REFERENCES `{$key['to_table']}` (`{$key['to_col']}`)");
        }
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('The words were not kept; restore a backup instead.');
    }
}
