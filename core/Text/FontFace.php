<?php

declare(strict_types=1);

namespace UpperPane\Core\Text;

use UpperPane\Core\Geometry\Rational;

/**
 * One face ready to measure with: the sum of advances after ligatures and kerning, in font units, as HarfBuzz shapes it
 * with the default features liga and kern (checked against hb-shape and Chromium).
 */
final readonly class FontFace
{
    /** Common and Inherited: digits, punctuation, spaces and marks belong to the script around them (UAX 24). */
    private const SHARED_SCRIPTS = [0 => true, 1 => true];

    /** @param array<string, mixed> $tables */
    private function __construct(
        public string $family,
        public int $weight,
        public string $file,
        private array $tables,
    ) {
    }

    /** @param array<string, mixed> $tables from {@see FontReader::tables()} */
    public static function ofTables(string $family, int $weight, string $file, array $tables): self
    {
        return new self($family, $weight, $file, $tables);
    }

    public function unitsPerEm(): int
    {
        return $this->tables['units_per_em'];
    }

    /** Width in font units; a character the face lacks counts as its missing-glyph box. */
    public function widthUnits(string $text): int
    {
        return $this->sum($this->ligated($this->glyphs($text)));
    }

    /**
     * Pieces set one after another on an endless line: where each begins, and where its last visible glyph ends, in
     * font units. A line of pieces i to j is `to[j] − from[i]` wide at any size, so that a text is shaped once, not per
     * size.
     *
     * @param list<string> $pieces
     *
     * @return list<array{from: int, to: int}>
     */
    public function run(array $pieces): array
    {
        $advances = $this->tables['advances'];
        $last = count($advances) - 1;
        $spaces = [$this->tables['glyphs'][0x20] ?? 0];
        $run = [];
        $at = $end = 0;
        $before = null;
        foreach ($pieces as $piece) {
            $from = null;
            foreach ($this->ligated($this->glyphs($piece)) as $glyph) {
                $at += $before === null ? 0 : $this->kerning($before, $glyph);
                $from ??= $at;
                $at += $advances[min($glyph, $last)];
                $end = in_array($glyph, $spaces, true) ? $end : $at;
                $before = $glyph;
            }
            $run[] = ['from' => $from ?? $at, 'to' => max($end, $from ?? $at)];
        }

        return $run;
    }

    /** Exact width in px at a size in px. */
    public function widthPx(string $text, int $sizePx): Rational
    {
        return Rational::of($this->widthUnits($text) * $sizePx, $this->unitsPerEm());
    }

    /**
     * False where the width is a guess, because a browser does more than this sums up: it draws characters the face
     * lacks with another, places combining marks, breaks at soft hyphens, stops at tabs, joins and parts at invisible
     * characters, and shapes every script by itself, so that nothing is kerned across their border (UAX 24; checked
     * against Chromium). Nor are contextual alternates applied, or pairs that widen their second glyph.
     */
    public function measures(string $text): bool
    {
        if ($this->tables['widens_second']) {
            return false;
        }
        $scripts = [];
        foreach (array_unique(mb_str_split(self::composed($text))) as $character) {
            $code = (int) mb_ord($character);
            if ($code === 0x0A) {
                continue;
            }
            if (
                preg_match('/[\p{M}\p{Cf}\p{Cc}]/u', $character) === 1
                || ($code > 0x20 && $code !== 0xA0 && !isset($this->tables['glyphs'][$code]))
                || isset($this->tables['contextual'][$this->tables['glyphs'][$code] ?? -1])
            ) {
                return false;
            }
            $scripts[(int) \IntlChar::getIntPropertyValue($code, \IntlChar::PROPERTY_SCRIPT)] = true;
        }

        return count(array_diff_key($scripts, self::SHARED_SCRIPTS)) <= 1;
    }

    /**
     * The browser's `line-height: normal`: ascender, descender and line gap, each rounded to whole px as Chromium does.
     */
    public function normalLinePx(int $sizePx): int
    {
        return $this->ascentPx($sizePx) + $this->descentPx($sizePx) + $this->scaled('line_gap', $sizePx)->round();
    }

    public function ascentPx(int $sizePx): int
    {
        return $this->scaled('ascender', $sizePx)->round();
    }

    public function descentPx(int $sizePx): int
    {
        return $this->scaled('descender', $sizePx)->round();
    }

    public function capHeightPx(int $sizePx): Rational
    {
        return $this->scaled('cap_height', $sizePx);
    }

    private function scaled(string $measure, int $sizePx): Rational
    {
        return Rational::of($this->tables[$measure] * $sizePx, $this->unitsPerEm());
    }

    /** @return list<int> */
    private function glyphs(string $text): array
    {
        return array_map(
            fn (string $character) => $this->tables['glyphs'][(int) mb_ord($character)] ?? 0,
            mb_str_split(self::composed($text)),
        );
    }

    /** Letters with their marks as one character where there is one; what has no mark stays itself, as U+2126 does. */
    private static function composed(string $text): string
    {
        return (string) preg_replace_callback(
            '/\P{M}\p{M}+/u',
            static fn (array $cluster) => \Normalizer::normalize($cluster[0], \Normalizer::FORM_C) ?: $cluster[0],
            $text,
        );
    }

    /**
     * @param list<int> $glyphs
     *
     * @return list<int>
     */
    private function ligated(array $glyphs): array
    {
        foreach ($this->tables['ligatures'] as $lookup) {
            $out = [];
            for ($i = 0, $count = count($glyphs); $i < $count; ++$i) {
                $found = $this->ligatureAt($lookup, $glyphs, $i);
                $out[] = $found['glyph'] ?? $glyphs[$i];
                $i += count($found['rest'] ?? []);
            }
            $glyphs = $out;
        }

        return $glyphs;
    }

    /**
     * @param list<array<int, list<array{glyph: int, rest: list<int>}>>> $lookup
     * @param list<int>                                                 $glyphs
     *
     * @return array{glyph: int, rest: list<int>}|null
     */
    private function ligatureAt(array $lookup, array $glyphs, int $at): ?array
    {
        foreach ($lookup as $table) {
            foreach ($table[$glyphs[$at]] ?? [] as $ligature) {
                if (array_slice($glyphs, $at + 1, count($ligature['rest'])) === $ligature['rest']) {
                    return $ligature;
                }
            }
        }

        return null;
    }

    /** @param list<int> $glyphs */
    private function sum(array $glyphs): int
    {
        $advances = $this->tables['advances'];
        $last = count($advances) - 1;
        $units = 0;
        foreach ($glyphs as $i => $glyph) {
            $units += $advances[min($glyph, $last)];
            if (isset($glyphs[$i + 1])) {
                $units += $this->kerning($glyph, $glyphs[$i + 1]);
            }
        }

        return $units;
    }

    private function kerning(int $first, int $second): int
    {
        $units = 0;
        foreach ($this->tables['pairs'] as $lookup) {
            foreach ($lookup as $table) {
                $value = $this->pairValue($table, $first, $second);
                if ($value !== null) {
                    $units += $value;
                    break;
                }
            }
        }

        return $units;
    }

    /**
     * A format 1 table answers only for pairs it lists; a format 2 table for every covered first glyph (§6.3).
     *
     * @param array<string, mixed> $table
     */
    private function pairValue(array $table, int $first, int $second): ?int
    {
        if (isset($table['pairs'])) {
            return $table['pairs'][$first][$second] ?? null;
        }
        if (!isset($table['covered'][$first])) {
            return null;
        }

        return $table['values'][$table['first'][$first] ?? 0][$table['second'][$second] ?? 0] ?? 0;
    }
}
