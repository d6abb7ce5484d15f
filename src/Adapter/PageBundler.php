<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Base\Refusal;

/**
 * Makes one HTML file of a page that came as a ZIP with its pictures, styles, scripts and faces: they become data URLs
 * (RFC 2397), so that it needs nothing from anywhere. What its scripts fetch while they run is not there.
 */
final readonly class PageBundler
{
    private const MOST_FILES = 500;
    private const MOST_BYTES = 64 << 20;
    private const DEEPEST = 3;
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
            throw Refusal::because('stock.page_too_large', '/file', [
                'files' => self::MOST_FILES,
                'mb' => self::MOST_BYTES >> 20,
            ]);
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
            fn (array $found) => $found[1].'='.$found[2].$this->url($found[3], $folder, $files, 0).$found[2],
            $html,
        );

        return (string) preg_replace_callback(
            '~(<style\b[^>]*>)(.*?)(</style>)~is',
            fn (array $found) => $found[1].$this->styled($found[2], $folder, $files, 0).$found[3],
            $html,
        );
    }

    /** @param array<string, string> $files */
    private function styled(string $css, string $folder, array $files, int $depth): string
    {
        return (string) preg_replace_callback(
            '/url\(\s*(["\']?)([^"\')]+)\1\s*\)|@import\s+(["\'])([^"\']+)\3/i',
            fn (array $found) => ($found[4] ?? '') === ''
                ? 'url("'.$this->url($found[2], $folder, $files, $depth).'")'
                : '@import "'.$this->url($found[4], $folder, $files, $depth).'"',
            $css,
        );
    }

    /**
     * What is not in the archive stays as it is: nothing answers to it where the page is shown.
     *
     * @param array<string, string> $files
     */
    private function url(string $said, string $folder, array $files, int $depth): string
    {
        $bare = explode('#', explode('?', $said)[0])[0];
        $name = self::normal(str_starts_with($bare, '/') ? $bare : ($folder === '.' ? '' : "$folder/").$bare);
        $type = self::TYPES[strtolower(pathinfo($name, \PATHINFO_EXTENSION))] ?? null;
        if (preg_match('#^[a-z][a-z0-9+.-]*:|^//#i', $said) === 1 || $type === null || !isset($files[$name])) {
            return $said;
        }
        $content = $type === 'text/css' && $depth < self::DEEPEST
            ? $this->styled($files[$name], dirname($name), $files, $depth + 1)
            : $files[$name];

        return "data:$type;base64,".base64_encode($content);
    }
}
