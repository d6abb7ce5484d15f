<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use League\Flysystem\FilesystemException;
use League\Flysystem\FilesystemOperator;

/**
 * The one way to write a file, for temporary ones too: every byte is counted and hashed, the disk is told to keep it,
 * and only then it gets its name. Whatever falls short leaves nothing behind.
 */
final readonly class FileWriter
{
    private const CHUNK = 1 << 20;
    /** So much stays free where temporary files lie, for those who do not ask. */
    private const KEPT_BYTES = 4 << 20;

    public function __construct(private FilesystemOperator $files)
    {
    }

    /**
     * An empty file of its own, to be taken away by whoever asked.
     *
     * @param int $rights of those who may read or write it: programs that look at files of strangers run as nobody
     *
     * @throws NoRoom when so many bytes have no room beside it
     */
    public static function temporary(int $bytes, int $rights = 0o600): string
    {
        $folder = sys_get_temp_dir();
        self::demandRoom($bytes);
        $path = @tempnam($folder, 'pane');
        if ($path === false || dirname($path) !== rtrim($folder, '/')) {
            throw NoRoom::at($folder, $bytes);
        }
        chmod($path, $rights);

        return $path;
    }

    /** @throws NoRoom */
    public static function demandRoom(int $bytes): void
    {
        $folder = sys_get_temp_dir();
        if ((int) @disk_free_space($folder) < $bytes + self::KEPT_BYTES) {
            throw NoRoom::at($folder, $bytes);
        }
    }

    /** Whether a program that failed there may have failed for lack of room. */
    public static function isFull(): bool
    {
        return (int) @disk_free_space(sys_get_temp_dir()) < self::KEPT_BYTES;
    }

    /**
     * Into a file that is there, or a new one.
     *
     * @param string|resource $content
     * @param ?int            $most    bytes that are read of it at most; null: all
     *
     * @return array{bytes: int, sha256: string}
     *
     * @throws NoRoom when not every byte could be written; the file is empty then
     */
    public static function write(string $path, mixed $content, ?int $most = null): array
    {
        $to = @fopen($path, 'w') ?: throw NoRoom::at(dirname($path), 0);
        $hash = hash_init('sha256');
        $bytes = 0;
        try {
            foreach (self::chunks($content, $most) as $chunk) {
                hash_update($hash, $chunk);
                if (@fwrite($to, $chunk) !== strlen($chunk)) {
                    throw NoRoom::at(dirname($path), $bytes + strlen($chunk));
                }
                $bytes += strlen($chunk);
            }
            if (!@fflush($to) || !@fsync($to)) {
                throw NoRoom::at(dirname($path), $bytes);
            }
        } catch (NoRoom $fault) {
            ftruncate($to, 0);
            throw $fault;
        } finally {
            fclose($to);
        }

        return ['bytes' => $bytes, 'sha256' => hash_final($hash)];
    }

    /**
     * To the end of a file that somebody else holds against its sum.
     *
     * @param resource $content
     *
     * @return int how many bytes
     *
     * @throws NoRoom when not every byte could be written
     */
    public static function append(string $path, mixed $content): int
    {
        $to = @fopen($path, 'a') ?: throw NoRoom::at(dirname($path), 0);
        try {
            $bytes = 0;
            foreach (self::chunks($content, null) as $chunk) {
                $bytes += (int) @fwrite($to, $chunk) === strlen($chunk)
                    ? strlen($chunk)
                    : throw NoRoom::at(dirname($path), $bytes + strlen($chunk));
            }

            return @fflush($to) ? $bytes : throw NoRoom::at(dirname($path), $bytes);
        } finally {
            fclose($to);
        }
    }

    /**
     * A local file into the storage, by another name first; read again before it gets its own.
     *
     * @throws NoRoom
     */
    public function store(string $local, string $target, int $bytes, string $sha256): void
    {
        $stream = fopen($local, 'r') ?: throw new \RuntimeException("$local is gone.");
        $temporary = $target.'.'.bin2hex(random_bytes(4)).'.new';
        try {
            $this->files->writeStream($temporary, $stream);
            $kept = $this->sum($temporary);
            if ($kept !== ['bytes' => $bytes, 'sha256' => $sha256]) {
                throw NoRoom::at(dirname($local), $bytes);
            }
            $this->files->move($temporary, $target);
        } catch (NoRoom|FilesystemException $fault) {
            $this->drop($temporary);
            throw $fault instanceof NoRoom ? $fault : NoRoom::at(dirname($local), $bytes);
        } finally {
            is_resource($stream) && fclose($stream);
        }
    }

    /** @return array{bytes: int, sha256: string} of what lies in the storage */
    public function sum(string $stored): array
    {
        $stream = $this->files->readStream($stored);
        $hash = hash_init('sha256');
        $bytes = hash_update_stream($hash, $stream);
        fclose($stream);

        return ['bytes' => $bytes, 'sha256' => hash_final($hash)];
    }

    public function drop(string $stored): void
    {
        try {
            $this->files->delete($stored);
        } catch (FilesystemException) {
            // Swept later, with all that nobody names.
            return;
        }
    }

    /**
     * @param string|resource $content
     *
     * @return iterable<string>
     */
    private static function chunks(mixed $content, ?int $most): iterable
    {
        if (is_string($content)) {
            yield $most === null ? $content : substr($content, 0, $most);

            return;
        }
        for ($left = $most ?? \PHP_INT_MAX; $left > 0 && !feof($content); $left -= strlen($chunk)) {
            $chunk = (string) fread($content, min(self::CHUNK, $left));
            yield $chunk;
        }
    }
}
