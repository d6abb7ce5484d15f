<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** The first tables: people and sessions, sites and surfaces, designs with their revisions, Stock, releases and hand-off, jobs and the record. */
final class Version20261123000000 extends AbstractMigration
{
    private const TABLES = [
        'person' => 'id INT AUTO_INCREMENT PRIMARY KEY, name VARCHAR(120) NOT NULL, email VARCHAR(190) NOT NULL UNIQUE, role VARCHAR(20) NOT NULL, password_hash VARCHAR(255) NOT NULL',
        'session' => 'sess_id VARBINARY(128) NOT NULL PRIMARY KEY, sess_data BLOB NOT NULL, sess_lifetime INT UNSIGNED NOT NULL, sess_time INT UNSIGNED NOT NULL, INDEX (sess_lifetime)',
        'sign_in_attempt' => 'id BIGINT AUTO_INCREMENT PRIMARY KEY, who CHAR(64) NOT NULL, at_ms BIGINT NOT NULL, INDEX (who, at_ms)',
        'site' => 'id INT AUTO_INCREMENT PRIMARY KEY, slug VARCHAR(60) NOT NULL UNIQUE, name VARCHAR(120) NOT NULL, address VARCHAR(250) NOT NULL, time_zone VARCHAR(60) NOT NULL',
        'surface' => 'id INT AUTO_INCREMENT PRIMARY KEY, site_id INT NOT NULL, code VARCHAR(60) NOT NULL UNIQUE, name VARCHAR(120) NOT NULL, kind VARCHAR(20) NOT NULL, shape JSON NOT NULL, canvas_width INT NOT NULL, canvas_height INT NOT NULL, left_mm INT NOT NULL, floor_mm INT NOT NULL, FOREIGN KEY (site_id) REFERENCES site (id)',
        'player' => 'id INT AUTO_INCREMENT PRIMARY KEY, surface_id INT NOT NULL, code VARCHAR(40) NOT NULL UNIQUE, name VARCHAR(120) NOT NULL, token_hash CHAR(64) NULL, orders_key VARCHAR(64) NOT NULL UNIQUE, orders_number INT NOT NULL, pairing_open TINYINT(1) NOT NULL, FOREIGN KEY (surface_id) REFERENCES surface (id)',
        'design' => 'id CHAR(36) PRIMARY KEY, surface_id INT NOT NULL, name VARCHAR(120) NOT NULL, head JSON NOT NULL, revision INT NOT NULL, changed_at DATETIME NOT NULL, changed_by_id INT NULL, FOREIGN KEY (surface_id) REFERENCES surface (id), FOREIGN KEY (changed_by_id) REFERENCES person (id)',
        'scene' => 'design_id CHAR(36) NOT NULL, scene VARCHAR(64) NOT NULL, position INT NOT NULL, document LONGBLOB NOT NULL, PRIMARY KEY (design_id, scene), FOREIGN KEY (design_id) REFERENCES design (id)',
        'revision' => 'id BIGINT AUTO_INCREMENT PRIMARY KEY, design_id CHAR(36) NOT NULL, number INT NOT NULL, batch CHAR(36) NOT NULL UNIQUE, author_id INT NOT NULL, at DATETIME NOT NULL, kind VARCHAR(10) NOT NULL, label VARCHAR(250) NOT NULL, commands LONGTEXT NOT NULL, inverses LONGTEXT NOT NULL, patch LONGTEXT NOT NULL, reads_ids LONGTEXT NOT NULL, writes_ids LONGTEXT NOT NULL, undone TINYINT(1) NOT NULL, keyframe LONGTEXT NULL, UNIQUE (design_id, number), INDEX (design_id, author_id, number), FOREIGN KEY (design_id) REFERENCES design (id), FOREIGN KEY (author_id) REFERENCES person (id)',
        'media' => 'id CHAR(36) PRIMARY KEY, site_id INT NOT NULL, name VARCHAR(250) NOT NULL, sha256 CHAR(64) NOT NULL, mime VARCHAR(60) NOT NULL, bytes BIGINT NOT NULL, state VARCHAR(10) NOT NULL, width INT NULL, height INT NULL, duration_ms INT NULL, fault VARCHAR(500) NOT NULL, added_at DATETIME NOT NULL, added_by_id INT NULL, INDEX (sha256), FOREIGN KEY (site_id) REFERENCES site (id), FOREIGN KEY (added_by_id) REFERENCES person (id)',
        'reference' => 'design_id CHAR(36) NOT NULL, media CHAR(36) NOT NULL, PRIMARY KEY (design_id, media), INDEX (media), FOREIGN KEY (design_id) REFERENCES design (id)',
        'release_' => 'id INT AUTO_INCREMENT PRIMARY KEY, design_id CHAR(36) NOT NULL, surface_id INT NOT NULL, number INT NOT NULL, revision INT NOT NULL, note VARCHAR(500) NOT NULL, author_id INT NOT NULL, at DATETIME NOT NULL, document LONGTEXT NOT NULL, plan LONGTEXT NOT NULL, findings LONGTEXT NOT NULL, sha256 CHAR(64) NOT NULL, folder CHAR(64) NOT NULL, UNIQUE (design_id, number), FOREIGN KEY (design_id) REFERENCES design (id), FOREIGN KEY (surface_id) REFERENCES surface (id), FOREIGN KEY (author_id) REFERENCES person (id)',
        'hand_off' => 'id INT AUTO_INCREMENT PRIMARY KEY, player_id INT NOT NULL, release_id INT NOT NULL, number INT NOT NULL, start_ms BIGINT NOT NULL, by_id INT NOT NULL, at DATETIME NOT NULL, UNIQUE (player_id, number), FOREIGN KEY (player_id) REFERENCES player (id), FOREIGN KEY (release_id) REFERENCES release_ (id), FOREIGN KEY (by_id) REFERENCES person (id)',
        'proof' => 'player_id INT PRIMARY KEY, received_ms BIGINT NOT NULL, report LONGTEXT NOT NULL, proven TINYINT(1) NOT NULL, differences LONGTEXT NOT NULL, FOREIGN KEY (player_id) REFERENCES player (id)',
        'job' => 'id BIGINT AUTO_INCREMENT PRIMARY KEY, kind VARCHAR(60) NOT NULL, payload LONGTEXT NOT NULL, state VARCHAR(10) NOT NULL, attempt INT NOT NULL DEFAULT 0, worker VARCHAR(80) NULL, lease_ms BIGINT NULL, due_ms BIGINT NOT NULL, fault VARCHAR(500) NOT NULL DEFAULT \'\', INDEX (state, due_ms)',
        'audit' => 'id BIGINT AUTO_INCREMENT PRIMARY KEY, at_ms BIGINT NOT NULL, person_id INT NULL, action VARCHAR(60) NOT NULL, subject VARCHAR(120) NOT NULL, detail LONGTEXT NOT NULL, INDEX (at_ms), FOREIGN KEY (person_id) REFERENCES person (id)',
    ];

    public function up(Schema $schema): void
    {
        foreach (self::TABLES as $name => $columns) {
            $this->addSql("CREATE TABLE $name ($columns) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci");
        }
    }

    public function down(Schema $schema): void
    {
        foreach (array_reverse(array_keys(self::TABLES)) as $name) {
            $this->addSql("DROP TABLE $name");
        }
    }
}
