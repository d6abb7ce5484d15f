<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use UpperPane\Core\Design\Design;

/** What lists show of designs and what they are found by, kept in step with the documents. */
final readonly class DesignLines
{
    private const PAGE = 50;
    /** What the area that a design is for is called now. */
    private const AREA = "JSON_VALUE(s.area_names, CONCAT('\$.\"', d.area, '\"'))";

    public function __construct(private Connection $database)
    {
    }

    public function follow(string $id, int $site, Design $design): void
    {
        $this->database->update(
            'document',
            [
                'width' => $design->canvas->width,
                'height' => $design->canvas->height,
                'archived' => (int) $design->archived,
                'is_list' => (int) $design->isList,
            ],
            ['id' => $id],
        );
        $this->database->delete('design_surface', ['design_id' => $id]);
        foreach ($design->surfaces as $code) {
            $this->database->executeStatement(
                'INSERT INTO design_surface (design_id, surface_id) '.
                    'SELECT ?, id FROM surface WHERE site_id = ? AND code = ?',
                [$id, $site, $code],
            );
        }
    }

    /**
     * Designs of a site in which every word is found: in their name, their area, a surface's name or code, their size
     * (`1920×1080`), or who changed them last and when (`2026-03-14`).
     *
     * @param list<string> $words
     *
     * @return array{list<array<string, mixed>>, bool} a page of lines, the last changed first, and whether there are
     *     more
     */
    public function find(int $site, array $words, bool $archived, int $page): array
    {
        $sought =
            "CONCAT_WS(' ', d.name, ".self::AREA.', s.name, s.code, p.name, DATE(d.changed_at), '.
            "CONCAT(d.width, '×', d.height), (SELECT GROUP_CONCAT(CONCAT(o.name, ' ', o.code) SEPARATOR ' ') ".
            'FROM design_surface m JOIN surface o ON o.id = m.surface_id WHERE m.design_id = d.id))';
        $conditions = array_fill(0, count($words), "AND $sought COLLATE utf8mb4_unicode_ci LIKE ?");
        $rows = $this->database->fetchAllAssociative(
            'SELECT d.id, d.name, '.self::AREA.' AS area, d.width, d.height, d.revision, d.changed_at, d.archived, '.
                'p.name AS changed_by, s.name AS surface, (SELECT GROUP_CONCAT(o.name ORDER BY o.left_mm '.
                "SEPARATOR '\n') FROM design_surface m JOIN surface o ON o.id = m.surface_id ".
                'WHERE m.design_id = d.id) AS others FROM document d '.
                'LEFT JOIN surface s ON s.id = d.surface_id LEFT JOIN person p ON p.id = d.changed_by_id '.
                "WHERE d.kind = 'design' AND d.is_list = 0 AND d.site_id = ? AND d.removed_ms IS NULL AND d.archived = ? ".
                implode(' ', $conditions).
                ' ORDER BY d.changed_at DESC, d.id LIMIT '.
                (self::PAGE + 1).
                ' OFFSET '.
                $page * self::PAGE,
            [$site, (int) $archived, ...array_map(self::pattern(...), $words)],
        );

        return [array_map(self::line(...), array_slice($rows, 0, self::PAGE)), count($rows) > self::PAGE];
    }

    private static function pattern(string $word): string
    {
        $size = preg_replace('/^(\d+)[x*](\d+)$/D', '$1×$2', $word);

        return '%'.addcslashes((string) $size, '\\%_').'%';
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private static function line(array $row): array
    {
        $surfaces = array_filter(
            [$row['surface'], ...explode("\n", (string) $row['others'])],
            static fn (?string $name) => (string) $name !== '',
        );

        return [
            'id' => $row['id'],
            'name' => $row['name'],
            'area' => $row['area'],
            'canvas' => [(int) $row['width'], (int) $row['height']],
            'surfaces' => array_values(array_unique($surfaces)),
            'revision' => (int) $row['revision'],
            'changed_at' => (new \DateTimeImmutable((string) $row['changed_at'], new \DateTimeZone('UTC')))
                ->format(\DATE_ATOM),
            'changed_by' => $row['changed_by'],
            'archived' => (bool) $row['archived'],
        ];
    }
}
