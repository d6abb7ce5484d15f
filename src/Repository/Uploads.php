<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use League\Flysystem\FilesystemOperator;
use UpperPane\App\Adapter\FileWriter;
use UpperPane\App\Adapter\NoRoom;
use UpperPane\App\Adapter\ShiftedClock;

/**
 * Files on their way into the Stock. Each part lies in the storage for itself, so that any node takes the next one, and
 * one that was lost on its way is sent again.
 *
 * @phpstan-type Row array{id: string, site: int, person: int, name: string, bytes: int, received: int, media: ?string,
 *     hashed: ?string}
 */
final readonly class Uploads
{
    /** Of the storage; no medium's name begins so. */
    public const FOLDER = 'uploads';
    public const KEPT_MS = 3 * 86_400_000;

    public function __construct(
        private Connection $database,
        private FilesystemOperator $files,
        private FileWriter $writer,
    ) {
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
            'SELECT id, site_id AS site, person_id AS person, name, bytes, received, media_id AS media, hashed FROM upload '.
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
                'media' => $row['media'] === null ? null : (string) $row['media'],
                'hashed' => $row['hashed'] === null ? null : (string) $row['hashed'],
            ];
    }

    /** What all unfinished ones of a site still need, in bytes. */
    public function promised(int $site): int
    {
        return (int) $this->database->fetchOne(
            'SELECT COALESCE(SUM(bytes), 0) FROM upload WHERE site_id = ? AND media_id IS NULL',
            [$site],
        );
    }

    /**
     * @param string  $part a local file of so many bytes and that SHA-256
     * @param ?string $hashed what {@see self::hashedWith} said of those before
     *
     * @throws NoRoom
     */
    public function take(string $id, int $from, string $part, int $bytes, string $sha256, ?string $hashed): void
    {
        $this->writer->store($part, self::part($id, $from), $bytes, $sha256);
        $this->database->update(
            'upload',
            [
                'received' => $from + $bytes,
                'at_ms' => (new ShiftedClock())->nowMs(),
                'hashed' => $from > 0 && $hashed === null ? null : self::hashedWith($hashed, $part),
            ],
            ['id' => $id],
        );
    }

    /** The SHA-256 of all parts; null for an upload begun by a version that did not count it as they came. */
    public static function sha256(?string $hashed): ?string
    {
        return $hashed === null ? null : hash_final(self::context($hashed));
    }

    private static function hashedWith(?string $hashed, string $part): string
    {
        $context = $hashed === null ? hash_init('sha256') : self::context($hashed);
        hash_update_file($context, $part);

        return serialize($context);
    }

    private static function context(string $hashed): \HashContext
    {
        $context = unserialize($hashed, ['allowed_classes' => [\HashContext::class]]);

        return $context instanceof \HashContext ? $context : throw new \RuntimeException('No sum was kept.');
    }

    /**
     * All parts one after another.
     *
     * @throws NoRoom
     */
    public function join(string $id, string $into): int
    {
        $bytes = 0;
        foreach ($this->parts($id) as $part) {
            $stream = $this->files->readStream($part);
            $bytes += FileWriter::append($into, $stream);
            fclose($stream);
        }

        return $bytes;
    }

    /** Asked for its end again, it answers with its medium. */
    public function became(string $id, string $media): void
    {
        $this->database->update('upload', ['media_id' => $media], ['id' => $id]);
    }

    public function dropParts(string $id): void
    {
        $this->files->deleteDirectory(self::FOLDER."/$id");
    }

    public function end(string $id): void
    {
        $this->database->delete('upload', ['id' => $id]);
        $this->dropParts($id);
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
