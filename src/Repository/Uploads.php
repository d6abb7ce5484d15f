<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use League\Flysystem\FilesystemOperator;
use UpperPane\App\Adapter\ShiftedClock;

/**
 * Files on their way into the Stock. Each part lies in the storage for itself, so that any node takes the next one, and
 * one that was lost on its way is sent again.
 *
 * @phpstan-type Row array{id: string, site: int, person: int, name: string, bytes: int, received: int}
 */
final readonly class Uploads
{
    /** Of the storage; no medium's name begins so. */
    public const FOLDER = 'uploads';
    public const KEPT_MS = 3 * 86_400_000;

    public function __construct(private Connection $database, private FilesystemOperator $files)
    {
    }

    public function begin(string $id, int $site, int $person, string $name, int $bytes): void
    {
        $this->database->insert('upload', [
            'id' => $id,
            'site_id' => $site,
            'person_id' => $person,
            'name' => $name,
            'bytes' => $bytes,
            'at_ms' => (new ShiftedClock())->nowMs(),
        ]);
    }

    /** @return ?Row null when there is none, or it is another person's */
    public function find(string $id, int $person, bool $lock = false): ?array
    {
        $row = $this->database->fetchAssociative(
            'SELECT id, site_id AS site, person_id AS person, name, bytes, received FROM upload '.
                'WHERE id = ? AND person_id = ?'.($lock ? ' FOR UPDATE' : ''),
            [$id, $person],
        );

        return $row === false
            ? null
            : [
                'id' => (string) $row['id'],
                'site' => (int) $row['site'],
                'person' => (int) $row['person'],
                'name' => (string) $row['name'],
                'bytes' => (int) $row['bytes'],
                'received' => (int) $row['received'],
            ];
    }

    /** @param resource $part of so many bytes */
    public function take(string $id, int $from, mixed $part, int $bytes): void
    {
        $this->files->writeStream(self::part($id, $from), $part);
        $this->database->update(
            'upload',
            ['received' => $from + $bytes, 'at_ms' => (new ShiftedClock())->nowMs()],
            ['id' => $id],
        );
    }

    /** All parts one after another. */
    public function join(string $id, string $into): void
    {
        $whole = fopen($into, 'w') ?: throw new \RuntimeException('There is no room to join an upload.');
        foreach ($this->parts($id) as $part) {
            $stream = $this->files->readStream($part);
            stream_copy_to_stream($stream, $whole);
            fclose($stream);
        }
        fclose($whole);
    }

    public function end(string $id): void
    {
        $this->database->delete('upload', ['id' => $id]);
        $this->files->deleteDirectory(self::FOLDER."/$id");
    }

    /** @return list<string> ids of those that nothing came for since */
    public function quietSince(int $ms): array
    {
        return array_map(strval(...), $this->database->fetchFirstColumn(
            'SELECT id FROM upload WHERE at_ms < ?',
            [$ms],
        ));
    }

    /** @return list<string> in their order */
    private function parts(string $id): array
    {
        $paths = [];
        foreach ($this->files->listContents(self::FOLDER."/$id") as $file) {
            $paths[] = $file->path();
        }
        sort($paths);

        return $paths;
    }

    private static function part(string $id, int $from): string
    {
        return sprintf('%s/%s/%012d', self::FOLDER, $id, $from);
    }
}
