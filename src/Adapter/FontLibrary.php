<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Text\File\FontReader;
use UpperPane\Core\Text\FontFace;
use UpperPane\Core\Text\Fonts;

/**
 * The faces the app serves, measured from the very files it serves. Their tables are compiled once per SHA-256 into a
 * PHP array file, which OPcache shares between processes.
 *
 * @phpstan-import-type Tables from FontReader
 */
final class FontLibrary implements Fonts
{
    /** @var array<string, FontFace> */
    private array $loaded = [];

    public function __construct(private readonly string $projectDir, private readonly string $varDir)
    {
    }

    public function face(string $family, int $weight): FontFace
    {
        $key = "$family $weight";
        if (isset($this->loaded[$key])) {
            return $this->loaded[$key];
        }
        $face = $this->find($family, $weight);
        if ($face !== null) {
            return $this->loaded[$key] = FontFace::ofTables(
                $family,
                $weight,
                $face['file'],
                $this->tables($face['sha256'], fn () => $this->bytes($face['file'])),
            );
        }
        throw Refusal::because('text.font_unknown', '/font', [
            'family' => $family,
            'weight' => $weight,
            'known' => array_map(static fn (array $face) => $face['family'].' '.$face['weight'], $this->manifest()),
        ]);
    }

    public function has(string $family, int $weight): bool
    {
        return $this->find($family, $weight) !== null;
    }

    /** @return ?array{family: string, weight: int, file: string, sha256: string} */
    private function find(string $family, int $weight): ?array
    {
        foreach ($this->manifest() as $face) {
            if ($face['family'] === $family && $face['weight'] === $weight) {
                return $face;
            }
        }

        return null;
    }

    private function bytes(string $file): string
    {
        return (string) file_get_contents("{$this->projectDir}/public/fonts/$file");
    }

    /** @return list<array{family: string, weight: int, file: string, sha256: string}> */
    public function manifest(): array
    {
        /** @var list<array{family: string, weight: int, file: string, sha256: string}> */
        return require $this->projectDir.'/public/fonts/manifest.php';
    }

    /**
     * Copies the faces of config/fonts.php into public/fonts under names that change with their bytes, and what is said
     * of their licences beside them.
     */
    public function publish(): int
    {
        $folder = $this->projectDir.'/public/fonts';
        is_dir("$folder/licences") || mkdir("$folder/licences", 0o755, true);
        $manifest = [];
        $families = require $this->projectDir.'/config/fonts.php';
        foreach ($families as $family => ['package' => $package, 'faces' => $faces]) {
            // Machines that keep no documents keep this one, by Debian's policy (12.5), but who knows.
            $licence = "/usr/share/doc/$package/copyright";
            is_file($licence) && copy($licence, "$folder/licences/$package.txt");
            foreach ($faces as $weight => $path) {
                $sha = (string) hash_file('sha256', $path);
                $file = sprintf(
                    '%s-%d-%s.ttf',
                    strtolower(str_replace(' ', '-', $family)),
                    $weight,
                    substr($sha, 0, 8),
                );
                copy($path, "$folder/$file");
                $manifest[] = ['family' => $family, 'weight' => $weight, 'file' => $file, 'sha256' => $sha];
                $this->tables($sha, fn () => $this->bytes($file));
            }
        }
        self::writeArray("$folder/manifest.php", $manifest);

        return count($manifest);
    }

    /**
     * @param \Closure(): string $bytes read when it was not compiled yet
     *
     * @return Tables
     */
    public function tables(string $sha256, \Closure $bytes): array
    {
        $compiled = sprintf('%s/fonts/%s-%d.php', $this->varDir, $sha256, FontReader::VERSION);
        if (!is_file($compiled)) {
            $tables = FontReader::tables($bytes());
            is_dir(dirname($compiled)) || mkdir(dirname($compiled), 0o755, true);
            self::writeArray($compiled, $tables);
        }

        return require $compiled;
    }

    /** @param array<mixed> $value */
    private static function writeArray(string $path, array $value): void
    {
        $temporary = $path.'.'.bin2hex(random_bytes(4));
        file_put_contents($temporary, '<?php return '.var_export($value, true).';');
        rename($temporary, $path);
    }
}
