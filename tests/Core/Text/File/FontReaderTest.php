<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Text\File;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Text\File\FontReader;
use UpperPane\Core\Text\FontFace;
use UpperPane\Tests\Support\TinyFont;

/**
 * A font written in every way of ISO/IEC 14496-22 measures as what it says. Real faces, and the same tiny ones, stand
 * against hb-shape in the suite Outside.
 */
final class FontReaderTest extends TestCase
{
    /** @return iterable<string, array{TinyFont}> */
    public static function fonts(): iterable
    {
        foreach (TinyFont::all() as $name => $font) {
            yield $name => [$font];
        }
    }

    #[DataProvider('fonts')]
    public function testMeasuresWhatTheFontSays(TinyFont $font): void
    {
        $face = FontFace::ofTables('Tiny', 400, 'tiny.ttf', FontReader::tables($font->bytes()));
        // What was the second of a pair that has a value for it is not the first of another (§6.3, GPOS lookup type 2).
        $second = str_ends_with((string) $this->dataName(), ' 4') ? TinyFont::SECOND : 0;
        $skips = !str_ends_with((string) $this->dataName(), ' 0');

        foreach (
            [
                '' => 0,
                'A' => 600,
                'AA' => 1200,
                'AV' => 600 - 80 + 610 + $second,
                'AT' => 600 - 70 + 620 + $second,
                'VA' => 610 - 50 + 600 + $second,
                'To' => 620 - 60 + 630 + $second,
                'oT' => 630 + 620,
                'AVATo' => 600 - 80 + 610 + 600 - 70 + 620 + 630 + ($skips ? 2 * $second : -50 - 60),
                'fi' => 580,
                'ffi' => 870,
                'fffi' => 300 + 870,
                'foi' => 300 + 630 + 310,
                'fiA' => 580 + 600,
                'x' => 870,
                'gA' => 500 + 600,
            ] as $text => $units
        ) {
            self::assertSame($units, $face->widthUnits((string) $text), (string) $text);
            [['from' => $from, 'to' => $to]] = $face->run([(string) $text]);
            self::assertSame($units, $to - $from, "$text, as a piece of a line");
        }
    }

    /** The typographic measures where bit 7 of fsSelection asks for them (§5.2.7), else those of hhea. */
    public function testTakesTheLineMeasuresThatTheFontAsksFor(): void
    {
        $bytes = (new TinyFont())->bytes();
        $tables = FontReader::tables($bytes);
        self::assertSame(
            [1000, 760, 240, 90, 700],
            [
                $tables['units_per_em'],
                $tables['ascender'],
                $tables['descender'],
                $tables['line_gap'],
                $tables['cap_height'],
            ],
        );

        $at = (int) strpos($bytes, pack('n6', 0x80, 0, 0, 760, -240 & 0xFFFF, 90));
        $plain = FontReader::tables(substr_replace($bytes, "\0\0", $at, 2));
        self::assertSame([800, 200, 100], [$plain['ascender'], $plain['descender'], $plain['line_gap']]);

        $face = FontFace::ofTables('Tiny', 400, 'tiny.ttf', $tables);
        self::assertSame([38, 12, 55], [$face->ascentPx(50), $face->descentPx(50), $face->normalLinePx(50)]);
        self::assertSame('35', $face->capHeightPx(50)->plain(3));
    }

    /** @return iterable<string, array{string}> */
    public static function foreign(): iterable
    {
        yield 'nothing' => [''];
        yield 'a picture' => ["\x89PNG\r\n\x1A\n"];
        yield 'a packed web font' => ['wOF2'.str_repeat("\0", 40)];
    }

    #[DataProvider('foreign')]
    public function testRefusesWhatIsNoFont(string $bytes): void
    {
        $this->expectException(\UnexpectedValueException::class);
        FontReader::tables($bytes);
    }
}
