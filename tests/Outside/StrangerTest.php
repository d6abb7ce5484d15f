<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use UpperPane\App\Adapter\FileKind;
use UpperPane\App\Adapter\MediaConverter;
use UpperPane\App\Adapter\MediaProbe;
use UpperPane\App\Adapter\OutsideProgram;
use UpperPane\App\Adapter\Pulse;
use UpperPane\Core\Base\Refusal;
use UpperPane\Tests\Support\Files;

/** Files of strangers, and the programs that look at them: neither takes more than it is given. */
final class StrangerTest extends TestCase
{
    private const ICC = '/usr/share/color/icc/';
    private const WIDE = 'compatibleWithAdobeRGB1998.icc';
    private const MP4 = ['-c:v', 'libx264', '-preset', 'ultrafast', '-pix_fmt', 'yuv420p'];

    /** @return iterable<string, array{\Closure(): string, string, string}> how the file is made, its type, the code */
    public static function strangers(): iterable
    {
        $cut = static function (string $path, float $share): string {
            file_put_contents($path, substr((string) file_get_contents($path), 0, (int) ($share * filesize($path))));

            return $path;
        };
        yield 'an MP4 whose index comes first, cut in half' => [
            static fn () => $cut(self::encoded('half.mp4', [...self::MP4, '-movflags', '+faststart']), 0.5),
            'video/mp4',
            'stock.damaged',
        ];
        yield 'a WebM cut in half' => [
            static fn () => $cut(self::encoded('half.webm', ['-c:v', 'libvpx-vp9', '-cpu-used', '8']), 0.5),
            'video/webm',
            'stock.damaged',
        ];
        yield 'an MP4 whose index comes last, cut in half' => [
            static fn () => $cut(Files::video('last.mp4'), 0.5),
            'video/mp4',
            'stock.no_video',
        ];
        yield 'a picture cut in half' => [
            static fn () => $cut(Files::picture('half.jpg', 900, 900), 0.5),
            'image/jpeg',
            'stock.damaged',
        ];
        yield 'a picture that says it has 500 megapixels' => [
            static fn () => Files::bytes('vast.png', self::head(22_361, 22_361)),
            'image/png',
            'stock.side_too_long',
        ];
        yield 'a picture that says it has 256 megapixels, and has none' => [
            static fn () => Files::bytes('void.png', self::head(16_000, 16_000)),
            'image/png',
            'stock.too_many_px',
        ];
        yield 'a picture that says it has 134 megapixels, and has none' => [
            static fn () => Files::bytes('void.png', self::head(16_384, 8192)),
            'image/png',
            'stock.damaged',
        ];
        yield 'a list of other files that says it is a video' => [
            static fn () => Files::bytes('list.mp4', "ffconcat version 1.0\nfile /etc/passwd\n"),
            'video/mp4',
            'stock.no_video',
        ];
    }

    /** A PNG's signature and header (PNG, third edition §11.2.1), and nothing behind. */
    private static function head(int $width, int $height): string
    {
        $header = 'IHDR'.pack('NNC5', $width, $height, 8, 2, 0, 0, 0);

        return "\x89PNG\r\n\x1A\n".pack('N', 13).$header.pack('N', crc32($header)).pack('N', 0).'IEND'.
            pack('N', crc32('IEND'));
    }

    /** @param \Closure(): string $make */
    #[DataProvider('strangers')]
    public function testSaysWhatIsWrongWithAFile(\Closure $make, string $mime, string $code): void
    {
        try {
            (new MediaProbe(new OutsideProgram(new Pulse())))->look($make(), $mime);
            self::fail('it was taken');
        } catch (Refusal $refusal) {
            self::assertSame($code, $refusal->refusalCode);
        }
    }

    /**
     * @return iterable<string, array{\Closure(): string, string, list<string>, string}> how the file is made, its type,
     *     why it is converted, to what
     */
    public static function unplayable(): iterable
    {
        $lavfi = static fn (string $name, array $how): \Closure => static fn () => self::encoded($name, $how);
        $drawn = static fn (string $name, array $how): \Closure => static function () use ($name, $how): string {
            $path = Files::path($name);
            (new Process(['convert-im6.q16', '-size', '64x48', 'gradient:#d04020-#2040d0', ...$how, $path]))->mustRun();

            return $path;
        };
        yield 'as telephones film' => [
            $lavfi('phone.mp4', ['-c:v', 'libx265', '-tag:v', 'hvc1', '-pix_fmt', 'yuv420p']),
            'video/mp4',
            ['codec'],
            'video/mp4',
        ];
        yield 'as agencies send it' => [
            $lavfi('agency.mov', ['-c:v', 'prores_ks']),
            'video/quicktime',
            ['container', 'codec', 'samples'],
            'video/mp4',
        ];
        yield 'with alpha' => [
            $lavfi('alpha.mov', ['-c:v', 'qtrle', '-pix_fmt', 'argb']),
            'video/quicktime',
            ['container', 'codec', 'samples'],
            'video/webm',
        ];
        yield 'ten bits' => [
            $lavfi('ten.mp4', ['-c:v', 'libx264', '-pix_fmt', 'yuv422p10le']),
            'video/mp4',
            ['samples'],
            'video/mp4',
        ];
        yield 'two fields to a frame' => [
            $lavfi('tv.mpg', ['-c:v', 'mpeg2video', '-flags', '+ilme+ildct', '-field_order', 'tt', '-r', '25']),
            'video/mpeg',
            ['container', 'codec', 'interlaced'],
            'video/mp4',
        ];
        yield 'now fast, now slow' => [
            $lavfi('varied.mp4', [
                ...['-c:v', 'libx264', '-pix_fmt', 'yuv420p', '-vsync', 'vfr'],
                ...['-vf', "select='lt(n,20)+not(mod(n,3))'"],
            ]),
            'video/mp4',
            ['rate'],
            'video/mp4',
        ];
        yield 'a GIF that moves' => [
            $lavfi('moves.gif', []),
            'image/gif',
            ['container', 'codec', 'samples'],
            'video/webm',
        ];
        yield 'a picture for print' => [
            $drawn('print.jpg', ['-colorspace', 'CMYK']),
            'image/jpeg',
            ['colours'],
            'image/jpeg',
        ];
        yield 'sixteen bits' => [$drawn('deep.png', ['-depth', '16']), 'image/png', ['samples'], 'image/png'];
        yield 'as telephones photograph' => [
            $drawn('photo.heic', []),
            'image/heic',
            ['container', 'colours'],
            'image/jpeg',
        ];
        yield 'as tuners record' => [
            $lavfi('record.ts', ['-c:v', 'mpeg2video', '-f', 'mpegts']),
            'video/mp2t',
            ['container', 'codec'],
            'video/mp4',
        ];
        yield 'as old programs paint' => [
            $drawn('paint.bmp', ['-type', 'TrueColor']),
            'image/bmp',
            ['container'],
            'image/png',
        ];
        yield 'in colours of its own' => [
            $drawn('wide.jpg', ['-profile', self::ICC.'sRGB.icc', '-profile', self::ICC.self::WIDE]),
            'image/jpeg',
            ['colours'],
            'image/jpeg',
        ];
        yield 'as scanners write' => [$drawn('scan.tiff', ['-depth', '8']), 'image/tiff', ['container'], 'image/jpeg'];
    }

    /**
     * ffprobe and identify say of what was made that nothing is left to convert; it is as large and as long as before.
     *
     * @param \Closure(): string $make
     * @param list<string>       $why
     */
    #[DataProvider('unplayable')]
    public function testWhatPlayersCannotShowBecomesWhatTheyCan(
        \Closure $make,
        string $mime,
        array $why,
        string $made,
    ): void {
        $program = new OutsideProgram(new Pulse());
        $probe = new MediaProbe($program);
        $from = $make();
        $to = Files::bytes('made', '');
        chmod($to, 0o666);
        $facts = $probe->look($from, $mime);
        self::assertSame($mime, FileKind::of($from));
        self::assertSame($why, $facts['why']);
        self::assertSame($made, (new MediaConverter($program))->convert($from, $mime, $to, $facts));
        $after = $probe->look($to, $made);
        self::assertSame([], $after['why']);
        self::assertSame($facts['size']->toArray(), $after['size']->toArray());
        // How long a last frame stands is anybody's guess where their rate varies.
        self::assertEqualsWithDelta($facts['duration_ms'] ?? 0, $after['duration_ms'] ?? 0, 450);
    }

    /** A red, written in the numbers of a wider profile by ImageMagick, is the same red again in those of sRGB. */
    public function testColoursAreKept(): void
    {
        [$from, $to] = [Files::path('red.png'), Files::bytes('red-made', '')];
        chmod($to, 0o666);
        (new Process([
            ...['convert-im6.q16', '-size', '8x8', 'xc:rgb(200,50,50)', '-depth', '8'],
            ...['-profile', self::ICC.'sRGB.icc', '-profile', self::ICC.self::WIDE, $from],
        ]))->mustRun();
        $program = new OutsideProgram(new Pulse());
        $facts = (new MediaProbe($program))->look($from, 'image/png');
        (new MediaConverter($program))->convert($from, 'image/png', $to, $facts);

        $red = static function (string $path): array {
            $picture = imagecreatefrompng($path) ?: throw new \RuntimeException($path);

            return array_values(imagecolorsforindex($picture, (int) imagecolorat($picture, 4, 4)));
        };
        self::assertLessThan(190, $red($from)[0], 'other numbers');
        self::assertEqualsWithDelta([200, 50, 50, 0], $red($to), 2);
    }

    /** @return iterable<string, array{list<string>, int, bool}> a shell's words, seconds, whether it may end well */
    public static function programs(): iterable
    {
        yield 'in its bounds' => [['true'], 5, true];
        yield 'that fails' => [['false'], 5, false];
        yield 'that is not there' => [['no-such-program'], 5, false];
        yield 'that takes too long' => [['sleep', '30'], 1, false];
        yield 'that takes too much memory' => [
            ['php', '-d', 'memory_limit=-1', '-r', 'str_repeat("x", 3 << 30);'],
            9,
            false,
        ];
        yield 'that writes too large a file' => [
            ['dd', 'if=/dev/zero', 'of='.sys_get_temp_dir().'/pane-large', 'bs=1M', 'count=70'],
            9,
            false,
        ];
    }

    /** @param list<string> $command */
    #[DataProvider('programs')]
    public function testAProgramHasItsBounds(array $command, int $seconds, bool $well): void
    {
        self::assertSame($well, (new OutsideProgram(new Pulse()))->output($command, $seconds) !== null);
        is_file(sys_get_temp_dir().'/pane-large') && unlink(sys_get_temp_dir().'/pane-large');
    }

    public function testAWorkerIsNotLeftWithLessMemoryThanItsProgramsNeed(): void
    {
        $limits = static fn (string $most) => (new Process(['prlimit', "--as=$most", 'cat', '/proc/self/limits']))
            ->mustRun()
            ->getOutput();

        self::assertTrue(OutsideProgram::hasMemory($limits('unlimited:unlimited')));
        self::assertTrue(OutsideProgram::hasMemory($limits((string) (2 << 30))));
        self::assertFalse(OutsideProgram::hasMemory($limits((string) ((2 << 30) - 4096))));
    }

    /** What a program started ends with it, whether it came to its end or not. */
    public function testNothingIsLeftRunning(): void
    {
        $mark = '97'.random_int(1000, 9999);
        $program = new OutsideProgram(new Pulse());
        $program->output(['sh', '-c', "sleep $mark & sleep $mark"], 1);
        $program->output(['sh', '-c', "sleep $mark & exit 0"], 5);

        self::assertSame('', trim((string) shell_exec("pgrep -f 'sleep $mark' | grep -v ^$$ || true")));
    }

    /** As root we start nothing of strangers as root. */
    public function testRunsAsNobody(): void
    {
        $id = (new OutsideProgram(new Pulse()))->output(['id', '-un'], 5);

        self::assertSame(
            posix_geteuid() === 0 ? 'nobody' : posix_getpwuid(posix_geteuid())['name'] ?? '',
            trim((string) $id),
        );
    }

    /** A lease is kept while a program runs, and work whose lease is lost ends at once. */
    public function testTheWorkGoesOnAsLongAsItIsHeld(): void
    {
        $pulse = new Pulse(everyMs: 50);
        $beats = 0;
        $lost = new \RuntimeException('held by another');
        try {
            $pulse->during(static function () use (&$beats, $lost): void {
                ++$beats;
                throw $lost;
            }, static fn () => (new OutsideProgram($pulse))->output(['sleep', '60'], 90));
            self::fail('it went on');
        } catch (\RuntimeException $fault) {
            self::assertSame([$lost, 1], [$fault, $beats]);
        }
    }

    /** @param list<string> $how */
    private static function encoded(string $name, array $how): string
    {
        $path = Files::bytes($name, '');
        $source = ['-f', 'lavfi', '-i', 'testsrc2=size=160x90:rate=10:duration=4'];
        (new Process(['ffmpeg', '-v', 'error', '-y', ...$source, ...$how, $path]))->mustRun();

        return $path;
    }
}
