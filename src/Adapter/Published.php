<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use League\Flysystem\FilesystemOperator;

/**
 * The files that players fetch without reaching PHP: orders at a secret address, and sealed releases under a secret
 * folder. Everything is written to a temporary name and moved, so that a player never reads half a file.
 */
final readonly class Published
{
    public function __construct(private FilesystemOperator $media, private string $varDir)
    {
    }

    /** @param list<array{sha256: string, mime: string, bytes: int}> $media */
    public function pack(string $folder, string $plan, array $media): void
    {
        $path = $this->folder("released/$folder");
        foreach ($media as $file) {
            $this->write("$path/{$file['sha256']}", $this->media->readStream(MediaFiles::original($file['sha256'])));
        }
        $this->write("$path/plan.json", $plan);
    }

    public function file(string $folder, string $name, string $content): void
    {
        $this->write($this->folder($folder)."/$name", $content);
    }

    /**
     * The modification time rises by at least a second with every write: nginx compares it to the second only.
     *
     * @param array<string, mixed> $orders
     */
    public function order(string $key, array $orders): void
    {
        $path = $this->folder('orders')."/$key.json";
        clearstatcache(true, $path);
        $last = is_file($path) ? (int) filemtime($path) : 0;
        $this->write($path, json_encode($orders, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES));
        touch($path, max(time(), $last + 1));
    }

    public function withdraw(string $key): void
    {
        $path = $this->folder('orders')."/$key.json";
        is_file($path) && unlink($path);
    }

    private function folder(string $name): string
    {
        $path = "{$this->varDir}/published/$name";
        is_dir($path) || mkdir($path, 0o755, true);

        return $path;
    }

    /** @param string|resource $content */
    private function write(string $path, mixed $content): void
    {
        $temporary = $path.'.'.bin2hex(random_bytes(4));
        if (file_put_contents($temporary, $content) === false || !rename($temporary, $path)) {
            throw new \RuntimeException("Could not write $path.");
        }
    }
}
