<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use UpperPane\App\Adapter\AlphaReader;
use UpperPane\App\Adapter\MediaConverter;
use UpperPane\App\Adapter\MediaProbe;
use UpperPane\App\Adapter\OutsideProgram;
use UpperPane\App\Adapter\Pulse;
use UpperPane\Tests\Support\Chromium;
use UpperPane\Tests\Support\Files;

/** Facts of files that say them in rare places, against Chromium and against how the files were made. */
final class MediaTest extends TestCase
{
    /** A PNG that is to be turned says so in a chunk: Chromium shows it upright, and so is what it becomes. */
    public function testAPngIsTurnedAsItSays(): void
    {
        $plain = (string) file_get_contents(Files::picture('plain.png', 400, 300));
        $tiff = "MM\0\x2A".pack('N', 8).pack('n', 1).pack('nnNnn', 0x0112, 3, 1, 6, 0).pack('N', 0);
        $chunk = 'eXIf'.$tiff;
        $turned = substr($plain, 0, 33).pack('N', strlen($tiff)).$chunk.pack('N', crc32($chunk)).substr($plain, 33);
        $path = Files::bytes('turned.png', $turned);
        $facts = (new MediaProbe(self::program()))->look($path, 'image/png');

        self::assertSame(self::shown($turned), $facts['size']->toArray());
        self::assertSame([300, 400], $facts['size']->toArray());
        self::assertContains('turned', $facts['why']);
        $made = Files::path('upright.png');
        touch($made);
        chmod($made, 0o666);
        (new MediaConverter(self::program()))->convert($path, 'image/png', $made, $facts);
        self::assertSame([300, 400], array_slice((array) getimagesize($made), 0, 2));
    }

    /** A picture of one bit whose black is seen through (PNG tRNS). */
    public function testAColourThatIsSeenThroughIsAlpha(): void
    {
        $raw = str_repeat("\0\xF0", 4).str_repeat("\0\xFF", 4);
        $part = static fn (string $type, string $data) => pack('N', strlen($data)).$type.$data.
            pack('N', crc32($type.$data));
        $png = "\x89PNG\r\n\x1A\n".$part('IHDR', pack('NNC5', 8, 8, 1, 0, 0, 0, 0)).$part('tRNS', pack('n', 0))
            .$part('IDAT', (string) gzcompress($raw)).$part('IEND', '');
        [$size, $alpha] = (new AlphaReader(self::program()))->read($png);

        self::assertSame([8, 8], $size->toArray());
        $row = static fn (string $cells) => strtr($cells, ['o' => "\xFF", '.' => "\0"]);
        self::assertSame(str_repeat($row('oooo....'), 4).str_repeat($row('oooooooo'), 4), $alpha);
    }

    /** Ten pictures of 200 ms last two seconds, also as a video; a film that one sees through is known as one. */
    public function testTheLastPictureAndTheAlphaAreKnown(): void
    {
        $apng = Files::path('ten.png');
        $lavfi = ['ffmpeg', '-v', 'error', '-y', '-f', 'lavfi', '-i'];
        $ten = ['testsrc=size=64x48:rate=5:duration=2', '-f', 'apng', '-plays', '0', $apng];
        (new Process([...$lavfi, ...$ten]))->mustRun();
        $probe = new MediaProbe(self::program());
        $facts = $probe->look($apng, 'image/apng');
        self::assertSame(2000, $facts['duration_ms']);
        $made = Files::path('ten.mp4');
        touch($made);
        chmod($made, 0o666);
        $mime = (new MediaConverter(self::program()))->convert($apng, 'image/apng', $made, $facts);
        self::assertEqualsWithDelta(2000, $probe->look($made, $mime)['duration_ms'], 60);

        $webm = Files::path('glass.webm');
        $glass = ['color=red@0.5:size=64x48:rate=5:duration=1,format=yuva420p', '-c:v', 'libvpx-vp9', $webm];
        (new Process([...$lavfi, ...$glass]))->mustRun();
        self::assertTrue($probe->look($webm, 'video/webm')['alpha']);
    }

    private static function program(): OutsideProgram
    {
        return new OutsideProgram(new Pulse());
    }

    /** @return array{int, int} as Chromium shows it */
    private static function shown(string $png): array
    {
        $browser = Chromium::open();
        $browser->get('about:blank');
        try {
            return $browser->executeAsyncScript(
                'const [data, done] = arguments; const one = new Image();'.
                    'one.onload = () => done([one.naturalWidth, one.naturalHeight]);'.
                    'one.src = "data:image/png;base64," + data',
                [base64_encode($png)],
            );
        } finally {
            $browser->quit();
        }
    }
}
