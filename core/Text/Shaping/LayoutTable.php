<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\Shaping;

use UpperPane\Core\Text\File\FontFile;

/**
 * A GSUB or GPOS table of an OpenType file: which lookups its features name in each script, what each lookup passes
 * over, and the coverage and class tables that their subtables share (ISO/IEC 14496-22 §6.2).
 *
 * @phpstan-import-type Subtable from SubtableReader
 *
 * @phpstan-type Lookup array{
 *     flags: int,
 *     marks: ?int,
 *     backwards: bool,
 *     covered: array<int, true>,
 *     subtables: list<Subtable>,
 * }
 */
final readonly class LayoutTable
{
    private function __construct(private FontFile $file, private ?int $start)
    {
    }

    /** @param string $table `GSUB` or `GPOS`; a file without it has no scripts and no lookups */
    public static function of(FontFile $file, string $table): self
    {
        return new self($file, $file->tables[$table] ?? null);
    }

    /**
     * Of each script's default language; a required feature goes by the name of `*`.
     *
     * @param list<string> $wanted
     *
     * @return array<string, array<string, list<int>>> script → feature → lookups
     */
    public function scripts(array $wanted): array
    {
        $scripts = [];
        if ($this->start === null) {
            return $scripts;
        }
        $list = $this->start + $this->file->u16($this->start + 4);
        for ($i = 0, $count = $this->file->u16($list); $i < $count; ++$i) {
            $record = $list + 2 + 6 * $i;
            $script = $list + $this->file->u16($record + 4);
            $language = $this->file->u16($script);
            if ($language !== 0) {
                $scripts[$this->file->tag($record)] = $this->features($script + $language, $wanted);
            }
        }

        return $scripts;
    }

    /**
     * All lookups that some script names, and those that they lead to.
     *
     * @param list<int>                     $named
     * @param \Closure(int, int): ?Subtable $read type and offset of a subtable → what it does
     *
     * @return array<int, Lookup> by index: what {@see Shaper} follows
     */
    public function lookups(array $named, int $extension, \Closure $read): array
    {
        $lookups = [];
        while ($named !== []) {
            $index = array_pop($named);
            if (isset($lookups[$index])) {
                continue;
            }
            $lookups[$index] = $this->lookup($index, $extension, $read);
            foreach ($lookups[$index]['subtables'] as $subtable) {
                foreach (array_merge([], ...($subtable['rules'] ?? [])) as $rule) {
                    array_push($named, ...array_column($rule['then'], 1));
                }
            }
        }
        ksort($lookups);

        return $lookups;
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
            [$first, $last] = [$file->u16($range), $file->u16($range + 2)];
            $file->spend(max(0, $last - $first));
            for ($glyph = $first, $index = $file->u16($range + 4); $glyph <= $last; ++$glyph, ++$index) {
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
                [$first, $last, $class] = [$file->u16($range), $file->u16($range + 2), $file->u16($range + 4)];
                $file->spend(max(0, $last - $first));
                for ($glyph = $first; $glyph <= $last; ++$glyph) {
                    $classes[$glyph] = $class;
                }
            }
        }

        return array_filter($classes);
    }

    /**
     * @param list<string> $wanted
     *
     * @return array<string, list<int>>
     */
    private function features(int $language, array $wanted): array
    {
        $list = (int) $this->start + $this->file->u16((int) $this->start + 6);
        $required = $this->file->u16($language + 2);
        $features = [];
        foreach (self::list($this->file, $language + 4) as $index) {
            $record = $list + 2 + 6 * $index;
            $tag = $this->file->tag($record);
            if (in_array($tag, $wanted, true)) {
                $features[$tag] = self::list($this->file, $list + $this->file->u16($record + 4) + 2);
            }
        }
        if ($required !== 0xFFFF) {
            $record = $list + 2 + 6 * $required;
            $features['*'] = self::list($this->file, $list + $this->file->u16($record + 4) + 2);
        }

        return $features;
    }

    /**
     * @param \Closure(int, int): ?Subtable $read
     *
     * @return Lookup
     */
    private function lookup(int $index, int $extension, \Closure $read): array
    {
        $list = (int) $this->start + $this->file->u16((int) $this->start + 8);
        $lookup = $list + $this->file->u16($list + 2 + 2 * $index);
        $offsets = self::list($this->file, $lookup + 4);
        $flags = $this->file->u16($lookup + 2);
        $subtables = $covered = [];
        foreach ($offsets as $offset) {
            [$type, $at] = [$this->file->u16($lookup), $lookup + $offset];
            if ($type === $extension) {
                [$type, $at] = [$this->file->u16($at + 2), $at + $this->file->u32($at + 4)];
            }
            $subtable = $read($type, $at);
            if ($subtable !== null) {
                $subtables[] = $subtable;
                $this->file->spend(count($subtable['covered']));
                $covered += array_map(static fn () => true, $subtable['covered']);
            }
        }

        return [
            'flags' => $flags,
            'marks' => ($flags & 0x10) === 0 ? null : $this->file->u16($lookup + 6 + 2 * count($offsets)),
            'backwards' => $subtables !== [] && $subtables[0]['does'] === 'backwards',
            'covered' => $covered,
            'subtables' => $subtables,
        ];
    }
}
