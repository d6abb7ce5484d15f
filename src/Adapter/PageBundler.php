<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;
use UpperPane\Core\Base\Refusal;

/**
 * Makes one HTML file of a page that came as a ZIP with its pictures, styles, scripts and faces: they become data URLs
 * (RFC 2397), so that it needs nothing from anywhere. What its scripts fetch while they run is not there.
 */
final class PageBundler
{
    private const MOST_FILES = 500;
    private const MOST_BYTES = 64 << 20;
    private const MOST_SECONDS = 30;
    private const MEMORY = '512M';
    private const TYPES = [
        'css' => 'text/css',
        'js' => 'text/javascript',
        'mjs' => 'text/javascript',
        'svg' => 'image/svg+xml',
        'png' => 'image/png',
        'jpg' => 'image/jpeg',
        'jpeg' => 'image/jpeg',
        'gif' => 'image/gif',
        'webp' => 'image/webp',
        'avif' => 'image/avif',
        'woff2' => 'font/woff2',
        'woff' => 'font/woff',
        'ttf' => 'font/ttf',
        'otf' => 'font/otf',
        'json' => 'application/json',
        'mp4' => 'video/mp4',
        'webm' => 'video/webm',
        'mp3' => 'audio/mpeg',
    ];

    /** @var array<string, string> data URLs by name: each file is made one once */
    private array $made = [];

    /** @var array<string, true> styles that are being made: one that imports itself stays as it is there */
    private array $open = [];

    private int $bytes = 0;

    public function __construct(private readonly string $projectDir)
    {
    }

    /**
     * The same in a process of its own, with bounds on memory and time: the archive is a stranger's.
     *
     * @throws Refusal as {@see bundle()}
     */
    public function bundled(string $path): string
    {
        $process = new Process(
            [\PHP_BINARY, '-d', 'memory_limit='.self::MEMORY, "$this->projectDir/bin/lib/bundle.php", $path],
            timeout: self::MOST_SECONDS,
        );
        try {
            $status = $process->run();
        } catch (ProcessTimedOutException) {
            throw $this->tooLarge();
        }
        /** @var array{code?: string}|null $why */
        $why = json_decode($process->getErrorOutput(), true);

        return match (true) {
            $status === 0 => $process->getOutput(),
            ($why['code'] ?? '') === 'stock.page_without_index' => throw Refusal::because(
                'stock.page_without_index',
                '/file',
            ),
            ($why['code'] ?? '') === 'stock.page_broken' => throw Refusal::because('stock.page_broken', '/file'),
            default => throw $this->tooLarge(),
        };
    }

    private function tooLarge(): Refusal
    {
        return Refusal::because('stock.page_too_large', '/file', [
            'files' => self::MOST_FILES,
            'mb' => self::MOST_BYTES >> 20,
        ]);
    }

    /**
     * @return string the HTML
     *
     * @throws Refusal `stock.page_broken`, `stock.page_too_large`, `stock.page_without_index`
     */
    public function bundle(string $path): string
    {
        $archive = new \ZipArchive();
        if ($archive->open($path, \ZipArchive::RDONLY) !== true) {
            throw Refusal::because('stock.page_broken', '/file');
        }
        $files = $this->unpacked($archive);
        $archive->close();
        [$this->made, $this->open, $this->bytes] = [[], [], 0];
        $index = array_values(
            array_filter(array_keys($files), static fn (string $name) => basename($name) === 'index.html'),
        );
        usort($index, static fn (string $a, string $b) => substr_count($a, '/') <=> substr_count($b, '/'));

        return $index === []
            ? throw Refusal::because('stock.page_without_index', '/file')
            : $this->inlined($files[$index[0]], dirname($index[0]), $files);
    }

    /** @return array<string, string> content by name; what would be too much is refused before it is unpacked */
    private function unpacked(\ZipArchive $archive): array
    {
        $bytes = 0;
        for ($index = 0; $index < $archive->numFiles; ++$index) {
            $bytes += (int) ($archive->statIndex($index)['size'] ?? 0);
        }
        if ($archive->numFiles > self::MOST_FILES || $bytes > self::MOST_BYTES) {
            throw $this->tooLarge();
        }
        $files = [];
        for ($index = 0; $index < $archive->numFiles; ++$index) {
            $name = self::normal((string) $archive->getNameIndex($index));
            if ($name !== '' && !str_ends_with((string) $archive->getNameIndex($index), '/')) {
                // No more than it said, whatever it holds.
                $size = (int) ($archive->statIndex($index)['size'] ?? 0);
                $content = $archive->getFromIndex($index, $size);
                $files[$name] = $content === false ? throw Refusal::because('stock.page_broken', '/file') : $content;
            }
        }

        return $files;
    }

    /** Without `.` and `..`; empty for what would lie outside. */
    private static function normal(string $name): string
    {
        $parts = [];
        foreach (explode('/', str_replace('\\', '/', $name)) as $part) {
            if ($part === '..' && array_pop($parts) === null) {
                return '';
            }
            if (!in_array($part, ['', '.', '..'], true)) {
                $parts[] = $part;
            }
        }

        return implode('/', $parts);
    }

    /** @param array<string, string> $files */
    private function inlined(string $html, string $folder, array $files): string
    {
        $html = (string) preg_replace_callback(
            '/\b(src|href|poster)\s*=\s*(["\'])([^"\']+)\2/i',
            fn (array $found) => $found[1].'='.$found[2].$this->url($found[3], $folder, $files).$found[2],
            $html,
        );

        return (string) preg_replace_callback(
            '~(<style\b[^>]*>)(.*?)(</style>)~is',
            fn (array $found) => $found[1].$this->styled($found[2], $folder, $files).$found[3],
            $html,
        );
    }

    /** @param array<string, string> $files */
    private function styled(string $css, string $folder, array $files): string
    {
        return (string) preg_replace_callback(
            '/url\(\s*(["\']?)([^"\')]+)\1\s*\)|@import\s+(["\'])([^"\']+)\3/i',
            fn (array $found) => ($found[4] ?? '') === ''
                ? 'url("'.$this->url($found[2], $folder, $files).'")'
                : '@import "'.$this->url($found[4], $folder, $files).'"',
            $css,
        );
    }

    /**
     * What is not in the archive stays as it is: nothing answers to it where the page is shown.
     *
     * @param array<string, string> $files
     */
    private function url(string $said, string $folder, array $files): string
    {
        $bare = explode('#', explode('?', $said)[0])[0];
        $name = self::normal(str_starts_with($bare, '/') ? $bare : ($folder === '.' ? '' : "$folder/").$bare);
        $type = self::TYPES[strtolower(pathinfo($name, \PATHINFO_EXTENSION))] ?? null;
        if (preg_match('#^[a-z][a-z0-9+.-]*:|^//#i', $said) === 1 || $type === null || !isset($files[$name])) {
            return $said;
        }
        if (isset($this->open[$name])) {
            return $said;
        }
        $this->open[$name] = true;
        $this->made[$name] ??= "data:$type;base64,".base64_encode(
            $type === 'text/css' ? $this->styled($files[$name], dirname($name), $files) : $files[$name],
        );
        unset($this->open[$name]);
        $this->bytes += strlen($this->made[$name]);

        return $this->bytes > self::MOST_BYTES ? throw $this->tooLarge() : $this->made[$name];
    }
}
