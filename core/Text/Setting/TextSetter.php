<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\Setting;

use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;

/**
 * Lays a text into a box (model §5). Shrink takes the largest whole px from the size down to the least that fits, found
 * by scanning: wrapping is not monotonic. Line height is a factor of the size in thousandths, or 0 for the font's own.
 *
 * @phpstan-import-type Run from Measure
 *
 * @phpstan-type Pieces array{pieces: list<string>, run: Run, at: int, widest: int, all: int}
 */
final class TextSetter
{
    private const ELLIPSIS = '…';

    /** @var array<string, int> widths of lines in font units: the same ones come at many sizes */
    private array $units = [];

    private function __construct(
        private readonly Measure $face,
        private readonly TextMode $mode,
        private readonly Size $box,
        private readonly int $lineHeightThousandths,
    ) {
    }

    public static function set(
        string $text,
        Measure $face,
        TextMode $mode,
        int $sizePx,
        int $minSizePx,
        Size $box,
        int $lineHeightThousandths = 0,
    ): SetText {
        $setter = new self($face, $mode, $box, $lineHeightThousandths);
        $paragraphs = LineBreaker::paragraphs($text);
        $runs = [];
        foreach ($mode->wraps() ? $paragraphs : [] as $paragraph) {
            $pieces = LineBreaker::pieces($paragraph['text']);
            $at = $paragraph['at'];
            $run = $face->run($pieces, $at);
            $widths = array_map(static fn (array $piece) => $piece['to'] - $piece['from'], $run);
            $runs[] = [
                ...['pieces' => $pieces, 'run' => $run, 'at' => $at],
                ...['widest' => max([0, ...$widths]), 'all' => array_sum($widths)],
            ];
        }
        $least = $mode->shrinks() ? min($minSizePx, $sizePx) : $sizePx;
        for ($size = $sizePx;; --$size) {
            if ($size > $least && !$setter->mayFit($size, $runs)) {
                continue;
            }
            $texts = $setter->texts($size, $paragraphs, $runs);
            if ($size > $least && $setter->isTooHigh(count($texts), $size)) {
                continue;
            }
            $lines = $setter->measured($texts, $size);
            $overflows = SetText::isTooMuch($lines, $setter->lineHeight($size), $box);
            if (!$overflows || $size <= $least) {
                return $setter->done($size, $lines, $overflows);
            }
        }
    }

    /**
     * What any wrapping needs at least: that the widest piece fits, and lines enough for all that is seen. Saves
     * breaking the lines at sizes far too large.
     *
     * @param list<Pieces> $runs
     */
    private function mayFit(int $sizePx, array $runs): bool
    {
        $boxUnits = intdiv($this->box->width * $this->face->unitsPerEm(), $sizePx);
        $lines = 0;
        foreach ($runs as $run) {
            if ($run['widest'] > $boxUnits) {
                return false;
            }
            $lines += max(1, (int) ceil($run['all'] / max(1, $boxUnits)));
        }

        return !$this->isTooHigh($lines, $sizePx);
    }

    private function lineHeight(int $sizePx): Rational
    {
        return $this->lineHeightThousandths === 0
            ? Rational::of($this->face->normalLinePx($sizePx))
            : Rational::of($this->lineHeightThousandths * $sizePx, 1000);
    }

    private function isTooHigh(int $lines, int $sizePx): bool
    {
        return $this->lineHeight($sizePx)->times(Rational::of($lines))->compare(Rational::of($this->box->height)) > 0;
    }

    /**
     * @param list<array{text: string, at: int}> $paragraphs
     * @param list<Pieces>                       $runs
     *
     * @return list<array{text: string, at: int}> the lines at a size
     */
    private function texts(int $sizePx, array $paragraphs, array $runs): array
    {
        $boxUnits = Rational::of($this->box->width * $this->face->unitsPerEm(), $sizePx);

        return match (true) {
            $this->mode->wraps() => array_merge(
                ...array_map(
                    static fn (array $run) => array_map(
                        static fn (array $line) => ['text' => $line['text'], 'at' => $run['at'] + $line['at']],
                        LineBreaker::lines($run['pieces'], $run['run'], $boxUnits),
                    ),
                    $runs,
                ),
            ),
            $this->mode === TextMode::Ellipsis => array_map(
                fn (array $line) => [
                    'text' => $this->ellipted($line['text'], $line['at'], $sizePx),
                    'at' => $line['at'],
                ],
                $paragraphs,
            ),
            default => $paragraphs,
        };
    }

    /**
     * @param list<array{text: string, at: int}> $texts
     *
     * @return list<array{text: string, at: int, width: Rational}>
     */
    private function measured(array $texts, int $sizePx): array
    {
        return array_map(
            fn (array $line) => $line + [
                'width' => Rational::of(
                    $this->units($line['text'], $line['at']) * $sizePx,
                    $this->face->unitsPerEm(),
                ),
            ],
            $texts,
        );
    }

    private function units(string $text, int $at): int
    {
        return $this->units["$at $text"] ??= $this->face->widthUnits($text, $at);
    }

    /** @param list<array{text: string, at: int, width: Rational}> $lines */
    private function done(int $sizePx, array $lines, bool $overflows): SetText
    {
        return new SetText(
            $sizePx,
            $lines,
            $this->lineHeight($sizePx),
            $overflows,
            $this->face->measures(implode("\n", array_column($lines, 'text'))),
            $this->face->capHeightPx($sizePx),
        );
    }

    /** Cut at grapheme clusters until it fits with an ellipsis. */
    private function ellipted(string $line, int $at, int $sizePx): string
    {
        $boxUnits = intdiv($this->box->width * $this->face->unitsPerEm(), $sizePx);
        if ($this->units($line, $at) <= $boxUnits) {
            return $line;
        }
        $clusters = self::clusters($line);
        for ($length = $this->mostThatMayFit($clusters, $at, $boxUnits); $length > 0; --$length) {
            $cut = rtrim(implode('', array_slice($clusters, 0, $length))).self::ELLIPSIS;
            if ($this->units($cut, $at) <= $boxUnits) {
                return $cut;
            }
        }

        return self::ELLIPSIS;
    }

    /**
     * More clusters than this are wider than the box even when kerning with the ellipsis, or another shape at the end,
     * takes an em away.
     *
     * @param list<string> $clusters
     */
    private function mostThatMayFit(array $clusters, int $at, int $boxUnits): int
    {
        $most = 0;
        foreach ($this->face->run($clusters, $at) as $index => $cluster) {
            $most = $cluster['from'] - $this->face->unitsPerEm() <= $boxUnits ? $index : $most;
        }

        return $most;
    }

    /** @return list<string> what a reader takes for one character each (UAX 29) */
    private static function clusters(string $line): array
    {
        $clusters = [];
        for ($at = 0; $at < strlen($line); $at += strlen($cluster)) {
            $cluster = (string) grapheme_extract($line, 1, \GRAPHEME_EXTR_COUNT, $at);
            $clusters[] = $cluster;
        }

        return $clusters;
    }
}
