<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

/**
 * An OpenType font of ten glyphs, laid out by hand after ISO/IEC 14496-22, in each of the ways in which the standard
 * lets the same things be written: characters, coverage, classes, pairs, ligatures, with and without extension lookups.
 */
final readonly class TinyFont
{
    /** Glyph by character; 7 is “fi”, 8 “ffi”, and 9 has no advance of its own: the last one counts (§5.2.8). */
    public const GLYPHS = ['A' => 1, 'T' => 2, 'V' => 3, 'f' => 4, 'i' => 5, 'o' => 6, 'x' => 9];
    public const ADVANCES = [500, 600, 620, 610, 300, 310, 630, 580, 870];
    public const UNITS_PER_EM = 1000;

    /** First glyph → second glyph → what is added to the first one's advance. */
    public const PAIRS = [1 => [2 => -70, 3 => -80], 2 => [6 => -60], 3 => [1 => -50]];

    /** What a pair adds to its second glyph's advance, in a font that says so. */
    public const SECOND = 11;

    /**
     * @param int $valueFormat what a pair's first value holds: bits of 1 (x), 2 (y) and 4 (advance), §6.3.3.4
     * @param int $second      the same of its second value
     */
    public function __construct(
        private bool $cmap12 = false,
        private bool $ranges = false,
        private bool $byClass = false,
        private bool $extension = false,
        private int $valueFormat = 4,
        private int $second = 0,
        private string $script = 'latn',
    ) {
    }

    /** @return iterable<string, self> every way, and some of the values */
    public static function all(): iterable
    {
        for ($bits = 0; $bits < 16; ++$bits) {
            [$cmap12, $ranges, $byClass, $extension] = array_map(
                static fn (int $bit) => (bool) ($bits & $bit),
                [1, 2, 4, 8],
            );
            foreach ([[4, 0], [5, 1], [7, 4]] as [$first, $second]) {
                $name = sprintf('cmap %d, ranges %d, classes %d, extension %d', $cmap12, $ranges, $byClass, $extension);
                yield "$name, values $first $second" => new self(
                    $cmap12,
                    $ranges,
                    $byClass,
                    $extension,
                    $first,
                    $second,
                    $bits % 3 === 0 ? 'DFLT' : 'latn',
                );
            }
        }
    }

    public function bytes(): string
    {
        $tables = [
            'GPOS' => $this->layout('kern', 2, 9, $this->byClass ? $this->classPairs() : $this->listedPairs()),
            'GSUB' => $this->layout('liga', 4, 7, $this->ligatures()),
            'OS/2' => self::u16(4, ...array_fill(0, 30, 0)).self::u16(0x80, 0, 0, 760, -240, 90).str_repeat("\0", 12).
                self::u16(500, 700, 0, 0x20, 1),
            'cmap' => self::u16(0, 1, 3, 1).self::u32(12).($this->cmap12 ? self::groups() : self::segments()),
            'head' => self::u32(0x10000, 0, 0, 0x5F0F3CF5).self::u16(0, self::UNITS_PER_EM).str_repeat("\0", 34),
            'hhea' => self::u16(1, 0, 800, -200, 100).str_repeat("\0", 24).self::u16(count(self::ADVANCES)),
            'hmtx' => implode('', array_map(static fn (int $px) => self::u16($px, 0), self::ADVANCES)).self::u16(0),
            'maxp' => self::u32(0x5000).self::u16(10),
        ];
        $directory = '';
        $body = '';
        foreach ($tables as $tag => $table) {
            $directory .= $tag.self::u32(0, 12 + 16 * count($tables) + strlen($body), strlen($table));
            $body .= str_pad($table, strlen($table) + (-strlen($table) & 3), "\0");
        }

        return self::u32(0x10000).self::u16(count($tables), 0, 0, 0).$directory.$body;
    }

    /** One script with one feature with one lookup: header, ScriptList, FeatureList, LookupList (§6.2). */
    private function layout(string $feature, int $type, int $extensionType, string $subtable): string
    {
        $script = self::u16(4, 0).self::u16(0, 0xFFFF, 1, 0);
        $scripts = self::u16(1).$this->script.self::u16(8).$script;
        $features = self::u16(1).$feature.self::u16(8).self::u16(0, 1, 0);
        $subtable = $this->extension ? self::u16(1, $type).self::u32(8).$subtable : $subtable;
        $lookups = self::u16(1, 4).self::u16($this->extension ? $extensionType : $type, 0, 1, 8).$subtable;

        return self::u16(1, 0, 10, 10 + strlen($scripts), 10 + strlen($scripts.$features)).
            $scripts.$features.$lookups;
    }

    private function listedPairs(): string
    {
        $at = 10 + 2 * count(self::PAIRS);
        $sets = $offsets = '';
        foreach (self::PAIRS as $pairs) {
            $offsets .= self::u16($at + strlen($sets));
            $sets .= self::u16(count($pairs));
            foreach ($pairs as $second => $units) {
                $sets .= self::u16($second).$this->values($units);
            }
        }

        return self::u16(1, $at + strlen($sets), $this->valueFormat, $this->second, count(self::PAIRS)).
            $offsets.$sets.$this->coverage(array_keys(self::PAIRS));
    }

    /** Each first glyph and each second one is a class of its own; class 0 is everything else. */
    private function classPairs(): string
    {
        $seconds = [1, 2, 3, 6];
        $values = '';
        foreach ([0, 1, 2, 3] as $first) {
            foreach ([0, ...$seconds] as $second) {
                $values .= $this->values(self::PAIRS[$first][$second] ?? 0);
            }
        }
        [$firstClasses, $secondClasses] = [$this->classes([1, 2, 3]), $this->classes($seconds)];
        $at = 16 + strlen($values);
        $header = self::u16(2, $at + strlen($firstClasses.$secondClasses), $this->valueFormat, $this->second);
        $offsets = self::u16($at, $at + strlen($firstClasses), 4, 1 + count($seconds));

        return $header.$offsets.$values.$firstClasses.$secondClasses.$this->coverage([1, 2, 3]);
    }

    /** A pair's two values: x, y and advance as the formats ask for them; noise where the reader must not look. */
    private function values(int $units): string
    {
        $parts = [];
        foreach ([[$this->valueFormat, $units], [$this->second, self::SECOND]] as [$format, $advance]) {
            foreach ([1 => 33, 2 => 44, 4 => $advance] as $bit => $value) {
                if (($format & $bit) !== 0) {
                    $parts[] = $units !== 0 ? $value : 0;
                }
            }
        }

        return self::u16(...$parts);
    }

    /** “ffi” before “fi”: the first in the font's order wins (§6.3, GSUB lookup type 4). */
    private function ligatures(): string
    {
        $set = self::u16(2, 6, 14).self::u16(8, 3, 4, 5).self::u16(7, 2, 5);

        return self::u16(1, 8 + strlen($set), 1, 8).$set.$this->coverage([4]);
    }

    /** @param list<int> $glyphs in order */
    private function coverage(array $glyphs): string
    {
        if (!$this->ranges) {
            return self::u16(1, count($glyphs), ...$glyphs);
        }

        return self::u16(2, 1, $glyphs[0], $glyphs[count($glyphs) - 1], 0);
    }

    /** @param list<int> $glyphs in order, the first of class 1, the next of class 2 and so on */
    private function classes(array $glyphs): string
    {
        if (!$this->ranges) {
            $all = array_map(
                static fn (int $glyph) => (int) array_search($glyph, [0, ...$glyphs], true),
                range($glyphs[0], $glyphs[count($glyphs) - 1]),
            );

            return self::u16(1, $glyphs[0], count($all), ...$all);
        }
        $ranges = array_map(static fn (int $i) => self::u16($glyphs[$i], $glyphs[$i], $i + 1), array_keys($glyphs));

        return self::u16(2, count($glyphs)).implode('', $ranges);
    }

    private static function groups(): string
    {
        $groups = '';
        foreach (self::GLYPHS as $character => $glyph) {
            $groups .= self::u32(ord($character), ord($character), $glyph);
        }

        return self::u16(12, 0).self::u32(16 + strlen($groups), 0, count(self::GLYPHS)).$groups;
    }

    /** A, T, V by their difference, f…x by a list of glyphs in which those that are missing are 0. */
    private static function segments(): string
    {
        $codes = ['A', 'T', 'V'];
        $list = array_map(static fn (int $code) => self::GLYPHS[chr($code)] ?? 0, range(ord('f'), ord('x')));
        $ends = [...array_map(ord(...), $codes), ord('x'), 0xFFFF];
        $starts = [...array_map(ord(...), $codes), ord('f'), 0xFFFF];
        $deltas = [...array_map(static fn (string $code) => self::GLYPHS[$code] - ord($code), $codes), 0, 1];
        $body = self::u16(2 * count($ends), 8, 2, 2, ...$ends).self::u16(0, ...$starts).self::u16(...$deltas).
            self::u16(0, 0, 0, 4, 0).self::u16(...$list);

        return self::u16(4, 6 + strlen($body), 0).$body;
    }

    private static function u16(int ...$values): string
    {
        return pack('n*', ...array_map(static fn (int $value) => $value & 0xFFFF, $values));
    }

    private static function u32(int ...$values): string
    {
        return pack('N*', ...$values);
    }
}
