<?php

declare(strict_types=1);

namespace UpperPane\Core\Text;

use UpperPane\Core\Geometry\Rational;

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
            foreach ($face->run(array_column($cuts, 'text')) as $index => ['from' => $from, 'to' => $to]) {
                $piece = $cuts[$index]['piece'];
                $run[$piece] = [
                    'from' => $run[$piece]['from'] ?? $begins + $this->scaled($from, $face),
                    'to' => $begins + $this->scaled($to, $face),
                ];
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
        foreach ($this->spans as ['face' => $face]) {
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
        foreach ($this->spans as ['to' => $to, 'face' => $face]) {
            $part = $to > $at ? substr($text, 0, min($to, $end) - $at) : '';
            if ($part !== '') {
                $parts[] = [$part, $face];
                $text = substr($text, strlen($part));
                $at += strlen($part);
            }
        }

        return $parts;
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
        $stretches = [];
        foreach ($pieces as $index => $piece) {
            foreach ($this->parts($piece, $at) as [$text, $face]) {
                $cut = ['text' => $text, 'piece' => $index];
                $last = array_pop($stretches);
                $goesOn = $last !== null && $last['face']->file === $face->file;
                $stretches = [...$stretches, ...$last === null || $goesOn ? [] : [$last]];
                $stretches[] = ['face' => $face, 'cuts' => [...$goesOn ? $last['cuts'] : [], $cut]];
            }
            $at += strlen($piece);
        }

        return $stretches;
    }
}
