<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use UpperPane\App\Entity\Media;

/** Which documents use which media and which other documents: for "where used". */
final readonly class References
{
    public const MEDIA = 'media';
    public const DOCUMENT = 'document';

    public function __construct(private Connection $database)
    {
    }

    public function add(string $document, string $kind, string $target): void
    {
        $this->database->executeStatement('INSERT IGNORE INTO reference (document_id, kind, target) VALUES (?, ?, ?)', [
            $document,
            $kind,
            $target,
        ]);
    }

    public function remove(string $document, string $kind, string $target): void
    {
        $this->database->delete('reference', ['document_id' => $document, 'kind' => $kind, 'target' => $target]);
    }

    /** @return list<array{id: string, kind: string, name: string}> the documents that use a document */
    public function usersOf(string $document): array
    {
        /** @var list<array{id: string, kind: string, name: string}> */
        return $this->database->fetchAllAssociative(
            'SELECT d.id, d.kind, d.name FROM reference r JOIN document d ON d.id = r.document_id '.
                'WHERE r.kind = ? AND r.target = ? AND d.removed_ms IS NULL ORDER BY d.name, d.id',
            [self::DOCUMENT, $document],
        );
    }

    /**
     * @param list<string> $documents
     *
     * @return string in which revisions they are, as letters and digits
     */
    public function versions(array $documents): string
    {
        $revisions = $documents === [] ? [] : $this->database->fetchAllKeyValue(
            'SELECT id, revision FROM document WHERE id IN (?) ORDER BY id',
            [$documents],
            [ArrayParameterType::STRING],
        );

        return hash('xxh64', (string) json_encode($revisions));
    }

    /** @return string which files the media are that a document uses, and how far they are, as letters and digits */
    public function mediaOf(string $document): string
    {
        return hash('xxh64', (string) json_encode($this->database->fetchAllNumeric(
            'SELECT m.id, m.sha256, m.state, m.taken_ms FROM reference r JOIN media m ON m.id = r.target '.
                "WHERE r.document_id = ? AND r.kind = 'media' ORDER BY m.id",
            [$document],
        )));
    }

    /** @return list<array{id: string, kind: string, name: string}> as {@see self::users}, with their ids */
    public function usersOfMedia(Media $media): array
    {
        $font = $media->font;
        $is = "r.kind = 'media' AND r.target = ?";
        $from = 'reference r JOIN document d ON d.id = r.document_id';
        $what = [$media->id];
        if ($font !== null) {
            $is = 'INSTR(p.content, ?) > 0 AND INSTR(p.content, ?) > 0';
            $from = 'part p JOIN document d ON d.id = p.document_id';
            $what = self::said($font);
        }

        /** @var list<array{id: string, kind: string, name: string}> */
        return $this->database->fetchAllAssociative(
            "SELECT DISTINCT d.id, d.kind, d.name FROM $from WHERE $is AND d.site_id = ? ORDER BY d.name, d.id",
            [...$what, $media->site->id],
        );
    }

    /**
     * @param array{family: string, weight: int} $face
     *
     * @return array{string, string} how a document says it
     */
    private static function said(array $face): array
    {
        return [
            '"font":'.json_encode($face['family'], \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES),
            "\"weight\":$face[weight]",
        ];
    }

    /** @return list<string> names of the documents that use a medium; of a font, that have something written in it */
    public function users(Media $media): array
    {
        return array_column($this->usersOfMedia($media), 'name');
    }

    /**
     * Of all faces in one pass over what the documents hold.
     *
     * @param array<string, array{family: string, weight: int}> $faces by medium
     *
     * @return array<string, list<string>> medium → names of the documents of a site that have something written in it
     */
    private function writtenIn(int $site, array $faces): array
    {
        if ($faces === []) {
            return [];
        }
        $columns = $said = $users = [];
        foreach (array_values($faces) as $index => $face) {
            $columns[] = "MAX(INSTR(p.content, ?) > 0 AND INSTR(p.content, ?) > 0) AS face$index";
            $said = [...$said, ...self::said($face)];
        }
        $rows = $this->database->fetchAllAssociative(
            'SELECT d.name, '.implode(', ', $columns).' FROM document d JOIN part p ON p.document_id = d.id '.
                'WHERE d.site_id = ? GROUP BY d.id, d.name ORDER BY d.name',
            [...$said, $site],
        );
        foreach (array_keys($faces) as $index => $media) {
            $there = array_filter($rows, static fn (array $row) => (bool) $row["face$index"]);
            $users[$media] = array_column($there, 'name');
        }

        return $users;
    }

    /**
     * @param list<Media> $stock of a site
     *
     * @return array<string, list<string>> medium → names of the documents that use it
     */
    public function ofStock(int $site, array $stock): array
    {
        $fonts = array_filter($stock, static fn (Media $media) => $media->font !== null);
        $users = $this->writtenIn($site, array_filter(array_column($fonts, 'font', 'id')));
        foreach (
            $this->database->fetchAllAssociative(
                'SELECT r.target AS media, d.name FROM reference r JOIN document d ON d.id = r.document_id '.
                    "WHERE r.kind = 'media' AND d.site_id = ? ORDER BY d.name",
                [$site],
            ) as $row
        ) {
            $users[$row['media']][] = $row['name'];
        }

        return $users;
    }
}
