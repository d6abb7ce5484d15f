<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Stock;

use Doctrine\DBAL\Connection;
use League\Flysystem\FilesystemOperator;
use UpperPane\App\Adapter\MediaFiles;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Absent;

/** A file of the Stock for someone who may see it: one that was removed, or is another site's, is not there. */
final readonly class SendMedia
{
    public function __construct(private Connection $database, private FilesystemOperator $files)
    {
    }

    /**
     * @return array{path: string, mime: string} where it lies in the storage, and what it is
     *
     * @throws Absent
     */
    public function __invoke(string $sha256, bool $thumbnail, Person $person): array
    {
        $found = $this->database->fetchAssociative(
            'SELECT m.mime, m.sha256 AS original FROM media m JOIN access a ON a.site_id = m.site_id '.
                'WHERE m.sha256 = ? AND a.person_id = ? AND (m.taken_ms IS NULL OR m.font IS NOT NULL) '.
                'UNION ALL SELECT v.mime, v.original FROM variant v JOIN media m ON m.sha256 = v.original '.
                'JOIN access a ON a.site_id = m.site_id '.
                'WHERE v.sha256 = ? AND a.person_id = ? AND m.taken_ms IS NULL LIMIT 1',
            [$sha256, $person->id, $sha256, $person->id],
        );
        // What was made smaller looks as what it was made of.
        $path = $thumbnail
            ? MediaFiles::thumbnail((string) ($found['original'] ?? $sha256))
            : MediaFiles::original($sha256);
        if ($found === false || !$this->files->fileExists($path)) {
            throw Absent::named('file');
        }

        return ['path' => $path, 'mime' => $thumbnail ? 'image/webp' : (string) $found['mime']];
    }
}
