<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use League\Flysystem\Config;
use League\Flysystem\FileAttributes;
use League\Flysystem\FilesystemAdapter;
use League\Flysystem\UnableToReadFile;

/** A storage that is no folder of this machine: what it gives can only be streamed. */
final class MemoryAdapter implements FilesystemAdapter
{
    /** @var array<string, string> */
    private array $files = [];

    public function fileExists(string $path): bool
    {
        return isset($this->files[$path]);
    }

    public function directoryExists(string $path): bool
    {
        return false;
    }

    public function write(string $path, string $contents, Config $config): void
    {
        $this->files[$path] = $contents;
    }

    public function writeStream(string $path, $contents, Config $config): void
    {
        $this->files[$path] = (string) stream_get_contents($contents);
    }

    public function read(string $path): string
    {
        return $this->files[$path] ?? throw UnableToReadFile::fromLocation($path);
    }

    public function readStream(string $path)
    {
        $stream = fopen('php://temp', 'w+') ?: throw UnableToReadFile::fromLocation($path);
        fwrite($stream, $this->read($path));
        rewind($stream);

        return $stream;
    }

    public function delete(string $path): void
    {
        unset($this->files[$path]);
    }

    public function deleteDirectory(string $path): void
    {
    }

    public function createDirectory(string $path, Config $config): void
    {
    }

    public function setVisibility(string $path, string $visibility): void
    {
    }

    public function visibility(string $path): FileAttributes
    {
        return new FileAttributes($path);
    }

    public function mimeType(string $path): FileAttributes
    {
        return new FileAttributes($path);
    }

    public function lastModified(string $path): FileAttributes
    {
        return new FileAttributes($path, null, null, time());
    }

    public function fileSize(string $path): FileAttributes
    {
        return new FileAttributes($path, strlen($this->read($path)));
    }

    public function listContents(string $path, bool $deep): iterable
    {
        foreach ($this->files as $name => $content) {
            yield new FileAttributes($name, strlen($content), null, time());
        }
    }

    public function move(string $source, string $destination, Config $config): void
    {
        $this->copy($source, $destination, $config);
        $this->delete($source);
    }

    public function copy(string $source, string $destination, Config $config): void
    {
        $this->files[$destination] = $this->read($source);
    }
}
