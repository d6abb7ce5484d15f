<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use League\Flysystem\FilesystemOperator;
use UpperPane\App\Adapter\MediaFiles;
use UpperPane\App\UseCase\Sweep\Sweep;

/** What nobody refers to goes, after an hour; what anything refers to, and what is young, stays. */
final class SweepTest extends ApiCase
{
    private const AGO = 4000;

    public function testTakesWhatNobodyRefersToAndNothingElse(): void
    {
        $published = getenv('UPPER_PANE_VAR').'/published';
        $sweep = self::getContainer()->get(Sweep::class);
        // What other tests left behind when they were rolled back.
        $this->age(...glob("$published/*/*") ?: []);
        $sweep(false);
        $loose = ["$published/orders/loose.json", "$published/released/loose/plan.json"];
        mkdir("$published/released/loose");
        foreach ($loose as $file) {
            file_put_contents($file, 'x');
        }
        [$kept, $young] = [glob("$published/*/*") ?: [], "$published/orders/young.json"];
        file_put_contents($young, 'x');
        $this->age(...$loose, ...["$published/released/loose"], ...$kept);
        $media = self::getContainer()->get(FilesystemOperator::class);
        $stray = MediaFiles::original(hash('sha256', 'stray'));
        $media->write($stray, 'x');
        $known = MediaFiles::original((string) self::database()->fetchOne('SELECT sha256 FROM media LIMIT 1'));
        $this->age(
            ...array_map(static fn (string $path) => getenv('UPPER_PANE_VAR')."/media/$path", [$stray, $known]),
        );
        self::database()->insert('sign_in_attempt', ['who' => str_repeat('0', 64), 'at_ms' => 1]);
        self::database()->insert('job', ['kind' => 'x', 'payload' => '{}', 'state' => 'done', 'due_ms' => 1]);
        self::database()->insert('job', ['kind' => 'x', 'payload' => '{}', 'state' => 'failed', 'due_ms' => 1]);
        // An old one, one of today, and one that the next of a surface goes on from.
        foreach (['2000-01-01', date('Y-m-d'), '2000-01-01'] as $index => $at) {
            self::database()->insert('sealed', [
                'sha256' => str_repeat((string) $index, 64),
                'kind' => 'almanac',
                'folder' => str_repeat((string) $index, 40),
                'content' => '{}',
                'at' => $at,
            ]);
        }
        self::database()->update('surface', ['almanac' => str_repeat('2', 64)], ['code' => 'ribbon']);
        $dry = $sweep(true);
        self::assertFileExists($loose[0], 'a dry run takes nothing');
        self::assertTrue($media->fileExists($stray));
        $swept = $sweep(false);

        self::assertSame($dry, $swept, 'it said beforehand what it would take');
        self::assertSame(
            [1, 1, 1, 1, 1, 1],
            array_map(static fn (string $what) => $swept[$what]['count'], [
                'packs',
                'orders',
                'media',
                'attempts',
                'jobs',
                'almanacs',
            ]),
        );
        self::assertFileDoesNotExist($loose[0]);
        self::assertDirectoryDoesNotExist("$published/released/loose");
        self::assertFalse($media->fileExists($stray));
        self::assertTrue($media->fileExists($known));
        self::assertFileExists($young);
        foreach (array_diff($kept, $loose, ["$published/released/loose"]) as $path) {
            self::assertFileExists($path);
        }
        self::assertSame(1, (int) self::database()->fetchOne("SELECT COUNT(*) FROM job WHERE kind = 'x'"));
        unlink($young);
    }

    private function age(string ...$paths): void
    {
        array_map(static fn (string $path) => touch($path, time() - self::AGO), $paths);
        clearstatcache();
    }
}
