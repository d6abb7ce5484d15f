<?php

declare(strict_types=1);

namespace UpperPane\Core\Text;

use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Text\File\FontReader;
use UpperPane\Core\Text\File\FontUpload;
use UpperPane\Core\Text\Setting\LineBreaker;
use UpperPane\Core\Text\Setting\Measure;
use UpperPane\Core\Text\Shaping\Characters;
use UpperPane\Core\Text\Shaping\Plans;
use UpperPane\Core\Text\Shaping\Script;
use UpperPane\Core\Text\Shaping\Shaper;

/**
 * One face ready to measure with: the sum of advances in font units, shaped script by script with the features that are
 * on by default (checked against hb-shape and Chromium).
 *
 * @phpstan-import-type Tables from FontReader
 */
final readonly class FontFace implements Measure
{
    private const TAB_SPACES = 8;
    private const JOINING = ['liga', 'clig', 'calt'];

    private Plans $plans;

    /** @param Tables $tables */
    private function __construct(
        public string $family,
        public int $weight,
        public string $file,
        private array $tables,
        public ?FontUpload $upload = null,
        private int $spacingThousandths = 0,
    ) {
        $this->plans = new Plans($tables, $spacingThousandths === 0 ? [] : self::JOINING);
    }

    /**
     * @param string      $file   as it is served, or the SHA-256 of an upload
     * @param Tables      $tables from {@see FontReader::tables()}
     */
    public static function ofTables(
        string $family,
        int $weight,
        string $file,
        array $tables,
        ?FontUpload $upload = null,
    ): self {
        return new self($family, $weight, $file, $tables, $upload);
    }

    /**
     * The face with so many thousandths of its size behind every letter but a line's last one. As in Chromium, letters
     * that are set apart join in no ligatures (CSS Text 3 §8.2).
     */
    public function spaced(int $thousandths): self
    {
        return $thousandths === $this->spacingThousandths
            ? $this
            : new self($this->family, $this->weight, $this->file, $this->tables, $this->upload, $thousandths);
    }

    public function unitsPerEm(): int
    {
        return $this->tables['units_per_em'] * $this->scale();
    }

    /** Spaced letters are measured in thousandths of a font unit, so that they stay exact. */
    private function scale(): int
    {
        return $this->spacingThousandths === 0 ? 1 : 1000;
    }

    /**
     * Width in font units; a character the face lacks counts as its missing-glyph box. A tab reaches to the next
     * multiple of eight spaces, or the one behind it when that is nearer than half a zero (CSS Text 3, `tab-size`).
     */
    public function widthUnits(string $text, int $at = 0): int
    {
        $width = $this->advanceUnits($text);

        return $width - ($width > 0 ? $this->spacing() : 0);
    }

    /** The same with the room behind the last letter: what follows begins there. */
    public function advanceUnits(string $text): int
    {
        $width = null;
        foreach (explode("\t", $text) as $part) {
            $width = ($width === null ? 0 : $this->tabbed($width)) + array_sum($this->shaped($part)[0]);
        }

        return (int) $width;
    }

    private function spacing(): int
    {
        return $this->tables['units_per_em'] * $this->spacingThousandths;
    }

    private function tabbed(int $units): int
    {
        $stop = self::TAB_SPACES * max(1, $this->widthUnits(' '));
        $room = $stop - $units % $stop;

        return $units + ($room < intdiv($this->widthUnits('0'), 2) ? $room + $stop : $room);
    }

    /** Shaped once, not per size; in font units. */
    public function run(array $pieces, int $at = 0): array
    {
        [$advances, $places] = $this->shaped(implode('', $pieces));
        $run = [];
        $units = $bytes = $next = 0;
        $visible = [];
        foreach ($pieces as $piece) {
            $bytes += strlen($piece);
            $seen = rtrim($piece, ' ');
            $end = LineBreaker::asLineEnd($piece);
            $run[] = [
                'from' => $units,
                'to' => $units + ($visible[$seen] ??= $this->widthUnits($seen)),
                'end' => $units + ($visible[$end] ??= $this->widthUnits($end)),
            ];
            for (; $next < count($places) && $places[$next] < $bytes; ++$next) {
                $units += $advances[$next];
            }
        }

        return $run;
    }

    /** @return array{array<int, int>, array<int, int>} in font units; where in the text each is from, in bytes */
    private function shaped(string $text): array
    {
        $all = [[], []];
        foreach (Characters::stretches($text, $this->tables['glyphs']) as $stretch) {
            $shaped = Shaper::advances(
                $this->tables,
                $stretch['glyphs'],
                $stretch['places'],
                ...$this->plans->of($stretch['script']),
            );
            array_push($all[0], ...$shaped[0]);
            array_push($all[1], ...$shaped[1]);
        }

        return $this->spacingThousandths === 0 ? $all : $this->apart(...$all);
    }

    /**
     * With room behind the last glyph of every place.
     *
     * @param array<int, int> $advances
     * @param array<int, int> $places
     *
     * @return array{array<int, int>, array<int, int>}
     */
    private function apart(array $advances, array $places): array
    {
        foreach ($advances as $index => $advance) {
            $advances[$index] =
                $advance * $this->scale() +
                ($places[$index] === ($places[$index + 1] ?? null) ? 0 : $this->spacing());
        }

        return [$advances, $places];
    }

    /** Exact width in px at a size in px. */
    public function widthPx(string $text, int $sizePx): Rational
    {
        return Rational::of($this->widthUnits($text) * $sizePx, $this->unitsPerEm());
    }

    /**
     * False where the width is a guess, because a browser does more than this adds up: it draws characters the face
     * lacks with another one, joins, reorders or turns round the letters of some scripts, stops at tabs, breaks at soft
     * hyphens, makes fractions about a fraction slash, joins and parts at invisible characters.
     */
    public function measures(string $text): bool
    {
        foreach (Characters::stretches(strtr($text, ["\n" => '']), $this->tables['glyphs']) as $stretch) {
            if (!Script::isSimple($stretch['script']) || in_array(0, $stretch['glyphs'], true)) {
                return false;
            }
        }

        return preg_match('/[\p{Cf}\t\x{0}-\x{9}\x{B}-\x{1F}\x{7F}-\x{9F}\x{FE00}-\x{FE0F}\x{034F}]/u', $text) === 0
            && !(str_contains($text, "\u{2044}") && $this->tables['makes_fractions']);
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
        return Rational::of($this->tables[$measure] * $sizePx, $this->tables['units_per_em']);
    }
}
