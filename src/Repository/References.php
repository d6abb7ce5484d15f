<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;

/** Which documents use which media: for "where used". */
final readonly class References
{
    public function __construct(private Connection $database)
    {
    }

    public function add(string $document, string $media): void
    {
        $this->database->executeStatement('INSERT IGNORE INTO reference (document_id, media) VALUES (?, ?)', [
            $document,
            $media,
        ]);
    }

    public function remove(string $document, string $media): void
    {
        $this->database->delete('reference', ['document_id' => $document, 'media' => $media]);
    }

    /** @return list<string> names of the documents that use a medium */
    public function users(string $media): array
    {
        return $this->database->fetchFirstColumn(
            'SELECT d.name FROM reference r JOIN document d ON d.id = r.document_id WHERE r.media = ? ORDER BY d.name',
            [$media],
        );
    }

    /** @return list<string> names of the documents of a site that have something written in a face */
    public function writtenIn(int $site, string $family, int $weight): array
    {
        return $this->database->fetchFirstColumn(
            'SELECT DISTINCT d.name FROM document d JOIN part p ON p.document_id = d.id '.
                'WHERE d.site_id = ? AND INSTR(p.content, ?) > 0 AND INSTR(p.content, ?) > 0 ORDER BY d.name',
            [
                $site,
                '"font":'.json_encode($family, \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES),
                "\"weight\":$weight",
            ],
        );
    }

    /** @return array<string, list<string>> medium → names of the documents of a site that use it */
    public function ofSite(int $site): array
    {
        $users = [];
        foreach (
            $this->database->fetchAllAssociative(
                'SELECT r.media, d.name FROM reference r JOIN document d ON d.id = r.document_id '.
                    'WHERE d.site_id = ? ORDER BY d.name',
                [$site],
            ) as $row
        ) {
            $users[$row['media']][] = $row['name'];
        }

        return $users;
    }
}
