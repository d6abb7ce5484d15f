<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\File;

use UpperPane\Core\Text\FontFace;
use UpperPane\Core\Text\Shaping\LayoutTable;
use UpperPane\Core\Text\Shaping\SubtableReader;

/**
 * Compiles an OpenType file into the arrays that measuring needs: characters → glyphs (cmap formats 4 and 12), advances
 * (hmtx), and the lookups of GSUB and GPOS that are on by default. Sections named are those of ISO/IEC 14496-22. A
 * `kern` table (§5.7) is passed over, because Chromium, which draws, passes it over.
 *
 * @phpstan-import-type Lookup from LayoutTable
 *
 * @phpstan-type Tables array{
 *     units_per_em: int,
 *     ascender: int,
 *     descender: int,
 *     line_gap: int,
 *     cap_height: int,
 *     glyphs: array<int, int>,
 *     advances: list<int>,
 *     substituting: array<string, array<string, list<int>>>,
 *     positioning: array<string, array<string, list<int>>>,
 *     makes_fractions: bool,
 *     gsub: array<int, Lookup>,
 *     gpos: array<int, Lookup>,
 *     classes: array<int, int>,
 *     attached: array<int, int>,
 *     mark_sets: list<array<int, int>>,
 * }
 */
final readonly class FontReader
{
    /** Of what {@see tables()} gives, for those who keep it. */
    public const VERSION = 4;

    /** The features that a browser has on by default for simple scripts, as HarfBuzz has. */
    private const SUBSTITUTE = ['ltra', 'ltrm', 'ccmp', 'locl', 'rlig', 'calt', 'clig', 'liga', 'rclt'];
    private const OF_FRACTIONS = ['frac', 'numr', 'dnom'];
    private const POSITION = ['kern', 'dist'];
    private const MARK = 3;
    /** §5.2.2, head. */
    private const LEAST_UNITS = 16;
    private const MOST_UNITS = 16_384;
    private const LAST_CHARACTER = 0x10FFFF;

    private function __construct(private FontFile $file)
    {
    }

    /**
     * @return Tables what {@see FontFace::ofTables()} takes; safe to store as a PHP array file
     *
     * @throws \UnexpectedValueException for what no browser would draw with: a table missing or too short, no units, no
     *     glyphs, characters that do not rise
     */
    public static function tables(string $bytes): array
    {
        $reader = new self(FontFile::ofBytes($bytes));
        $file = $reader->file;
        [$head, $hhea, $os2] = [$file->need('head', 54), $file->need('hhea', 36), $file->need('OS/2', 78)];
        [$units, $count] = [$file->u16($head + 18), $file->u16($file->need('maxp', 6) + 4)];
        if ($units < self::LEAST_UNITS || $units > self::MOST_UNITS || $count === 0) {
            throw new \UnexpectedValueException("A font of $units units per em and $count glyphs cannot be drawn.");
        }
        $useTypo = ($file->u16($os2 + 62) & 0x80) !== 0;
        [$gpos, $gsub] = [LayoutTable::of($file, 'GPOS'), LayoutTable::of($file, 'GSUB')];
        [$substituting, $positioning] = [$gsub->scripts(self::SUBSTITUTE), $gpos->scripts(self::POSITION)];
        $subtables = new SubtableReader($file);
        $glyphs = $reader->characters($count);
        [$classes, $attached, $sets] = $reader->definitions($glyphs);

        return [
            'units_per_em' => $units,
            'ascender' => $useTypo ? $file->i16($os2 + 68) : $file->i16($hhea + 4),
            'descender' => -($useTypo ? $file->i16($os2 + 70) : $file->i16($hhea + 6)),
            'line_gap' => $useTypo ? $file->i16($os2 + 72) : $file->i16($hhea + 8),
            // Before version 2 the table ends without it (§5.2.7).
            'cap_height' => $file->length('OS/2') >= 90 ? $file->i16($os2 + 88) : 0,
            'glyphs' => $glyphs,
            'advances' => $reader->advances($file->u16($hhea + 34), $count),
            'substituting' => $substituting,
            'positioning' => $positioning,
            'makes_fractions' => array_filter($gsub->scripts(self::OF_FRACTIONS)) !== [],
            'gsub' => $gsub->lookups(self::named($substituting), 7, $subtables->substitution(...)),
            'gpos' => $gpos->lookups(self::named($positioning), 9, $subtables->position(...)),
            'classes' => $classes,
            'attached' => $attached,
            'mark_sets' => $sets,
        ];
    }

    /**
     * @param int $count of glyphs in the font; none beyond it is taken
     *
     * @return array<int, int> code point → glyph (§5.2.1)
     */
    private function characters(int $count): array
    {
        $cmap = $this->file->need('cmap', 4);
        $best = null;
        for ($i = 0, $tables = $this->file->u16($cmap + 2); $i < $tables; ++$i) {
            $offset = $this->file->u32($cmap + 4 + 8 * $i + 4);
            if ($offset + 2 > $this->file->length('cmap')) {
                throw new \UnexpectedValueException('A table of characters lies beyond its end.');
            }
            $subtable = $cmap + $offset;
            $format = $this->file->u16($subtable);
            if ($format === 12 || ($format === 4 && $best === null)) {
                $best = $subtable;
            }
        }
        $glyphs = match ($best === null ? 0 : $this->file->u16($best)) {
            12 => $this->groups((int) $best, $count),
            4 => $this->segments((int) $best),
            default => [],
        };

        return array_filter($glyphs, static fn (int $glyph) => $glyph < $count);
    }

    /** @return array<int, int> */
    private function groups(int $subtable, int $most): array
    {
        $glyphs = [];
        $next = 0;
        for ($i = 0, $count = $this->file->u32($subtable + 12); $i < $count; ++$i) {
            $group = $subtable + 16 + 12 * $i;
            [$first, $last, $glyph] = [
                $this->file->u32($group),
                $this->file->u32($group + 4),
                $this->file->u32($group + 8),
            ];
            if ($first < $next || $last < $first || $last > self::LAST_CHARACTER || $glyph + $last - $first >= $most) {
                throw new \UnexpectedValueException('The groups of characters do not rise, or name no glyphs.');
            }
            $this->file->spend($last - $first);
            for ($code = $first; $code <= $last; ++$code) {
                $glyphs[$code] = $glyph + $code - $first;
            }
            $next = $last + 1;
        }

        return $glyphs;
    }

    /** @return array<int, int> */
    private function segments(int $subtable): array
    {
        $glyphs = [];
        $twice = $this->file->u16($subtable + 6);
        // Some of large fonts are longer than their length can say: then it is not asked.
        if ($twice % 2 !== 0 || $twice === 0 || $this->file->u16($subtable + 12 + $twice) !== 0xFFFF) {
            throw new \UnexpectedValueException('The segments of characters do not end where they should.');
        }
        for ($i = 0; $i < $twice; $i += 2) {
            $last = $this->file->u16($subtable + 14 + $i);
            $first = $this->file->u16($subtable + 16 + $twice + $i);
            $delta = $this->file->u16($subtable + 16 + 2 * $twice + $i);
            $rangeAt = $subtable + 16 + 3 * $twice + $i;
            $range = $this->file->u16($rangeAt);
            $this->file->spend(max(0, $last - $first));
            for ($code = $first; $code <= min($last, 0xFFFE); ++$code) {
                $glyph = $range === 0 ? $code : $this->file->u16($rangeAt + $range + 2 * ($code - $first));
                if ($glyph !== 0) {
                    $glyphs[$code] = ($glyph + $delta) & 0xFFFF;
                }
            }
        }

        return $glyphs;
    }

    /** @return list<int> advance by glyph; the last one stands for all that follow (§5.2.8) */
    private function advances(int $count, int $most): array
    {
        if ($count < 1 || $count > $most) {
            throw new \UnexpectedValueException("The font has $count advances for $most glyphs.");
        }
        $hmtx = $this->file->need('hmtx', 4 * $count);

        return array_map(fn (int $glyph) => $this->file->u16($hmtx + 4 * $glyph), range(0, $count - 1));
    }

    /**
     * What glyphs are (§6.3, GDEF); a font that does not say has its marks by their characters, as HarfBuzz has them.
     *
     * @param array<int, int> $glyphs
     *
     * @return array{array<int, int>, array<int, int>, list<array<int, int>>} classes, classes of where marks attach,
     *     sets of marks
     */
    private function definitions(array $glyphs): array
    {
        $gdef = $this->file->tables['GDEF'] ?? null;
        $at = fn (int $offset): ?int => $gdef === null || $this->file->u16($gdef + $offset) === 0
            ? null
            : $gdef + $this->file->u16($gdef + $offset);
        [$classes, $attached] = [$at(4), $at(10)];
        $sets = $gdef !== null && $this->file->u32($gdef) >= 0x10002 ? $at(12) : null;
        $marks = array_filter(
            $glyphs,
            static fn (int $code) => \IntlChar::charType($code) === \IntlChar::CHAR_CATEGORY_NON_SPACING_MARK,
            \ARRAY_FILTER_USE_KEY,
        );

        return [
            $classes === null
                ? array_fill_keys($marks, self::MARK)
                : LayoutTable::classes($this->file, $classes),
            $attached === null ? [] : LayoutTable::classes($this->file, $attached),
            $sets === null
                ? []
                : array_map(
                    fn (int $i) => LayoutTable::coverage($this->file, $sets + $this->file->u32($sets + 4 + 4 * $i)),
                    array_keys(array_fill(0, $this->file->u16($sets + 2), 0)),
                ),
        ];
    }

    /**
     * @param array<string, array<string, list<int>>> $scripts
     *
     * @return list<int>
     */
    private static function named(array $scripts): array
    {
        $features = array_merge([], ...array_map(array_values(...), array_values($scripts)));

        return array_values(array_unique(array_merge([], ...$features)));
    }
}
