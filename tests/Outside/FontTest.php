<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Text\File\FontFacts;
use UpperPane\Tests\Support\Chromium;
use UpperPane\Tests\Support\TestFonts;

/** Fonts that are broken in one place each, against Debian's Chromium: what it will not load is not taken. */
final class FontTest extends TestCase
{
    /** Where in a table a number of two bytes stands, and what it cannot be (ISO/IEC 14496-22 §5.2). */
    private const WRONG = [
        'head' => [[0, 7], [12, 0], [18, 0], [18, 15], [18, 16_385], [50, 2], [52, 1]],
        'hhea' => [[0, 7], [32, 1], [34, 0], [34, 0xFFFF]],
        'maxp' => [[0, 7], [4, 0]],
        'cmap' => [[2, 0]],
        'post' => [[0, 9]],
    ];
    private const AT_RANDOM = 60;

    public function testTakesNoFontThatChromiumRefuses(): void
    {
        $fonts = iterator_to_array(self::broken(), true);
        self::assertGreaterThan(100, count($fonts));
        $browser = Chromium::open();
        $browser->get('about:blank');
        try {
            $loads = [];
            foreach (array_chunk($fonts, 20, true) as $some) {
                $loads += array_combine(array_keys($some), $browser->executeAsyncScript(
                    <<<'JS'
                    const [fonts, done] = arguments
                    Promise.all(fonts.map((data) =>
                      new FontFace('probe', Uint8Array.from(atob(data), (c) => c.charCodeAt(0))).load()
                        .then(() => true, () => false))).then(done)
                    JS
                    ,
                    [array_values(array_map(base64_encode(...), $some))],
                ));
            }
        } finally {
            $browser->quit();
        }
        $taken = array_map(static function (string $font): bool {
            try {
                return FontFacts::of($font)->glyphs > 0;
            } catch (Refusal) {
                return false;
            }
        }, $fonts);

        self::assertTrue($loads['whole'] && $taken['whole']);
        self::assertGreaterThan(20, count(array_filter($loads, static fn (bool $one) => !$one)), 'enough are refused');
        self::assertSame([], array_keys(array_filter(
            $taken,
            static fn (bool $one, string $name) => $one && !$loads[$name],
            \ARRAY_FILTER_USE_BOTH,
        )), 'taken here, refused there');
    }

    /** A cmap whose one group is all characters there are takes neither the time nor the memory that it asks for. */
    public function testAsksForNoMoreThanAFontNeeds(): void
    {
        $font = self::font();
        $cmap = pack('n4N', 0, 1, 3, 10, 12).pack('n2N3', 12, 0, 28, 0, 1).pack('N3', 32, 0xFFFFFFFF, 1);
        $before = memory_get_peak_usage();
        try {
            FontFacts::of(self::with($font, 'cmap', $cmap));
            self::fail('it was taken');
        } catch (Refusal $refusal) {
            self::assertSame('stock.font_broken', $refusal->refusalCode);
        }
        self::assertLessThan(64 << 20, memory_get_peak_usage() - $before);
    }

    /** The weight class goes from 1 to 1000 (ISO/IEC 14496-22, OS/2); a face is sorted among 100 to 900. */
    public function testSortsAFaceByItsWeight(): void
    {
        $font = self::font();
        $at = self::directory($font)['OS/2'][1] + 4;
        foreach ([1 => 100, 99 => 100, 100 => 100, 350 => 350, 900 => 900, 1000 => 900] as $class => $weight) {
            self::assertSame($weight, FontFacts::of(substr_replace($font, pack('n', $class), $at, 2))->weight);
        }
    }

    /** @return iterable<string, string> */
    private static function broken(): iterable
    {
        $font = self::font();
        yield 'whole' => $font;
        $tables = self::directory($font);
        foreach ($tables as $tag => [$record, $offset, $length]) {
            yield "without $tag" => substr_replace($font, 'zzzz', $record, 4);
            yield "$tag beyond the end" => substr_replace($font, pack('N', strlen($font) - 2), $record + 8, 4);
            yield "$tag of 2 bytes" => substr_replace($font, pack('N', 2), $record + 12, 4);
        }
        foreach (self::WRONG as $tag => $places) {
            foreach ($places as [$at, $value]) {
                yield "$tag: $value at $at" => substr_replace($font, pack('n', $value), $tables[$tag][1] + $at, 2);
            }
        }
        $random = new Randomizer(new Mt19937(12));
        for ($number = 0; $number < self::AT_RANDOM; ++$number) {
            $tag = ['head', 'hhea', 'maxp', 'cmap', 'OS/2', 'loca', 'hmtx', 'post', 'name'][$number % 9];
            [, $offset, $length] = $tables[$tag];
            $at = $offset + $random->getInt(0, min(100, $length - 1));
            $byte = $random->getInt(0, 255);
            yield "$tag at random, $number: $byte at ".($at - $offset) => substr_replace($font, chr($byte), $at, 1);
        }
    }

    private static function font(): string
    {
        return (string) file_get_contents(TestFonts::path('Comfortaa', 700));
    }

    /** @return array<string, array{int, int, int}> by tag: where its record, where the table lies, how long it is */
    private static function directory(string $font): array
    {
        $tables = [];
        for ($i = 0, $count = unpack('n', $font, 4)[1] ?? 0; $i < $count; ++$i) {
            $record = 12 + 16 * $i;
            ['o' => $offset, 'l' => $length] = unpack('No/Nl', $font, $record + 8) ?: ['o' => 0, 'l' => 0];
            $tables[substr($font, $record, 4)] = [$record, $offset, $length];
        }

        return $tables;
    }

    /** With another table in the place of one, at the end. */
    private static function with(string $font, string $tag, string $table): string
    {
        $font = str_pad($font, strlen($font) + (-strlen($font) & 3), "\0");
        $at = pack('N2', strlen($font), strlen($table));

        return substr_replace($font, $at, self::directory($font)[$tag][0] + 8, 8).$table;
    }
}
