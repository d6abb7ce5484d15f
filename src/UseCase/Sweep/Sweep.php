<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Sweep;

use Doctrine\DBAL\Connection;
use League\Flysystem\FilesystemOperator;
use League\Flysystem\StorageAttributes;
use UpperPane\App\Repository\Uploads;
use UpperPane\App\UseCase\Document\Desks;
use UpperPane\Core\Site\Patience;

/**
 * Takes away what nobody refers to any more. Whatever is younger than an hour stays: it may belong to work that is
 * going on. Originals stay as long as a medium or a release names them, since releases are packed from them again.
 */
final readonly class Sweep
{
    private const YOUNG_S = 3600;
    private const DONE_JOBS_S = 7 * 86_400;
    private const TAKEN_S = 30 * 86_400;
    /** Orders name an almanac for a day; a surface names its last one for the next to go on from. */
    private const UNNAMED_S = 3 * 86_400;
    private const BROWSERS_S = 400 * 86_400;

    public function __construct(
        private Connection $database,
        private FilesystemOperator $files,
        private Uploads $uploads,
        private string $varDir,
    ) {
    }

    /**
     * @param bool $dry only say what would go
     *
     * @return array<string, array{count: int, bytes: int}> by what it is
     */
    public function __invoke(bool $dry): array
    {
        return [
            'packs' => $this->published('released', $this->column(
                'SELECT folder FROM release_plan UNION SELECT folder FROM programme UNION SELECT folder FROM sealed',
            ), $dry),
            'orders' => $this->published('orders', array_map(
                static fn (string $key) => "$key.json",
                $this->column("SELECT orders_key FROM player UNION SELECT CONCAT('acts-', acts_key) FROM site"),
            ), $dry),
            'taken out' => $this->rows(
                'media',
                'font IS NULL AND taken_ms < ?',
                1000 * (time() - self::TAKEN_S),
                $dry,
            ),
            'documents' => $this->documents($dry),
            'uploads' => $this->uploads($dry),
            'media' => $this->media($dry),
            'temporary files' => $this->temporary($dry),
            'sessions' => $this->rows('session', 'sess_lifetime < ?', time(), $dry),
            'attempts' => $this->rows('sign_in_attempt', 'at_ms < ?', 1000 * time() - Patience::WINDOW_MS, $dry),
            'codes' => $this->rows('knock', 'until_ms < ?', 1000 * time(), $dry),
            'presence' => $this->rows('presence', 'at_ms < ?', 1000 * (time() - self::YOUNG_S), $dry),
            'browsers' => $this->rows('known_browser', 'seen_ms < ?', 1000 * (time() - self::BROWSERS_S), $dry),
            'pages' => $this->rows('web_page', 'wanted_ms < ?', 1000 * (time() - self::BROWSERS_S), $dry),
            'measures' => $this->rows('measured_text', 'at_ms < ?', 1000 * (time() - self::BROWSERS_S), $dry),
            'stretches' => $this->rows('stretch', 'until_ms < ?', 1000 * (time() - self::BROWSERS_S), $dry),
            'acts' => $this->rows('act', 'until_ms < ?', 1000 * (time() - self::BROWSERS_S), $dry),
            'almanacs' => $this->rows(
                'sealed',
                "kind = 'almanac' AND UNIX_TIMESTAMP(at) * 1000 < ? "
                    .'AND sha256 NOT IN (SELECT almanac FROM surface WHERE almanac IS NOT NULL)',
                1000 * (time() - self::UNNAMED_S),
                $dry,
            ),
            'light' => $this->orphans('media_light', 'sha256', $dry),
            'variants' => $this->orphans('variant', 'original', $dry),
            'jobs' => $this->rows('job', "state = 'done' AND due_ms < ?", 1000 * (time() - self::DONE_JOBS_S), $dry),
        ];
    }

    /** @param array<string, array{count: int, bytes: int}> $swept */
    public static function inWords(array $swept): string
    {
        $lines = [];
        foreach ($swept as $what => ['count' => $count, 'bytes' => $bytes]) {
            if ($count > 0) {
                $lines[] = "$what: $count".($bytes > 0 ? sprintf(' (%.1f MB)', $bytes / 1e6) : '');
            }
        }

        return implode(', ', $lines);
    }

    /**
     * @param list<string> $kept names that something refers to
     *
     * @return array{count: int, bytes: int}
     */
    private function published(string $folder, array $kept, bool $dry): array
    {
        $kept = array_flip($kept);
        $loose = array_filter(
            glob("{$this->varDir}/published/$folder/*") ?: [],
            static fn (string $path) => !isset($kept[basename($path)]) && self::isOld($path),
        );
        $halfWritten = array_filter(glob("{$this->varDir}/published/$folder/*/*.new") ?: [], self::isOld(...));

        return self::remove([...$loose, ...$halfWritten], $dry);
    }

    /** @return array{count: int, bytes: int} that nobody went on with */
    private function uploads(bool $dry): array
    {
        $quiet = $this->uploads->quietSince(1000 * time() - Uploads::KEPT_MS);
        $dry || array_map($this->uploads->end(...), $quiet);

        return ['count' => count($quiet), 'bytes' => 0];
    }

    /** @return array{count: int, bytes: int} */
    private function media(bool $dry): array
    {
        $kept = array_flip($this->column(
            'SELECT sha256 FROM media UNION SELECT original_sha256 FROM media WHERE original_sha256 IS NOT NULL '.
                'UNION SELECT v.sha256 FROM variant v JOIN media m ON m.sha256 = v.original WHERE v.sha256 IS NOT NULL',
        ));
        foreach ($this->column("SELECT JSON_EXTRACT(earlier, '$[*].sha256', '$[*].originalSha256') FROM media") as $list) {
            $kept += array_flip(array_filter((array) json_decode($list), is_string(...)));
        }
        foreach ($this->column("SELECT JSON_EXTRACT(plan, '$.media[*].sha256') FROM release_plan") as $list) {
            $kept += array_flip((array) json_decode($list));
        }
        $count = $bytes = 0;
        foreach ($this->files->listContents('', true) as $file) {
            $old = $file->isFile() && ($file->lastModified() ?? time()) < time() - self::YOUNG_S;
            $isPart = str_starts_with($file->path(), Uploads::FOLDER);
            if ($old && !$isPart && !isset($kept[substr(basename($file->path()), 0, 64)])) {
                ++$count;
                $bytes += $this->sizeOf($file);
                $dry || $this->files->delete($file->path());
            }
        }

        return ['count' => $count, 'bytes' => $bytes];
    }

    private function sizeOf(StorageAttributes $file): int
    {
        return $this->files->fileSize($file->path());
    }

    /** @return array{count: int, bytes: int} */
    private function temporary(bool $dry): array
    {
        return self::remove(array_filter(glob(sys_get_temp_dir().'/pane??????') ?: [], self::isOld(...)), $dry);
    }

    /** @return array{count: int, bytes: int} */
    private function rows(string $table, string $where, int $before, bool $dry): array
    {
        $count = $dry
            ? (int) $this->database->fetchOne("SELECT COUNT(*) FROM $table WHERE $where", [$before])
            : (int) $this->database->executeStatement("DELETE FROM $table WHERE $where", [$before]);

        return ['count' => $count, 'bytes' => 0];
    }

    /**
     * Removed a month ago; those that were released stay for their releases.
     *
     * @return array{count: int, bytes: int}
     */
    private function documents(bool $dry): array
    {
        $ids = $this->database->fetchFirstColumn(
            'SELECT d.id FROM document d WHERE d.removed_ms < ? AND NOT EXISTS '.
                '(SELECT 1 FROM release_ r WHERE r.design_id = d.id)',
            [1000 * (time() - Desks::KEPT_DAYS * 86_400)],
        );
        foreach ($dry ? [] : $ids as $id) {
            $this->database->transactional(static function (Connection $database) use ($id): void {
                $of = ['part' => 'document_id', 'revision' => 'document_id', 'reference' => 'document_id'] +
                    ['design_surface' => 'design_id', 'document' => 'id'];
                foreach ($of as $table => $column) {
                    $database->delete($table, [$column => $id]);
                }
            });
        }

        return ['count' => count($ids), 'bytes' => 0];
    }

    /** @return array{count: int, bytes: int} of no medium any more */
    private function orphans(string $table, string $column, bool $dry): array
    {
        $where = "FROM $table WHERE $column NOT IN (SELECT sha256 FROM media)";
        $count = $dry
            ? (int) $this->database->fetchOne("SELECT COUNT(*) $where")
            : (int) $this->database->executeStatement("DELETE $where");

        return ['count' => $count, 'bytes' => 0];
    }

    /** @return list<string> */
    private function column(string $query): array
    {
        return array_map(strval(...), $this->database->fetchFirstColumn($query));
    }

    private static function isOld(string $path): bool
    {
        return (int) @filemtime($path) < time() - self::YOUNG_S;
    }

    /**
     * @param array<string> $paths files, and folders with files in them
     *
     * @return array{count: int, bytes: int}
     */
    private static function remove(array $paths, bool $dry): array
    {
        $bytes = 0;
        foreach ($paths as $path) {
            $files = is_dir($path) ? (glob("$path/*") ?: []) : [$path];
            $bytes += array_sum(array_map(static fn (string $file) => (int) @filesize($file), $files));
            if (!$dry) {
                array_map(unlink(...), $files);
                is_dir($path) && rmdir($path);
            }
        }

        return ['count' => count($paths), 'bytes' => $bytes];
    }
}
