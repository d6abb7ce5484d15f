<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use League\Flysystem\FilesystemException;
use League\Flysystem\FilesystemOperator;
use UpperPane\Core\Picture\MediaFacts;

/**
 * The files that players fetch without reaching PHP: orders at a secret address, and sealed releases under a secret
 * folder. Everything is written to a temporary name and moved, so that a player never reads half a file.
 */
final readonly class Published
{
    public function __construct(private FilesystemOperator $media, private string $varDir)
    {
    }

    /**
     * Everything of a release that is not there yet, or not whole; the plan last, since it is what a player begins
     * with.
     *
     * @param array<string, string>                                  $texts by file name
     * @param list<array{sha256: string, mime: string, bytes: int}> $media
     *
     * @throws Unwritten
     */
    public function pack(string $folder, array $texts, array $media): void
    {
        $path = $this->folder("released/$folder");
        foreach ($media as $file) {
            // A page is sent as one, and in a sandbox, by its name.
            $target = "$path/{$file['sha256']}".($file['mime'] === MediaFacts::PAGE ? '.html' : '');
            if (!is_file($target) || filesize($target) !== $file['bytes']) {
                $this->write($target, $this->original($file['sha256']), $file['bytes']);
            }
        }
        foreach ($texts as $name => $text) {
            $this->text("$path/$name", $text);
        }
    }

    /**
     * The modification time rises by at least a second with every change: nginx compares it to the second only.
     *
     * @param array<string, mixed> $orders
     *
     * @throws Unwritten
     */
    public function order(string $key, array $orders): void
    {
        $path = $this->folder('orders')."/$key.json";
        clearstatcache(true, $path);
        $last = is_file($path) ? (int) filemtime($path) : 0;
        if ($this->text($path, json_encode($orders, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES))) {
            touch($path, max(time(), $last + 1));
        }
    }

    /** @return ?int of what lies there; null when nothing does, or nothing whole */
    public function numberOf(string $key): ?int
    {
        $lies = json_decode((string) @file_get_contents("{$this->varDir}/published/orders/$key.json"), true);

        return is_array($lies) && is_int($lies['number'] ?? null) ? $lies['number'] : null;
    }

    public function withdraw(string $key): void
    {
        $path = $this->folder('orders')."/$key.json";
        is_file($path) && unlink($path);
    }

    /** @throws Unwritten */
    private function folder(string $name): string
    {
        $path = "{$this->varDir}/published/$name";
        if (!is_dir($path) && !@mkdir($path, 0o755, true) && !is_dir($path)) {
            throw Unwritten::at($path);
        }

        return $path;
    }

    /**
     * @return bool false when it was so already
     *
     * @throws Unwritten
     */
    private function text(string $path, string $text): bool
    {
        if (is_file($path) && @file_get_contents($path) === $text) {
            return false;
        }
        $this->write($path, $text, strlen($text));

        return true;
    }

    /**
     * @return resource
     *
     * @throws Unwritten
     */
    private function original(string $sha256): mixed
    {
        try {
            return $this->media->readStream(MediaFiles::original($sha256));
        } catch (FilesystemException) {
            throw Unwritten::without($sha256);
        }
    }

    /**
     * @param string|resource $content
     *
     * @throws Unwritten when it is not there whole afterwards; nothing of it stays then
     */
    private function write(string $path, mixed $content, int $bytes): void
    {
        $temporary = $path.'.'.bin2hex(random_bytes(4)).'.new';
        $written = @file_put_contents($temporary, $content);
        if ($written !== $bytes || !@rename($temporary, $path)) {
            is_file($temporary) && unlink($temporary);
            throw Unwritten::at($path);
        }
    }
}
