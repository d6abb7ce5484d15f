<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Surface\Edid;
use UpperPane\Core\Surface\StandardModes;

/**
 * What displays say of themselves and what modes are called, against edid-decode (Debian). Samples: tests/cases/edid
 * (MIT).
 */
final class DisplayTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function samples(): iterable
    {
        foreach (glob(\dirname(__DIR__).'/cases/edid/*') ?: [] as $file) {
            if (!str_contains($file, 'LICENSE')) {
                yield basename($file) => [self::bytes((string) file_get_contents($file))];
            }
        }
        yield 'built byte by byte' => [self::built()];
        $random = new Randomizer(new Mt19937(14));
        for ($i = 0; $i < 40; ++$i) {
            [$mmWidth, $mmHeight] = [$random->getInt(60, 4000), $random->getInt(60, 2500)];
            $near = $random->getInt(-14, 14);
            yield "built at random $i" => [
                self::built(
                    [$random->getInt(320, 4095), $random->getInt(200, 4095)],
                    [$random->getInt(1, 900), $random->getInt(1, 900)],
                    $random->getInt(1000, 65_000),
                    [$mmWidth, $mmHeight],
                    [min(255, intdiv($mmWidth + $near + 5, 10)), min(255, intdiv($mmHeight - $near + 5, 10))],
                    substr(str_repeat('PANELS', 3), 0, $random->getInt(1, 13)),
                ),
            ];
        }
    }

    #[DataProvider('samples')]
    public function testReadsADisplayAsEdidDecodeDoes(string $bytes): void
    {
        $edid = Edid::read($bytes);
        $text = self::decode($bytes);
        $fact = static fn (string $pattern) => preg_match($pattern, $text, $found) === 1 ? $found : [];
        $timing = $fact('/DTD 1:\s+(\d+)x(\d+)i?\s+([\d.]+) Hz.*\((\d+) mm x (\d+) mm\)/');
        $cm = $fact('/Maximum image size: (\d+) cm x (\d+) cm/');

        self::assertSame($fact('/Manufacturer: (\w+)/')[1], $edid->maker);
        self::assertSame((int) $fact('/Model: (\d+)/')[1], $edid->product);
        self::assertSame($fact("/Display Product Name: '(.*)'/")[1] ?? '', $edid->name);
        self::assertSame([(int) $timing[1], (int) $timing[2]], $edid->native->toArray());
        self::assertEqualsWithDelta((float) $timing[3], $edid->refreshHz->decimal(6), 1e-6);
        self::assertSame($fact('/EDID Structure Version & Revision: ([\d.]+)/')[1], $edid->version);
        self::assertSame(substr_count($text, 'Checksum: '), $edid->blocks);
        $ofTiming = [(int) $timing[4], (int) $timing[5]];
        $ofBytes = $cm === [] ? $ofTiming : [10 * (int) $cm[1], 10 * (int) $cm[2]];
        // Which of the two is taken is our own rule (model §2; tests/Core/Surface).
        self::assertSame($edid->sizeFrom === 'timing' ? $ofTiming : $ofBytes, $edid->activeMm);
    }

    /** What edid-decode says of each, and what we say. */
    public function testRefusesWhatEdidDecodeFindsBroken(): void
    {
        $good = self::built();
        $broken = [
            ['edid.checksum', substr_replace($good, chr(ord($good[40]) ^ 1), 40, 1), 'Invalid checksum'],
            ['edid.truncated', substr($good, 0, 100), 'not a multiple of 128'],
            ['edid.empty', '', 'was empty'],
            ['edid.not_edid', self::summed(substr_replace($good, "\x01", 0, 1)), 'No EDID header found'],
            ['edid.version', self::summed(substr_replace($good, "\x02", 18, 1)), 'Unknown EDID major version'],
            ['edid.truncated', self::summed(substr_replace($good, "\x01", 126, 1)), 'but found 0 extension block'],
        ];
        foreach ($broken as [$code, $bytes, $said]) {
            self::assertStringContainsString($said, self::decode($bytes));
            $this->assertRefused($code, $bytes);
        }
        // Without a detailed timing edid-decode finds nothing to show; E-EDID 1.4 §3.10.1 asks for one.
        $untimed = self::summed(substr_replace($good, str_repeat("\0", 18), 54, 18));
        self::assertStringNotContainsString('DTD 1', self::decode($untimed));
        $this->assertRefused('edid.no_timing', $untimed);
        $this->assertRefused('edid.too_large', str_repeat("\0", 20_000_000));
    }

    /** A cm byte of 0 makes the pair a ratio, as edid-decode says: then only a timing of 50 mm and more is a size. */
    public function testARatioIsNoSize(): void
    {
        $ratio = self::summed(substr_replace(self::built(), "\x4F\x00", 21, 2));
        self::assertStringContainsString('Aspect ratio: 1.78', self::decode($ratio));
        self::assertStringContainsString('1209 mm x 680 mm', self::decode($ratio));
        self::assertSame([[1209, 680], 'timing'], [Edid::read($ratio)->activeMm, Edid::read($ratio)->sizeFrom]);
        $small = Edid::read(self::summed(substr_replace($ratio, "\x10\x09\x00", 66, 3)));
        self::assertSame([null, null], [$small->activeMm, $small->sizeFrom]);
        self::assertSame('edid.no_size', $small->findings()[0]->code);
    }

    /** Cm bytes are rounded: a timing within 10 mm of them is the finer word for the same size, others are not. */
    public function testTheTimingCountsWithinTenMm(): void
    {
        $sizes = [[1200, 670, 'timing'], [1199, 680, 'cm_bytes'], [1220, 690, 'timing'], [1210, 691, 'cm_bytes']];
        foreach ($sizes as [$x, $y, $from]) {
            $edid = Edid::read($bytes = self::built(mm: [$x, $y]));
            self::assertStringContainsString("$x mm x $y mm", self::decode($bytes));
            self::assertSame([$from === 'timing' ? [$x, $y] : [1210, 680], $from], [$edid->activeMm, $edid->sizeFrom]);
        }
    }

    public function testStandardModesHaveTheSizesTheirNumbersSay(): void
    {
        foreach (StandardModes::all() as $mode) {
            foreach (array_filter(['--dmt' => $mode['dmt'], '--vic' => $mode['vic']]) as $option => $number) {
                $process = new Process(['edid-decode', $option, (string) $number]);
                $process->mustRun();
                self::assertMatchesRegularExpression(
                    "/ {$mode['px'][0]}x{$mode['px'][1]} +(59|60)\.\d+ Hz/",
                    $process->getOutput(),
                    $mode['name'],
                );
            }
            self::assertNotSame('', $mode['name']);
        }
    }

    private function assertRefused(string $code, string $bytes): void
    {
        try {
            Edid::read($bytes);
            self::fail("$code went through");
        } catch (Refusal $refusal) {
            self::assertSame($code, $refusal->refusalCode);
        }
    }

    private static function decode(string $bytes): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'edid');
        file_put_contents($file, $bytes);
        $process = new Process(['edid-decode', '-s', '-c', '-n', $file]);
        $process->run();
        unlink($file);

        return $process->getOutput().$process->getErrorOutput();
    }

    /** Samples are binary, or text whose first lines are the bytes in hex. */
    private static function bytes(string $content): string
    {
        if (str_starts_with($content, "\0")) {
            return $content;
        }
        preg_match_all('/^(?:[0-9a-f]{2} ){15}[0-9a-f]{2}\s*$/m', $content, $lines);

        return (string) hex2bin((string) preg_replace('/\s/', '', implode('', $lines[0])));
    }

    /**
     * E-EDID 1.4: 1920×1080 at 148.5 MHz (CTA-861 VIC 16), 1209 × 680 mm, named; or another.
     *
     * @param array{int, int} $px
     * @param array{int, int} $blank
     * @param int             $clock in 10 kHz
     * @param array{int, int} $mm
     * @param array{int, int} $cm
     */
    private static function built(
        array $px = [1920, 1080],
        array $blank = [280, 45],
        int $clock = 14_850,
        array $mm = [1209, 680],
        array $cm = [121, 68],
        string $named = 'QUAY PANEL',
    ): string {
        $timing =
            pack('v', $clock).
            pack(
                'C*',
                $px[0] & 255,
                $blank[0] & 255,
                (($px[0] >> 8) << 4) | ($blank[0] >> 8),
                $px[1] & 255,
                $blank[1] & 255,
                (($px[1] >> 8) << 4) | ($blank[1] >> 8),
                88,
                44,
                (4 << 4) | 5,
                0,
                $mm[0] & 255,
                $mm[1] & 255,
                (($mm[0] >> 8) << 4) | ($mm[1] >> 8),
                0,
                0,
                0x1E,
            );
        $name = "\0\0\0\xFC\0".str_pad(substr("$named\n", 0, 13), 13);
        $range = "\0\0\0\xFD\0".pack('C*', 48, 75, 30, 83, 17, 0, 0x0A, 0x20, 0x20, 0x20, 0x20, 0x20, 0x20);
        $dummy = "\0\0\0\x10\0".str_repeat("\0", 13);
        $head =
            "\0\xFF\xFF\xFF\xFF\xFF\xFF\0".
            pack('n', (17 << 10) | (1 << 5) | 25).
            pack('v', 0xBEEF).
            pack('V', 7).
            pack('C*', 10, 30, 1, 4, 0xA5, $cm[0], $cm[1], 120, 0x06);

        return self::summed(
            $head.
                str_repeat("\0", 10).
                str_repeat("\0", 3).
                str_repeat("\1\1", 8).
                $timing.
                $name.
                $range.
                $dummy.
                "\0\0",
        );
    }

    private static function summed(string $bytes): string
    {
        $bytes = substr($bytes, 0, 127);

        return $bytes.chr((256 - (array_sum(array_map(ord(...), str_split($bytes))) % 256)) % 256);
    }
}
