<?php

declare(strict_types=1);

namespace UpperPane\Core\Text;

/**
 * Compiles an OpenType file into the arrays that measuring needs: characters → glyphs (cmap formats 4 and 12), advances
 * (hmtx), pair kerning (GPOS lookup 2 and its extension 9) and default ligatures (GSUB lookup 4 and its extension 7) of
 * the Latin script's default language; and where a browser may do more than that. Sections named are those of
 * ISO/IEC 14496-22.
 */
final readonly class FontReader
{
    /** Of what {@see tables()} gives, for those who keep it. */
    public const VERSION = 2;

    private function __construct(private FontFile $file)
    {
    }

    /** @return array<string, mixed> what {@see FontFace::ofTables()} takes; safe to store as a PHP array file */
    public static function tables(string $bytes): array
    {
        $reader = new self(FontFile::ofBytes($bytes));
        $file = $reader->file;
        $head = $file->tables['head'];
        $hhea = $file->tables['hhea'];
        $os2 = $file->tables['OS/2'];
        $useTypo = ($file->u16($os2 + 62) & 0x80) !== 0;
        [$gpos, $gsub] = [LayoutTable::of($file, 'GPOS'), LayoutTable::of($file, 'GSUB')];
        $kern = $gpos->lookups(['kern'], 2, 9);

        return [
            'units_per_em' => $file->u16($head + 18),
            'ascender' => $useTypo ? $file->i16($os2 + 68) : $file->i16($hhea + 4),
            'descender' => -($useTypo ? $file->i16($os2 + 70) : $file->i16($hhea + 6)),
            'line_gap' => $useTypo ? $file->i16($os2 + 72) : $file->i16($hhea + 8),
            'cap_height' => $file->i16($os2 + 88),
            'glyphs' => $reader->characters(),
            'advances' => $reader->advances($file->u16($hhea + 34)),
            'pairs' => array_map(fn (array $tables) => array_map($reader->pairTable(...), $tables), $kern),
            'widens_second' => array_filter(array_merge(...$kern), fn (int $at) => $file->u16($at + 6) !== 0) !== [],
            'ligatures' => array_map(
                fn (array $tables) => array_map($reader->ligatureTable(...), $tables),
                $gsub->lookups(['liga', 'clig', 'rlig'], 4, 7),
            ),
            'contextual' => $reader->contextual($gsub),
        ];
    }

    /** @return array<int, int> code point → glyph (§5.2.1) */
    private function characters(): array
    {
        $cmap = $this->file->tables['cmap'];
        $best = null;
        for ($i = 0, $count = $this->file->u16($cmap + 2); $i < $count; ++$i) {
            $subtable = $cmap + $this->file->u32($cmap + 4 + 8 * $i + 4);
            $format = $this->file->u16($subtable);
            if ($format === 12 || ($format === 4 && $best === null)) {
                $best = $subtable;
            }
        }

        return match ($best === null ? 0 : $this->file->u16($best)) {
            12 => $this->groups((int) $best),
            4 => $this->segments((int) $best),
            default => [],
        };
    }

    /** @return array<int, int> */
    private function groups(int $subtable): array
    {
        $glyphs = [];
        for ($i = 0, $count = $this->file->u32($subtable + 12); $i < $count; ++$i) {
            $group = $subtable + 16 + 12 * $i;
            [$first, $last, $glyph] = [
                $this->file->u32($group),
                $this->file->u32($group + 4),
                $this->file->u32($group + 8),
            ];
            for ($code = $first; $code <= $last; ++$code) {
                $glyphs[$code] = $glyph + $code - $first;
            }
        }

        return $glyphs;
    }

    /** @return array<int, int> */
    private function segments(int $subtable): array
    {
        $glyphs = [];
        $twice = $this->file->u16($subtable + 6);
        for ($i = 0; $i < $twice; $i += 2) {
            $last = $this->file->u16($subtable + 14 + $i);
            $first = $this->file->u16($subtable + 16 + $twice + $i);
            $delta = $this->file->u16($subtable + 16 + 2 * $twice + $i);
            $rangeAt = $subtable + 16 + 3 * $twice + $i;
            $range = $this->file->u16($rangeAt);
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
    private function advances(int $count): array
    {
        $hmtx = $this->file->tables['hmtx'];

        return array_map(fn (int $glyph) => $this->file->u16($hmtx + 4 * $glyph), range(0, $count - 1));
    }

    /**
     * One pair adjustment subtable (§6.3, GPOS lookup type 2, formats 1 and 2): only the first glyph's advance is kept,
     * because horizontal kerning says no more.
     *
     * @return array<string, mixed>
     */
    private function pairTable(int $at): array
    {
        $firstFormat = $this->file->u16($at + 4);
        $firstSize = 2 * substr_count(decbin($firstFormat), '1');
        $secondSize = 2 * substr_count(decbin($this->file->u16($at + 6)), '1');
        $advanceAt = ($firstFormat & 4) === 0 ? null : 2 * substr_count(decbin($firstFormat & 3), '1');
        $covered = LayoutTable::coverage($this->file, $at + $this->file->u16($at + 2));
        $advance = fn (int $record) => $advanceAt === null ? 0 : $this->file->i16($record + $advanceAt);
        if ($this->file->u16($at) === 1) {
            return [
                'pairs' => array_map(
                    fn (int $index) => $this->pairSet(
                        $at + $this->file->u16($at + 10 + 2 * $index),
                        $firstSize + $secondSize,
                        $advance,
                    ),
                    $covered,
                ),
            ];
        }
        $secondClasses = $this->file->u16($at + 14);
        $values = [];
        for ($i = 0, $count = $this->file->u16($at + 12); $i < $count; ++$i) {
            for ($j = 0; $j < $secondClasses; ++$j) {
                $values[$i][$j] = $advance($at + 16 + ($i * $secondClasses + $j) * ($firstSize + $secondSize));
            }
        }

        return [
            'covered' => array_map(static fn () => true, $covered),
            'first' => LayoutTable::classes($this->file, $at + $this->file->u16($at + 8)),
            'second' => LayoutTable::classes($this->file, $at + $this->file->u16($at + 10)),
            'values' => array_map(static fn (array $row) => array_filter($row), $values),
        ];
    }

    /**
     * @param \Closure(int): int $advance
     *
     * @return array<int, int> second glyph → advance
     */
    private function pairSet(int $at, int $valueSize, \Closure $advance): array
    {
        $pairs = [];
        for ($i = 0, $count = $this->file->u16($at); $i < $count; ++$i) {
            $record = $at + 2 + $i * (2 + $valueSize);
            $pairs[$this->file->u16($record)] = $advance($record + 2);
        }

        return $pairs;
    }

    /**
     * @return array<int, list<array{glyph: int, rest: list<int>}>> first glyph → ligatures in the font's order (§6.3,
     *     GSUB lookup type 4)
     */
    private function ligatureTable(int $at): array
    {
        return array_map(function (int $index) use ($at) {
            $set = $at + $this->file->u16($at + 6 + 2 * $index);
            $ligatures = [];
            foreach (LayoutTable::list($this->file, $set) as $offset) {
                $ligature = $set + $offset;
                $rest = [];
                for ($i = 1, $count = $this->file->u16($ligature + 2); $i < $count; ++$i) {
                    $rest[] = $this->file->u16($ligature + 2 + 2 * $i);
                }
                $ligatures[] = ['glyph' => $this->file->u16($ligature), 'rest' => $rest];
            }

            return $ligatures;
        }, LayoutTable::coverage($this->file, $at + $this->file->u16($at + 2)));
    }

    /**
     * The glyphs that contextual alternates begin at, in any script (§6.3, GSUB lookup types 5 and 6): what they do is
     * not read, only that they may do something.
     *
     * @return array<int, true>
     */
    private function contextual(LayoutTable $gsub): array
    {
        $covered = [];
        foreach ([5, 6] as $type) {
            foreach (array_merge(...$gsub->lookups(['calt', 'rclt'], $type, 7, true)) as $at) {
                $coverages = $this->file->u16($at) !== 3 ? $at + 2 : $at + ($type === 5 ? 6 : $this->inputAt($at));
                $covered += LayoutTable::coverage($this->file, $at + $this->file->u16($coverages));
            }
        }

        return array_map(static fn () => true, $covered);
    }

    /** Where a chained context of format 3 has its first input coverage: behind the backtrack's and two counts. */
    private function inputAt(int $at): int
    {
        return 2 + 2 + 2 * $this->file->u16($at + 2) + 2;
    }
}
