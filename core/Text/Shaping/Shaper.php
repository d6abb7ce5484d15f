<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\Shaping;

/**
 * Glyphs of one script, substituted and spaced by a font's lookups (ISO/IEC 14496-22 §6.2, in the order that HarfBuzz
 * keeps, against which it is checked).
 *
 * @phpstan-import-type Lookup from LayoutTable
 * @phpstan-import-type Subtable from SubtableReader
 * @phpstan-import-type Tables from \UpperPane\Core\Text\File\FontReader
 */
final class Shaper
{
    private const BASE = 1;
    private const LIGATURE = 2;
    private const MARK = 3;
    private const DEEPEST = 6;
    /** Flags of a lookup by which it passes over glyphs (OpenType 1.9, chapter 2: LookupFlag). */
    private const PASSING = 0xFF1E;

    /** @var array<int, Lookup> */
    private array $lookups = [];
    /** @var array<int, int> in order */
    private array $advances = [];

    /**
     * @param array<int, int>             $classes  what a glyph is: base, ligature, mark (§6.3, GDEF)
     * @param array<int, int>             $attached class of marks by where they attach
     * @param array<int, array<int, int>> $markSets
     * @param array<int, int>             $glyphs   in order
     * @param array<int, int>             $places   where in the text each glyph is from
     */
    private function __construct(
        private readonly array $classes,
        private readonly array $attached,
        private readonly array $markSets,
        private array $glyphs,
        private array $places,
    ) {
    }

    /**
     * @param Tables    $tables
     * @param list<int> $glyphs
     * @param list<int> $places where in the text each glyph is from
     * @param list<int> $gsub   lookups to apply
     * @param list<int> $gpos
     *
     * @return array{array<int, int>, array<int, int>} advances in font units, and the place of each
     */
    public static function advances(array $tables, array $glyphs, array $places, array $gsub, array $gpos): array
    {
        $shaper = new self($tables['classes'], $tables['attached'], $tables['mark_sets'], $glyphs, $places);
        $shaper->lookups = $tables['gsub'];
        $shaper->all($gsub);
        $widths = $tables['advances'];
        $last = count($widths) - 1;
        $shaper->advances = array_map(static fn (int $glyph) => $widths[min($glyph, $last)], $shaper->glyphs);
        $shaper->lookups = $tables['gpos'];
        $shaper->all($gpos);
        foreach ($shaper->glyphs as $index => $glyph) {
            if (($shaper->classes[$glyph] ?? 0) === self::MARK) {
                $shaper->advances[$index] = 0;
            }
        }

        return [$shaper->advances, $shaper->places];
    }

    /** @param list<int> $indexes */
    private function all(array $indexes): void
    {
        $there = null;
        foreach ($indexes as $index) {
            $lookup = $this->lookups[$index];
            $there ??= array_flip($this->glyphs);
            if (array_intersect_key($there, $lookup['covered']) === []) {
                continue;
            }
            $there = null;
            if ($lookup['backwards']) {
                for ($at = count($this->glyphs) - 1; $at >= 0; --$at) {
                    $this->apply($lookup, $at, 0);
                }
                continue;
            }
            for ($at = 0; isset($this->glyphs[$at]);) {
                // Most glyphs are not spoken of: not even a call is made for them.
                $at = isset($lookup['covered'][$this->glyphs[$at]])
                    ? $this->apply($lookup, $at, 0) ?? $at + 1
                    : $at + 1;
            }
        }
    }

    /**
     * @param Lookup $lookup
     *
     * @return ?int where to go on; null when nothing was done
     */
    private function apply(array $lookup, int $at, int $depth): ?int
    {
        $glyph = $this->glyphs[$at];
        if (!isset($lookup['covered'][$glyph]) || $this->passesOver($lookup, $glyph)) {
            return null;
        }
        foreach ($lookup['subtables'] as $subtable) {
            if (!isset($subtable['covered'][$glyph])) {
                continue;
            }
            $next = match ($subtable['does']) {
                'pair' => $this->pair($lookup, $subtable, $at),
                'join' => $this->join($lookup, $subtable['ligatures'][$glyph] ?? [], $at),
                'replace' => $this->replace($at, $subtable['with'][$glyph] ?? [$glyph]),
                'context' => $this->context($lookup, $subtable, $at, $depth),
                'backwards' => $this->backwards($lookup, $subtable, $at),
                'advance' => $this->widen($at, $subtable['adds'][$glyph] ?? 0),
                default => null,
            };
            if ($next !== null) {
                return $next;
            }
        }

        return null;
    }

    /** @param Lookup $lookup */
    private function passesOver(array $lookup, int $glyph): bool
    {
        $flags = $lookup['flags'];
        if (($flags & self::PASSING) === 0) {
            return false;
        }
        $class = $this->classes[$glyph] ?? 0;

        return match ($class) {
            self::BASE => ($flags & 2) !== 0,
            self::LIGATURE => ($flags & 4) !== 0,
            self::MARK => ($flags & 8) !== 0
                || (($flags & 0x10) !== 0 && !isset($this->markSets[$lookup['marks'] ?? 0][$glyph]))
                || (($flags & 0x10) === 0 && $flags >> 8 !== 0 && ($this->attached[$glyph] ?? 0) !== $flags >> 8),
            default => false,
        };
    }

    /** @param Lookup $lookup */
    private function after(array $lookup, int $at, int $step = 1): ?int
    {
        if (($lookup['flags'] & self::PASSING) === 0) {
            return isset($this->glyphs[$at + $step]) ? $at + $step : null;
        }
        do {
            $at += $step;
        } while (isset($this->glyphs[$at]) && $this->passesOver($lookup, $this->glyphs[$at]));

        return isset($this->glyphs[$at]) ? $at : null;
    }

    /** @param list<int> $with */
    private function replace(int $at, array $with): int
    {
        $count = count($with);
        if ($count === 1) {
            $this->glyphs[$at] = $with[0];

            return $at + 1;
        }
        array_splice($this->glyphs, $at, 1, $with);
        array_splice($this->places, $at, 1, array_fill(0, $count, $this->places[$at]));

        return $at + $count;
    }

    private function widen(int $at, int $by): int
    {
        $this->advances[$at] += $by;

        return $at + 1;
    }

    /**
     * @param Lookup $lookup
     * @param Subtable $subtable
     */
    private function pair(array $lookup, array $subtable, int $at): ?int
    {
        $second = $this->after($lookup, $at);
        if ($second === null) {
            return null;
        }
        [$one, $two] = [$this->glyphs[$at], $this->glyphs[$second]];
        $values = $subtable['values'] ?? [];
        $value = isset($subtable['pairs'])
            ? $subtable['pairs'][$one][$two] ?? null
            : $values[$subtable['one'][$one] ?? 0][$subtable['two'][$two] ?? 0] ?? 0;
        if ($value === null) {
            return null;
        }
        if (!is_array($value)) {
            $this->advances[$at] += $value;
        } else {
            $this->advances[$at] += $value[0];
            $this->advances[$second] += $value[1];
        }

        return ($subtable['second'] ?? false) ? $second + 1 : $second;
    }

    /**
     * @param Lookup $lookup
     * @param list<array{glyph: int, rest: list<int>}> $ligatures
     */
    private function join(array $lookup, array $ligatures, int $at): ?int
    {
        foreach ($ligatures as $ligature) {
            $gone = [];
            $last = $at;
            foreach ($ligature['rest'] as $wanted) {
                $last = $this->after($lookup, $last);
                if ($last === null || $this->glyphs[$last] !== $wanted) {
                    continue 2;
                }
                $gone[] = $last;
            }
            $this->glyphs[$at] = $ligature['glyph'];
            foreach (array_reverse($gone) as $index) {
                array_splice($this->glyphs, $index, 1);
                array_splice($this->places, $index, 1);
            }

            return $at + 1;
        }

        return null;
    }

    /**
     * @param Lookup $lookup
     * @param Subtable $subtable
     */
    private function context(array $lookup, array $subtable, int $at, int $depth): ?int
    {
        if ($depth >= self::DEEPEST) {
            return null;
        }
        $glyph = $this->glyphs[$at];
        $first = match ($subtable['by'] ?? '') {
            'glyph' => $subtable['covered'][$glyph],
            'class' => $subtable['classes'][1][$glyph] ?? 0,
            default => 0,
        };
        foreach ($subtable['rules'][$first] ?? [] as $rule) {
            $matched = $this->matched($lookup, $subtable, $rule['glyphs'], 1, $at, 1);
            if (
                $matched === null
                || $this->matched($lookup, $subtable, $rule['before'], 0, $at, -1) === null
                || $this->matched($lookup, $subtable, $rule['after'], 2, end($matched) ?: $at, 1) === null
            ) {
                continue;
            }

            return $this->then($rule['then'], [$at, ...$matched], $depth);
        }

        return null;
    }

    /**
     * @param Lookup $lookup
     * @param Subtable $subtable
     * @param list<int|array<int, int>> $wanted
     *
     * @return ?list<int> the glyphs that are what is wanted, one after another
     */
    private function matched(
        array $lookup,
        array $subtable,
        array $wanted,
        int $which,
        int $at,
        int $step,
    ): ?array {
        $found = [];
        foreach ($wanted as $one) {
            $at = $this->after($lookup, $at, $step);
            if ($at === null) {
                return null;
            }
            $glyph = $this->glyphs[$at];
            $is = match ($subtable['by'] ?? 'set') {
                'glyph' => $glyph === $one,
                'class' => ($subtable['classes'][$which][$glyph] ?? 0) === $one,
                default => is_array($one) && isset($one[$glyph]),
            };
            if (!$is) {
                return null;
            }
            $found[] = $at;
        }

        return $found;
    }

    /**
     * Applies further lookups at matched glyphs; those that come or go move the ones behind them.
     *
     * @param list<array{int, int}> $then
     * @param array<int, int>       $places of the matched glyphs
     */
    private function then(array $then, array $places, int $depth): int
    {
        $end = $places[count($places) - 1] + 1;
        foreach ($then as [$which, $index]) {
            if (!isset($places[$which], $this->lookups[$index], $this->glyphs[$places[$which]])) {
                continue;
            }
            $before = count($this->glyphs);
            $this->apply($this->lookups[$index], $places[$which], $depth + 1);
            $more = count($this->glyphs) - $before;
            if ($more === 0) {
                continue;
            }
            $end = max($places[$which] + 1, $end + $more);
            $fresh = $more > 0 ? range($places[$which] + 1, $places[$which] + $more) : [];
            $behind = array_slice($places, $which + 1 + max(0, -$more));
            $places = [
                ...array_slice($places, 0, $which + 1),
                ...$fresh,
                ...array_map(static fn (int $place) => $place + $more, $behind),
            ];
        }

        return $end;
    }

    /**
     * @param Lookup $lookup
     * @param Subtable $subtable
     */
    private function backwards(array $lookup, array $subtable, int $at): ?int
    {
        if (
            $this->matched($lookup, $subtable, $subtable['before'] ?? [], 0, $at, -1) === null
            || $this->matched($lookup, $subtable, $subtable['after'] ?? [], 2, $at, 1) === null
        ) {
            return null;
        }
        $this->glyphs[$at] = $subtable['instead'][$this->glyphs[$at]] ?? $this->glyphs[$at];

        return $at;
    }
}
