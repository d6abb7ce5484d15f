<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\Shaping;

use UpperPane\Core\Text\File\FontFile;

/**
 * What the subtables of lookups do, as arrays that {@see Shaper} follows (ISO/IEC 14496-22 §6.3): of substitutions all
 * types, of positions those that change an advance. Each has the glyphs it begins at in `covered`.
 *
 * @phpstan-type Wanted list<int|array<int, int>>
 * @phpstan-type Rule array{before: Wanted, glyphs: Wanted, after: Wanted, then: list<array{int, int}>}
 * @phpstan-type Values array<int, array<int, int|array{int, int}>>
 * @phpstan-type Subtable array{
 *     does: string,
 *     covered: array<int, int>,
 *     with?: array<int, list<int>>,
 *     ligatures?: array<int, list<array{glyph: int, rest: list<int>}>>,
 *     instead?: array<int, int>,
 *     before?: Wanted,
 *     after?: Wanted,
 *     by?: string,
 *     classes?: list<array<int, int>>,
 *     rules?: array<int, list<Rule>>,
 *     adds?: array<int, int>,
 *     second?: bool,
 *     pairs?: Values,
 *     one?: array<int, int>,
 *     two?: array<int, int>,
 *     values?: Values,
 * }
 */
final readonly class SubtableReader
{
    public function __construct(private FontFile $file)
    {
    }

    /** @return ?Subtable */
    public function substitution(int $type, int $at): ?array
    {
        return match ($type) {
            1 => $this->single($at),
            2 => $this->replacing($at, fn (int $set) => LayoutTable::list($this->file, $set)),
            // Of alternates, a feature that is only switched on takes the first.
            3 => $this->replacing($at, fn (int $set) => [$this->file->u16($set + 2)]),
            4 => $this->joining($at),
            5, 6 => $this->context($at, $type === 6),
            8 => $this->backwards($at),
            default => null,
        };
    }

    /**
     * @return ?Subtable null for marks, which lie on their bases and take no room, and for the joints of
     *     cursive scripts, whose widths are guesses anyway
     */
    public function position(int $type, int $at): ?array
    {
        return match ($type) {
            1 => $this->advance($at),
            2 => $this->pair($at),
            7, 8 => $this->context($at, $type === 8),
            default => null,
        };
    }

    /** @return array<int, int> */
    private function covered(int $at, int $offsetAt = 2): array
    {
        return LayoutTable::coverage($this->file, $at + $this->file->u16($at + $offsetAt));
    }

    /** @return Subtable */
    private function single(int $at): array
    {
        $covered = $this->covered($at);
        $with = [];
        foreach ($covered as $glyph => $index) {
            $with[$glyph] =
                $this->file->u16($at) === 1
                    ? [($glyph + $this->file->u16($at + 4)) & 0xFFFF]
                    : [$this->file->u16($at + 6 + 2 * $index)];
        }

        return ['does' => 'replace', 'covered' => $covered, 'with' => $with];
    }

    /**
     * @param \Closure(int): list<int> $read what stands in place of each covered glyph, from its offset
     *
     * @return Subtable
     */
    private function replacing(int $at, \Closure $read): array
    {
        $covered = $this->covered($at);
        $set = fn (int $index) => $at + $this->file->u16($at + 6 + 2 * $index);

        return [
            'does' => 'replace',
            'covered' => $covered,
            'with' => array_map(fn (int $index) => $read($set($index)), $covered),
        ];
    }

    /** @return Subtable */
    private function joining(int $at): array
    {
        $covered = $this->covered($at);

        return [
            'does' => 'join',
            'covered' => $covered,
            'ligatures' => array_map(
                fn (int $index) => $this->ligatures($at + $this->file->u16($at + 6 + 2 * $index)),
                $covered,
            ),
        ];
    }

    /** @return list<array{glyph: int, rest: list<int>}> */
    private function ligatures(int $set): array
    {
        return array_map(
            fn (int $offset) => [
                'glyph' => $this->file->u16($set + $offset),
                'rest' => $this->sequence($set + $offset + 2),
            ],
            LayoutTable::list($this->file, $set),
        );
    }

    /** @return list<int> a count that has one more in it than follow */
    private function sequence(int $at): array
    {
        $values = [];
        for ($i = 1, $count = $this->file->u16($at); $i < $count; ++$i) {
            $values[] = $this->file->u16($at + 2 * $i);
        }

        return $values;
    }

    /** @return Subtable */
    private function backwards(int $at): array
    {
        $covered = $this->covered($at);
        [$before, $next] = $this->coverages($at, $at + 4);
        [$after, $next] = $this->coverages($at, $next);

        return [
            'does' => 'backwards',
            'covered' => $covered,
            'before' => $before,
            'after' => $after,
            'instead' => array_map(fn (int $index) => $this->file->u16($next + 2 + 2 * $index), $covered),
        ];
    }

    /**
     * Rules by the coverage index or the class of the first glyph: `before`, `glyphs` (those after the first), `after`;
     * each is a list of glyphs, of classes, or of sets.
     *
     * @return Subtable
     */
    private function context(int $at, bool $chained): array
    {
        $format = $this->file->u16($at);
        if ($format === 3) {
            return $this->contextOfSets($at, $chained);
        }
        $covered = $this->covered($at);
        $classes = [[], [], []];
        if ($format === 2) {
            $offsets = $chained ? [4, 6, 8] : [4, 4, 4];
            // Without a definition all glyphs are of class 0.
            $classes = array_map(
                fn (int $offset) => $this->file->u16($at + $offset) === 0
                    ? []
                    : LayoutTable::classes($this->file, $at + $this->file->u16($at + $offset)),
                $offsets,
            );
        }
        $first = $format === 1 ? 4 : ($chained ? 10 : 6);
        $rules = [];
        foreach (LayoutTable::list($this->file, $at + $first) as $index => $offset) {
            foreach ($offset === 0 ? [] : LayoutTable::list($this->file, $at + $offset) as $rule) {
                $rules[$index][] = $this->rule($at + $offset + $rule, $chained);
            }
        }

        return [
            'does' => 'context',
            'covered' => $covered,
            'by' => $format === 1 ? 'glyph' : 'class',
            'classes' => $classes,
            'rules' => $rules,
        ];
    }

    /** @return Rule */
    private function rule(int $at, bool $chained): array
    {
        $before = [];
        if ($chained) {
            $before = LayoutTable::list($this->file, $at);
            $at += 2 + 2 * count($before);
        }
        $glyphs = $this->sequence($at);
        if (!$chained) {
            return [
                'before' => [],
                'glyphs' => $glyphs,
                'after' => [],
                'then' => $this->then($at + 4 + 2 * count($glyphs), $this->file->u16($at + 2)),
            ];
        }
        $at += 2 + 2 * count($glyphs);
        $after = LayoutTable::list($this->file, $at);
        $at += 2 + 2 * count($after);

        return [
            'before' => $before,
            'glyphs' => $glyphs,
            'after' => $after,
            'then' => $this->then($at + 2, $this->file->u16($at)),
        ];
    }

    /** @return Subtable */
    private function contextOfSets(int $at, bool $chained): array
    {
        $before = $after = [];
        if ($chained) {
            [$before, $next] = $this->coverages($at, $at + 2);
            [$glyphs, $next] = $this->coverages($at, $next);
            [$after, $next] = $this->coverages($at, $next);
            $then = $this->then($next + 2, $this->file->u16($next));
        } else {
            $count = $this->file->u16($at + 2);
            $glyphs = [];
            for ($i = 0; $i < $count; ++$i) {
                $glyphs[] = $this->covered($at, 6 + 2 * $i);
            }
            $then = $this->then($at + 6 + 2 * $count, $this->file->u16($at + 4));
        }

        return [
            'does' => 'context',
            'covered' => $glyphs[0] ?? [],
            'by' => 'set',
            'rules' => [
                [['before' => $before, 'glyphs' => array_slice($glyphs, 1), 'after' => $after, 'then' => $then]],
            ],
        ];
    }

    /** @return array{list<array<int, int>>, int} counted offsets of coverages, and what follows them */
    private function coverages(int $from, int $at): array
    {
        $sets = array_map(
            fn (int $offset) => LayoutTable::coverage($this->file, $from + $offset),
            LayoutTable::list($this->file, $at),
        );

        return [$sets, $at + 2 + 2 * count($sets)];
    }

    /** @return list<array{int, int}> at which of the glyphs, which lookup */
    private function then(int $at, int $count): array
    {
        $then = [];
        for ($i = 0; $i < $count; ++$i) {
            $then[] = [$this->file->u16($at + 4 * $i), $this->file->u16($at + 4 * $i + 2)];
        }

        return $then;
    }

    /** @return Subtable */
    private function advance(int $at): array
    {
        $format = $this->file->u16($at + 4);
        $covered = $this->covered($at);
        $size = self::size($format);

        return [
            'does' => 'advance',
            'covered' => $covered,
            'adds' => array_map(
                fn (int $index) => $this->widening(
                    $this->file->u16($at) === 1 ? $at + 6 : $at + 8 + $size * $index,
                    $format,
                ),
                $covered,
            ),
        ];
    }

    /** @return Subtable */
    private function pair(int $at): array
    {
        [$one, $two] = [$this->file->u16($at + 4), $this->file->u16($at + 6)];
        $size = self::size($one) + self::size($two);
        $read = fn (int $record): int|array => $two === 0
            ? $this->widening($record, $one)
            : [$this->widening($record, $one), $this->widening($record + self::size($one), $two)];
        $covered = $this->covered($at);
        if ($this->file->u16($at) === 1) {
            return [
                'does' => 'pair',
                'second' => $two !== 0,
                'covered' => $covered,
                'pairs' => array_map(
                    fn (int $index) => $this->pairSet($at + $this->file->u16($at + 10 + 2 * $index), $size, $read),
                    $covered,
                ),
            ];
        }
        [$rows, $columns] = [$this->file->u16($at + 12), $this->file->u16($at + 14)];
        $values = [];
        for ($i = 0; $i < $rows; ++$i) {
            $this->file->spend($columns);
            for ($j = 0; $j < $columns; ++$j) {
                $value = $read($at + 16 + ($i * $columns + $j) * $size);
                if ($value !== 0 && $value !== [0, 0]) {
                    $values[$i][$j] = $value;
                }
            }
        }

        return [
            'does' => 'pair',
            'second' => $two !== 0,
            'covered' => $covered,
            'one' => LayoutTable::classes($this->file, $at + $this->file->u16($at + 8)),
            'two' => LayoutTable::classes($this->file, $at + $this->file->u16($at + 10)),
            'values' => $values,
        ];
    }

    /**
     * @param \Closure(int): (int|array{int, int}) $read
     *
     * @return array<int, int|array{int, int}> by second glyph
     */
    private function pairSet(int $at, int $size, \Closure $read): array
    {
        $pairs = [];
        for ($i = 0, $count = $this->file->u16($at); $i < $count; ++$i) {
            $record = $at + 2 + $i * (2 + $size);
            $pairs[$this->file->u16($record)] = $read($record + 2);
        }

        return $pairs;
    }

    /** Bytes of a value record: two for each bit. */
    private static function size(int $format): int
    {
        return 2 * substr_count(decbin($format & 0xFF), '1');
    }

    /** What a value record adds to an advance along the line: bit 4, behind those of bits 1 and 2. */
    private function widening(int $record, int $format): int
    {
        return ($format & 4) === 0 ? 0 : $this->file->i16($record + self::size($format & 3));
    }
}
