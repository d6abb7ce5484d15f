<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;
use Symfony\Component\Uid\Uuid;
use UpperPane\Core\Change\History;
use UpperPane\Core\Change\Nature;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Change\Step;
use UpperPane\Core\Design\Upgrade;

/**
 * One store for everything people edit: documents, their parts and their revisions. Designs and surfaces' sheets move into it with
 * their history; programmes, data sheets and grants per site get their tables. Documents are carried over as they are and
 * brought up to the new version when they are read; commands and scopes are translated here, once.
 */
final class Version20261125000000 extends AbstractMigration
{
    private const OPTIONS = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';
    private const TABLES = [
        'document' => 'id CHAR(36) PRIMARY KEY, kind VARCHAR(20) NOT NULL, site_id INT NOT NULL, surface_id INT NULL, area VARCHAR(60) NULL, name VARCHAR(120) NOT NULL, revision INT NOT NULL, changed_at DATETIME NOT NULL, changed_by_id INT NULL, INDEX (kind, site_id), FOREIGN KEY (site_id) REFERENCES site (id), FOREIGN KEY (surface_id) REFERENCES surface (id), FOREIGN KEY (changed_by_id) REFERENCES person (id)',
        'part' => 'document_id CHAR(36) NOT NULL, name VARCHAR(140) COLLATE utf8mb4_bin NOT NULL, content LONGTEXT COLLATE utf8mb4_bin NOT NULL, PRIMARY KEY (document_id, name), FOREIGN KEY (document_id) REFERENCES document (id)',
        'revision' => 'id BIGINT AUTO_INCREMENT PRIMARY KEY, document_id CHAR(36) NOT NULL, number INT NOT NULL, batch CHAR(36) NOT NULL UNIQUE, client CHAR(36) NOT NULL, author_id INT NOT NULL, at DATETIME NOT NULL, nature VARCHAR(10) NOT NULL, cancels INT NULL, labels LONGTEXT NOT NULL, commands LONGTEXT NOT NULL, inverses LONGTEXT NOT NULL, reads_scopes LONGTEXT NOT NULL, writes_scopes LONGTEXT NOT NULL, keyframe LONGTEXT NULL, UNIQUE (document_id, number), INDEX (document_id, author_id, number), FOREIGN KEY (document_id) REFERENCES document (id), FOREIGN KEY (author_id) REFERENCES person (id)',
        'reference' => 'document_id CHAR(36) NOT NULL, media CHAR(36) NOT NULL, PRIMARY KEY (document_id, media), INDEX (media), FOREIGN KEY (document_id) REFERENCES document (id)',
        'sheet' => 'sha256 CHAR(64) PRIMARY KEY, content LONGTEXT NOT NULL',
        'programme' => 'id INT AUTO_INCREMENT PRIMARY KEY, surface_id INT NOT NULL, number INT NOT NULL, sha256 CHAR(64) NOT NULL, folder CHAR(64) NOT NULL, content LONGTEXT NOT NULL, at DATETIME NOT NULL, UNIQUE (surface_id, number), FOREIGN KEY (surface_id) REFERENCES surface (id)',
        'access' => 'person_id INT NOT NULL, site_id INT NOT NULL, role VARCHAR(20) NOT NULL, PRIMARY KEY (person_id, site_id), FOREIGN KEY (person_id) REFERENCES person (id), FOREIGN KEY (site_id) REFERENCES site (id)',
    ];

    public function up(Schema $schema): void
    {
        $this->addSql('RENAME TABLE revision TO old_revision, reference TO old_reference');
        foreach (self::TABLES as $name => $columns) {
            $this->addSql("CREATE TABLE $name ($columns) ".self::OPTIONS);
        }
        $this->addSql('INSERT INTO access (person_id, site_id, role) SELECT p.id, s.id, p.role FROM person p CROSS JOIN site s');
        $this->addSql("INSERT INTO document (id, kind, site_id, surface_id, area, name, revision, changed_at, changed_by_id) SELECT d.id, 'design', s.site_id, d.surface_id, d.area, d.name, d.revision, d.changed_at, d.changed_by_id FROM design d JOIN surface s ON s.id = d.surface_id");
        $this->addSql("INSERT INTO part (document_id, name, content) SELECT id, 'head', head FROM design");
        $this->addSql('INSERT INTO reference (document_id, media) SELECT design_id, media FROM old_reference');
        $this->moveScenes();
        $this->moveSurfaces();
        $this->moveRevisions();
        $this->addSql('ALTER TABLE release_ DROP FOREIGN KEY '.$this->foreignKey('release_', 'design_id'));
        $this->addSql('ALTER TABLE release_ ADD FOREIGN KEY (design_id) REFERENCES document (id)');
        $this->addSql('ALTER TABLE hand_off ADD programme_id INT NULL, ADD FOREIGN KEY (programme_id) REFERENCES programme (id)');
        $this->addSql('DROP TABLE old_revision, old_reference, surface_change, scene, design');
        $this->addSql('ALTER TABLE surface DROP shape, DROP details, DROP floor_mm, DROP revision');
        $this->addSql('ALTER TABLE player DROP outputs');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('The old tables hold neither scenes nor what was done since; restore a backup instead.');
    }

    /** Scenes lay deflated; parts lie as text. */
    private function moveScenes(): void
    {
        foreach ($this->connection->iterateAssociative('SELECT design_id, scene, document FROM scene') as $row) {
            $this->addSql('INSERT INTO part (document_id, name, content) VALUES (?, ?, ?)', [$row['design_id'], 'scenes/'.$row['scene'], gzuncompress($row['document'])]);
        }
    }

    private function moveSurfaces(): void
    {
        $this->addSql('ALTER TABLE surface ADD document_id CHAR(36) NULL UNIQUE');
        foreach ($this->connection->iterateAssociative('SELECT * FROM surface') as $row) {
            $id = Uuid::v7()->toRfc4122();
            $players = $this->connection->fetchAllKeyValue('SELECT code, outputs FROM player WHERE surface_id = ? ORDER BY id', [$row['id']]);
            $sheet = [
                'version' => 2, 'name' => $row['name'], 'kind' => $row['kind'], 'shape' => json_decode($row['shape'], true), 'left_mm' => (int) $row['left_mm'],
                'floor_mm' => (int) $row['floor_mm'], 'archived' => (bool) $row['archived'], 'players' => (object) array_map(intval(...), $players),
            ] + json_decode($row['details'], true);
            $this->addSql("INSERT INTO document (id, kind, site_id, name, revision, changed_at) VALUES (?, 'surface', ?, ?, ?, UTC_TIMESTAMP())", [$id, $row['site_id'], $row['name'], $row['revision']]);
            $this->addSql("INSERT INTO part (document_id, name, content) VALUES (?, 'head', ?)", [$id, self::json($sheet)]);
            $this->addSql('UPDATE surface SET document_id = ? WHERE id = ?', [$id, $row['id']]);
            $changes = $this->connection->fetchAllAssociative('SELECT * FROM surface_change WHERE surface_id = ? ORDER BY number', [$row['id']]);
            $this->moveSteps($id, array_map(static fn (array $change) => [
                'number' => $change['number'], 'batch' => $change['sent_as'], 'author_id' => $change['author_id'], 'at' => $change['at'], 'kind' => $change['kind'],
                'commands' => self::fields(json_decode($change['after_fields'], true)), 'inverses' => self::fields(json_decode($change['before_fields'], true)),
                'reads' => [], 'writes' => array_map(static fn (string $field) => $field === 'outputs' ? 'outputs' : "fields/$field", array_keys(json_decode($change['after_fields'], true))),
            ], $changes));
        }
        $this->addSql('ALTER TABLE surface ADD FOREIGN KEY (document_id) REFERENCES document (id)');
    }

    private function moveRevisions(): void
    {
        foreach ($this->connection->fetchFirstColumn('SELECT id FROM design') as $id) {
            $scene = (string) $this->connection->fetchOne('SELECT scene FROM scene WHERE design_id = ? ORDER BY position', [$id]);
            $rows = $this->connection->fetchAllAssociative('SELECT * FROM revision WHERE design_id = ? ORDER BY number', [$id]);
            $commands = static fn (string $json) => array_map(Upgrade::command(...), json_decode($json, true));
            $scopes = static fn (string $json) => array_map(static fn (string $name) => Upgrade::scope($name, $scene), json_decode($json, true));
            $this->moveSteps($id, array_map(static fn (array $row) => [
                'commands' => $commands($row['commands']), 'inverses' => $commands($row['inverses']),
                'reads' => $scopes($row['reads_ids']), 'writes' => $scopes($row['writes_ids']),
            ] + $row, $rows));
        }
    }

    /**
     * What an undo took back was not written down: it follows from the rule, step by step.
     *
     * @param list<array<string, mixed>> $rows oldest first
     */
    private function moveSteps(string $document, array $rows): void
    {
        $steps = [];
        foreach ($rows as $row) {
            $author = (string) $row['author_id'];
            $nature = Nature::from($row['kind']);
            $cancels = match ($nature) {
                Nature::Undo => History::next(array_reverse($steps), $author)['undo']?->number,
                Nature::Redo => History::next(array_reverse($steps), $author)['redo']?->number,
                default => null,
            };
            $steps[] = new Step((int) $row['number'], $author, $row['batch'], $nature, $cancels, Scopes::of(), Scopes::of());
            $labels = array_map(static fn (string $code) => ['code' => $code, 'about' => (object) []], array_values(array_unique(array_column($row['commands'], 'do'))));
            $this->addSql(
                'INSERT INTO revision (document_id, number, batch, client, author_id, at, nature, cancels, labels, commands, inverses, reads_scopes, writes_scopes) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
                [$document, $row['number'], $row['batch'], $row['batch'], $row['author_id'], $row['at'], $nature->value, $cancels, self::json($labels), self::json($row['commands']), self::json($row['inverses']), self::json($row['reads']), self::json($row['writes'])],
            );
        }
    }

    /**
     * @param array<string, mixed> $set
     *
     * @return list<array<string, mixed>>
     */
    private static function fields(array $set): array
    {
        return array_map(static fn (string $field, mixed $value) => $field === 'outputs'
            ? ['do' => 'output.wire', 'outputs' => $value]
            : ['do' => 'field.set', 'field' => $field, 'value' => $value], array_keys($set), array_values($set));
    }

    private function foreignKey(string $table, string $column): string
    {
        return (string) $this->connection->fetchOne('SELECT CONSTRAINT_NAME FROM information_schema.KEY_COLUMN_USAGE WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = ? AND COLUMN_NAME = ? AND REFERENCED_TABLE_NAME IS NOT NULL', [$table, $column]);
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
    }
}
