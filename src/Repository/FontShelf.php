<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use League\Flysystem\FilesystemOperator;
use UpperPane\App\Adapter\FontLibrary;
use UpperPane\App\Adapter\MediaFiles;
use UpperPane\Core\Text\File\FontUpload;

/** The faces of a site: those that the app brings, and those of its Stock. */
final readonly class FontShelf
{
    public function __construct(
        private FontLibrary $library,
        private Connection $database,
        private FilesystemOperator $files,
    ) {
    }

    public function of(int $site): SiteFonts
    {
        return new SiteFonts($this->library, fn () => $this->uploads($site), $this->bytes(...));
    }

    /**
     * Those that were taken out of the Stock too: what was set in them is still to be drawn.
     *
     * @return list<array{family: string, weight: int, upload: FontUpload, there: bool}>
     */
    private function uploads(int $site): array
    {
        $faces = [];
        foreach (
            $this->database->fetchAllAssociative(
                'SELECT sha256, mime, bytes, font, state, taken_ms FROM media WHERE site_id = ? AND font IS NOT NULL ORDER BY id',
                [$site],
            ) as $row
        ) {
            /** @var array{family: string, weight: int} $font */
            $font = json_decode((string) $row['font'], true);
            $faces[] = [
                'family' => $font['family'],
                'weight' => $font['weight'],
                'upload' => new FontUpload((string) $row['sha256'], (string) $row['mime'], (int) $row['bytes']),
                'there' => $row['state'] === 'ready' && $row['taken_ms'] === null,
            ];
        }

        return $faces;
    }

    private function bytes(string $sha256): string
    {
        return $this->files->read(MediaFiles::original($sha256));
    }
}
