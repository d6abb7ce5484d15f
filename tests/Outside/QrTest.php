<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;
use UpperPane\Core\Legibility\Qr\QrCode;
use UpperPane\Core\Legibility\Qr\QrData;
use UpperPane\Core\Legibility\Qr\QrLevel;

/** QR codes, drawn 3 px to a module, as an independent decoder reads them: zbarimg (Debian zbar-tools). */
final class QrTest extends TestCase
{
    private const SIGNS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ $%*+-./:';

    public function testADecoderReadsEveryVersionAndLevel(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $files = $texts = [];
        foreach (range(1, 40) as $version) {
            $level = QrLevel::cases()[$version % 4];
            $text = self::filling($version, $level, $version % 3, $random);
            $texts[] = $text;
            $files[] = self::drawn(QrCode::of($text, $level), "v$version");
        }
        $own = ['Zoë’s café, 12:45', 'WIFI:T:WPA;S:Harrowmere;P:tide;;', "BEGIN:VCARD\nFN:Wharf\nEND:VCARD", '7'];
        foreach ($own as $text) {
            foreach (QrLevel::cases() as $level) {
                $texts[] = $text;
                $files[] = self::drawn(QrCode::of($text, $level), 'own-'.count($files));
            }
        }
        try {
            foreach ($files as $index => $file) {
                $decoder = new Process(['zbarimg', '-q', '--raw', '-Sbinary', $file]);
                self::assertSame(0, $decoder->run(), "$file: {$texts[$index]}");
                self::assertSame($texts[$index], $decoder->getOutput(), basename($file));
            }
        } finally {
            array_map(unlink(...), $files);
        }
    }

    /** As long as the version still holds it, of digits, signs or letters. */
    private static function filling(int $version, QrLevel $level, int $kind, Randomizer $random): string
    {
        $signs = ['0123456789', self::SIGNS, 'abcdefgh ijklmnopqrstuvwxyz!?;'][$kind];
        $text = '';
        while (strlen($text) < 7000) {
            $longer = $text.self::random($signs, max(1, 2 * $version), $random);
            if ((QrData::of($longer)->size($level)->version ?? 41) > $version) {
                break;
            }
            $text = $longer;
        }

        return $text;
    }

    private static function random(string $signs, int $length, Randomizer $random): string
    {
        return implode('', array_map(
            static fn () => $signs[$random->getInt(0, strlen($signs) - 1)],
            range(1, $length),
        ));
    }

    private static function drawn(QrCode $code, string $name): string
    {
        $image = imagecreatetruecolor(3 * $code->side, 3 * $code->side);
        self::assertNotFalse($image);
        imagefill($image, 0, 0, 0xFFFFFF);
        foreach ($code->rows as $y => $row) {
            foreach (str_split($row) as $x => $module) {
                if ($module === '1') {
                    imagefilledrectangle($image, 3 * $x, 3 * $y, 3 * $x + 2, 3 * $y + 2, 0x000000);
                }
            }
        }
        $file = sys_get_temp_dir()."/upper-pane-qr-$name-".getmypid().'.png';
        imagepng($image, $file);

        return $file;
    }
}
