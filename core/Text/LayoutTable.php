<?php

declare(strict_types=1);

namespace UpperPane\Core\Text;

/**
 * A GSUB or GPOS table of an OpenType file: which lookups its features name, and the coverage and class tables that
 * their subtables share (ISO/IEC 14496-22 §6.2).
 */
final readonly class LayoutTable
{
    private function __construct(private FontFile $file, private ?int $start)
    {
    }

    /** @param string $table `GSUB` or `GPOS`; a file without it names no lookups */
    public static function of(FontFile $file, string $table): self
    {
        return new self($file, $file->tables[$table] ?? null);
    }

    /**
     * The subtables of all lookups of one type that the wanted features name (§6.2).
     *
     * @param list<string> $features
     * @param int          $extension the type of a lookup that only says where another lies
     * @param bool         $anyScript those of every script and language; else of the Latin script's default language
     *
     * @return list<list<int>> offsets, in lookup order
     */
    public function lookups(array $features, int $type, int $extension, bool $anyScript = false): array
    {
        $start = $this->start;
        if ($start === null) {
            return [];
        }
        $lookupList = $start + $this->file->u16($start + 8);
        $subtables = [];
        foreach ($this->lookupIndexes($start, $features, $anyScript) as $index) {
            $lookup = $lookupList + $this->file->u16($lookupList + 2 + 2 * $index);
            $kind = $this->file->u16($lookup);
            $offsets = [];
            for ($i = 0, $count = $this->file->u16($lookup + 4); $i < $count; ++$i) {
                $subtable = $lookup + $this->file->u16($lookup + 6 + 2 * $i);
                $inner = $kind;
                if ($kind === $extension) {
                    $inner = $this->file->u16($subtable + 2);
                    $subtable += $this->file->u32($subtable + 4);
                }
                if ($inner === $type) {
                    $offsets[] = $subtable;
                }
            }
            $subtables[] = $offsets;
        }

        return array_values(array_filter($subtables));
    }

    /**
     * @param list<string> $features
     *
     * @return list<int>
     */
    private function lookupIndexes(int $table, array $features, bool $anyScript): array
    {
        $featureList = $table + $this->file->u16($table + 6);
        $named = $anyScript
            ? array_keys(array_fill(0, $this->file->u16($featureList), true))
            : $this->featureIndexes($table + $this->file->u16($table + 4));
        $indexes = [];
        foreach ($named as $feature) {
            $record = $featureList + 2 + 6 * $feature;
            if (!in_array($this->file->tag($record), $features, true)) {
                continue;
            }
            $at = $featureList + $this->file->u16($record + 4);
            for ($i = 0, $count = $this->file->u16($at + 2); $i < $count; ++$i) {
                $indexes[] = $this->file->u16($at + 4 + 2 * $i);
            }
        }
        $indexes = array_values(array_unique($indexes));
        sort($indexes);

        return $indexes;
    }

    /** @return list<int> */
    private function featureIndexes(int $scriptList): array
    {
        $scripts = [];
        for ($i = 0, $count = $this->file->u16($scriptList); $i < $count; ++$i) {
            $scripts[$this->file->tag($scriptList + 2 + 6 * $i)] =
                $scriptList + $this->file->u16($scriptList + 2 + 6 * $i + 4);
        }
        $script = $scripts['latn'] ?? ($scripts['DFLT'] ?? null);
        if ($script === null || $this->file->u16($script) === 0) {
            return [];
        }
        $language = $script + $this->file->u16($script);

        return self::list($this->file, $language + 4);
    }

    /** @return list<int> a count followed by so many 16-bit values */
    public static function list(FontFile $file, int $at): array
    {
        $values = [];
        for ($i = 0, $count = $file->u16($at); $i < $count; ++$i) {
            $values[] = $file->u16($at + 2 + 2 * $i);
        }

        return $values;
    }

    /** @return array<int, int> glyph → coverage index (§6.2, Coverage formats 1 and 2) */
    public static function coverage(FontFile $file, int $at): array
    {
        if ($file->u16($at) === 1) {
            return array_flip(self::list($file, $at + 2));
        }
        $covered = [];
        for ($i = 0, $count = $file->u16($at + 2); $i < $count; ++$i) {
            $range = $at + 4 + 6 * $i;
            for (
                $glyph = $file->u16($range),
                $last = $file->u16($range + 2),
                $index = $file->u16($range + 4);
                $glyph <= $last;
                ++$glyph, ++$index
            ) {
                $covered[$glyph] = $index;
            }
        }

        return $covered;
    }

    /** @return array<int, int> glyph → class, class 0 left out (§6.2, Class Definition formats 1 and 2) */
    public static function classes(FontFile $file, int $at): array
    {
        $classes = [];
        if ($file->u16($at) === 1) {
            $first = $file->u16($at + 2);
            foreach (self::list($file, $at + 4) as $i => $class) {
                $classes[$first + $i] = $class;
            }
        } else {
            for ($i = 0, $count = $file->u16($at + 2); $i < $count; ++$i) {
                $range = $at + 4 + 6 * $i;
                for (
                    $glyph = $file->u16($range), $last = $file->u16($range + 2);
                    $glyph <= $last;
                    ++$glyph
                ) {
                    $classes[$glyph] = $file->u16($range + 4);
                }
            }
        }

        return array_filter($classes);
    }
}
