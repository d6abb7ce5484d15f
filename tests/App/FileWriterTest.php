<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use League\Flysystem\Filesystem;
use League\Flysystem\Local\LocalFilesystemAdapter;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use UpperPane\App\Adapter\FileWriter;
use UpperPane\App\Adapter\NoRoom;
use UpperPane\Tests\Support\Files;

/** Whatever is written is there whole, or not at all. */
final class FileWriterTest extends TestCase
{
    public function testCountsAndHashesWhatItWrites(): void
    {
        $path = Files::path('written');
        $bytes = random_bytes((3 << 20) + 7);
        $sum = ['bytes' => strlen($bytes), 'sha256' => hash('sha256', $bytes)];
        self::assertSame($sum, FileWriter::write($path, $bytes));
        $from = fopen($path, 'r') ?: self::fail('it is gone');
        $copy = Files::path('copied');
        self::assertSame($sum, FileWriter::write($copy, $from));
        self::assertFileEquals($path, $copy);

        $folder = Files::path('store');
        $files = new Filesystem(new LocalFilesystemAdapter($folder));
        $writer = new FileWriter($files);
        $writer->store($copy, 'ab/c', $sum['bytes'], $sum['sha256']);
        self::assertSame($sum, $writer->sum('ab/c'));
        try {
            $writer->store($copy, 'ab/d', $sum['bytes'] + 1, $sum['sha256']);
            self::fail('a byte is missing');
        } catch (NoRoom) {
        }
        self::assertSame(['ab/c'], array_map(
            static fn ($file) => $file->path(),
            $files->listContents('ab', true)->filter(static fn ($file) => $file->isFile())->toArray(),
        ), 'nothing of it is left');
    }

    /** A file system of one megabyte, where this machine lets one be made; a device that is always full elsewhere. */
    public function testSaysThatThereIsNoRoom(): void
    {
        foreach (['/dev/full', Files::path('none').'/no/such'] as $path) {
            try {
                FileWriter::write($path, str_repeat('x', 4 << 20));
                self::fail("$path took it");
            } catch (NoRoom $fault) {
                self::assertSame('stock.no_room', $fault->why->refusalCode);
            }
        }
        $small = Files::path('small');
        mkdir($small);
        $mounting = new Process(['mount', '-t', 'tmpfs', '-o', 'size=1m', 'tmpfs', $small]);
        if ($mounting->run() === 0) {
            try {
                FileWriter::write("$small/file", str_repeat('x', 2 << 20));
                self::fail('it took it');
            } catch (NoRoom) {
                self::assertSame(0, filesize("$small/file"));
            } finally {
                (new Process(['umount', $small]))->mustRun();
            }
        }
        self::assertSame([], glob(sys_get_temp_dir().'/pane-no-*') ?: []);
    }
}
