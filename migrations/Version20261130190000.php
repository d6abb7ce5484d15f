<?php

declare(strict_types=1);

namespace UpperPane\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;
use Symfony\Component\Uid\Uuid;
use UpperPane\Core\Book\Book;
use UpperPane\Core\Book\BookKind;
use UpperPane\Core\Site\NamedId;

/** Groups and named areas go by ids; each site has a book, with the groups that its surfaces were in till now. */
final class Version20261130190000 extends AbstractMigration
{
    public function up(Schema $schema): void
    {
        $this->addSql(
            "ALTER TABLE surface ADD group_ids JSON NOT NULL DEFAULT '[]', ADD area_names JSON NOT NULL DEFAULT '{}'",
        );
        $this->addSql("UPDATE document SET area = CONCAT('a-', LEFT(SHA2(TRIM(area), 256), 12)) WHERE area IS NOT NULL");
    }

    public function postUp(Schema $schema): void
    {
        $groups = array_fill_keys($this->connection->fetchFirstColumn('SELECT id FROM site'), []);
        foreach (
            $this->connection->fetchAllAssociative(
                "SELECT s.id, s.site_id, p.content FROM surface s JOIN part p ON p.document_id = s.document_id WHERE p.name = 'head'",
            ) as $row
        ) {
            $sheet = (array) json_decode((string) $row['content'], true);
            $names = array_filter((array) ($sheet['groups'] ?? []), is_string(...));
            foreach ($names as $name) {
                $groups[$row['site_id']][NamedId::Group->of($name)] = trim($name);
            }
            $areas = [];
            foreach (array_filter((array) ($sheet['areas'] ?? []), is_array(...)) as $area) {
                $areas[NamedId::Area->of((string) $area['name'])] = $area['name'];
            }
            $this->connection->update('surface', [
                'group_ids' => json_encode(array_map(NamedId::Group->of(...), array_values($names))),
                'area_names' => json_encode((object) $areas),
            ], ['id' => $row['id']]);
        }
        // What history may bring back has its name there too.
        foreach (
            $this->connection->fetchAllAssociative(
                "SELECT d.site_id, r.commands, r.inverses FROM revision r JOIN document d ON d.id = r.document_id WHERE d.kind = 'surface' AND (r.commands LIKE '%\"groups\"%' OR r.inverses LIKE '%\"groups\"%')",
            ) as $row
        ) {
            foreach ([...(array) json_decode($row['commands'], true), ...(array) json_decode($row['inverses'], true)] as $one) {
                $names = ($one['field'] ?? '') === 'groups' && is_array($one['value'] ?? null) ? $one['value'] : [];
                foreach (array_filter($names, is_string(...)) as $name) {
                    $groups[$row['site_id']][NamedId::Group->of($name)] ??= trim($name);
                }
            }
        }
        foreach ($groups as $site => $named) {
            asort($named, \SORT_NATURAL | \SORT_FLAG_CASE);
            $this->begin($site, Book::of($named));
        }
    }

    private function begin(int $site, Book $book): void
    {
        // Whoever began the site's first surface; a site without any begins its book with its first person.
        $author = $this->connection->fetchOne(
            'SELECT r.author_id FROM document d JOIN revision r ON r.document_id = d.id WHERE d.site_id = ? ORDER BY r.id LIMIT 1',
            [$site],
        );
        if ($author === false) {
            return;
        }
        $id = Uuid::v7()->toRfc4122();
        $at = gmdate('Y-m-d H:i:s');
        $this->connection->insert('document', [
            'id' => $id,
            'kind' => BookKind::NAME,
            'site_id' => $site,
            'name' => 'Book',
            'revision' => 0,
            'changed_at' => $at,
        ]);
        $parts = (new BookKind())->parts($book);
        $this->connection->insert('part', ['document_id' => $id, 'name' => 'head', 'content' => $parts['head']]);
        $this->connection->insert('revision', [
            'document_id' => $id,
            'number' => 0,
            'batch' => Uuid::v4()->toRfc4122(),
            'client' => '',
            'author_id' => $author,
            'at' => $at,
            'nature' => 'begin',
            'labels' => '[{"code":"document.begin","about":{}}]',
            'commands' => '[]',
            'inverses' => '[]',
            'reads_scopes' => '[]',
            'writes_scopes' => '[]',
            'keyframe' => json_encode($parts, \JSON_THROW_ON_ERROR),
        ]);
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Areas have forgotten which names they were called by.');
    }
}
