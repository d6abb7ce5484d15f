<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use League\Flysystem\Filesystem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\App\Adapter\MediaFiles;
use UpperPane\App\Adapter\MediaSender;
use UpperPane\App\Adapter\Published;
use UpperPane\App\Adapter\Unwritten;
use UpperPane\Tests\Support\MemoryAdapter;

/** Media in a storage that is no folder of this machine: sent through, in ranges too, and packed for players. */
final class StorageTest extends TestCase
{
    /**
     * @return iterable<string, array{?string, int, string, ?string}> range, status, body, Content-Range (RFC 9110 §14)
     */
    public static function ranges(): iterable
    {
        yield 'all' => [null, 200, '0123456789', null];
        yield 'the beginning' => ['bytes=0-3', 206, '0123', 'bytes 0-3/10'];
        yield 'from there on' => ['bytes=6-', 206, '6789', 'bytes 6-9/10'];
        yield 'the end' => ['bytes=-2', 206, '89', 'bytes 8-9/10'];
        yield 'more than there is' => ['bytes=8-99', 206, '89', 'bytes 8-9/10'];
        yield 'all of it by name' => ['bytes=0-9', 200, '0123456789', null];
        yield 'beyond the end' => ['bytes=20-', 200, '0123456789', null];
        yield 'nothing' => ['bytes=-', 200, '0123456789', null];
        yield 'what nobody understands' => ['lines=1-2', 200, '0123456789', null];
    }

    #[DataProvider('ranges')]
    public function testSendsWhatIsAskedFor(?string $range, int $status, string $body, ?string $said): void
    {
        $files = new Filesystem(new MemoryAdapter());
        $files->write('a/b', '0123456789');
        $response = (new MediaSender($files, false))->send('a/b', 'image/png', $range);
        ob_start();
        $response->sendContent();

        self::assertSame([$status, $body], [$response->getStatusCode(), ob_get_clean()]);
        self::assertSame($said, $response->headers->get('Content-Range'));
        self::assertSame((string) strlen($body), $response->headers->get('Content-Length'));
        self::assertSame("default-src 'none'; sandbox", $response->headers->get('Content-Security-Policy'));
    }

    /** On this machine's disk nginx sends it. */
    public function testLeavesItToNginxWhereItCan(): void
    {
        $response = (new MediaSender(new Filesystem(new MemoryAdapter()), true))->send('a/b', 'image/png', null);

        self::assertSame('/stored/a/b', $response->headers->get('X-Accel-Redirect'));
    }

    /** A release is packed from it; what is not whole, or not there, leaves nothing behind. */
    public function testPacksAReleaseFromIt(): void
    {
        $files = new Filesystem(new MemoryAdapter());
        $sha = hash('sha256', 'picture');
        $files->write(MediaFiles::original($sha), 'picture');
        $folder = sys_get_temp_dir().'/pane-published-'.bin2hex(random_bytes(4));
        $published = new Published($files, $folder);
        $media = ['sha256' => $sha, 'mime' => 'image/png', 'bytes' => 7];
        $published->pack('one', ['plan.json' => '{}'], [$media]);
        self::assertSame('picture', file_get_contents("$folder/published/released/one/$sha"));

        foreach ([['bytes' => 9] + $media, ['sha256' => hash('sha256', 'gone')] + $media] as $wrong) {
            try {
                $published->pack('two', ['plan.json' => '{}'], [$wrong]);
                self::fail('it was packed');
            } catch (Unwritten) {
                self::assertSame([], glob("$folder/published/released/two/*"));
            }
        }
        exec('rm -rf '.escapeshellarg($folder));
    }
}
