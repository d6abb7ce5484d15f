<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\Setting;

use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Text\FontFace;

/**
 * A text in several faces, as a browser sets them: each stretch is shaped by itself, so nothing is kerned or joined
 * where the face changes. Heights are those of the first face.
 */
final readonly class MixedFaces implements Measure
{
    /** @param non-empty-list<array{to: int, face: FontFace}> $spans byte offsets in the text, one after another */
    private function __construct(private FontFace $first, private array $spans)
    {
    }

    /** @param list<array{from: int, to: int, face: FontFace}> $others stretches in other faces, in order */
    public static function of(FontFace $first, array $others): Measure
    {
        $spans = [['to' => 0, 'face' => $first]];
        foreach ([...$others, ['from' => \PHP_INT_MAX, 'to' => \PHP_INT_MAX, 'face' => $first]] as $other) {
            foreach ([['to' => $other['from'], 'face' => $first], $other] as ['to' => $to, 'face' => $face]) {
                $last = array_key_last($spans);
                // Stretches of one face that touch are shaped as one.
                if ($spans[$last]['face']->file === $face->file || $spans[$last]['to'] === $to) {
                    $spans[$last]['to'] = $to;
                } else {
                    $spans[] = ['to' => $to, 'face' => $face];
                }
            }
        }

        return count($spans) === 1 ? $first : new self($first, $spans);
    }

    public function unitsPerEm(): int
    {
        return $this->first->unitsPerEm();
    }

    public function widthUnits(string $text, int $at = 0): int
    {
        $parts = $this->parts($text, $at);
        $last = array_pop($parts);
        $units = $last === null ? 0 : $this->scaled($last[1]->widthUnits($last[0]), $last[1]);
        foreach ($parts as [$part, $face]) {
            $units += $this->scaled($face->advanceUnits($part), $face);
        }

        return $units;
    }

    public function run(array $pieces, int $at = 0): array
    {
        $run = [];
        $begins = 0;
        foreach ($this->stretches($pieces, $at) as ['face' => $face, 'cuts' => $cuts]) {
            foreach ($face->run(array_column($cuts, 'text')) as $index => $units) {
                $piece = $cuts[$index]['piece'];
                $here = array_map(fn (int $of) => $begins + $this->scaled($of, $face), $units);
                $run[$piece] = ['from' => $run[$piece]['from'] ?? $here['from']] + $here;
            }
            $begins += $this->scaled($face->advanceUnits(implode('', array_column($cuts, 'text'))), $face);
        }

        return array_values($run);
    }

    public function normalLinePx(int $sizePx): int
    {
        return $this->first->normalLinePx($sizePx);
    }

    public function capHeightPx(int $sizePx): Rational
    {
        return $this->first->capHeightPx($sizePx);
    }

    public function measures(string $text): bool
    {
        $faces = [];
        foreach ($this->spans as ['face' => $face]) {
            $faces[$face->file] = $face;
        }
        foreach ($faces as $face) {
            if (!$face->measures($text)) {
                return false;
            }
        }

        return true;
    }

    private function scaled(int $units, FontFace $face): int
    {
        return $face->unitsPerEm() === $this->unitsPerEm()
            ? $units
            : Rational::of($units * $this->unitsPerEm(), $face->unitsPerEm())->round();
    }

    /** @return list<array{string, FontFace}> */
    private function parts(string $text, int $at): array
    {
        $parts = [];
        $end = $at + strlen($text);
        $next = $at;
        for ($index = $this->spanAt($at); $next < $end; ++$index) {
            ['to' => $to, 'face' => $face] = $this->spans[$index];
            $length = min($to, $end) - $next;
            if ($length > 0) {
                $parts[] = [substr($text, $next - $at, $length), $face];
                $next += $length;
            }
        }

        return $parts;
    }

    /** Found by halving: texts are asked for piece by piece. */
    private function spanAt(int $at): int
    {
        [$low, $high] = [0, count($this->spans) - 1];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->spans[$middle]['to'] > $at) {
                $high = $middle;
            } else {
                $low = $middle + 1;
            }
        }

        return $low;
    }

    /**
     * Pieces cut where the face changes, those of one face after another together.
     *
     * @param list<string> $pieces
     *
     * @return list<array{face: FontFace, cuts: list<array{text: string, piece: int}>}>
     */
    private function stretches(array $pieces, int $at): array
    {
        $stretches = $cuts = [];
        $of = null;
        foreach ($pieces as $index => $piece) {
            foreach ($this->parts($piece, $at) as [$text, $face]) {
                $cut = ['text' => $text, 'piece' => $index];
                if ($of !== null && $of->file !== $face->file) {
                    $stretches[] = ['face' => $of, 'cuts' => $cuts];
                    $cuts = [];
                }
                [$of, $cuts[]] = [$face, $cut];
            }
            $at += strlen($piece);
        }

        return $of === null ? [] : [...$stretches, ['face' => $of, 'cuts' => $cuts]];
    }
}
