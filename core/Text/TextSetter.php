<?php

declare(strict_types=1);

namespace UpperPane\Core\Text;

use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;

/**
 * Lays a text into a box (model §5). Shrink takes the largest whole px from the size down to the least that fits, found by
 * scanning: wrapping is not monotonic. Line height is a factor of the size in thousandths, or 0 for the font's own.
 */
final readonly class TextSetter
{
    private const ELLIPSIS = '…';

    private function __construct(private FontFace $face, private TextMode $mode, private Size $box, private int $lineHeightThousandths)
    {
    }

    public static function set(string $text, FontFace $face, TextMode $mode, int $sizePx, int $minSizePx, Size $box, int $lineHeightThousandths = 0): SetText
    {
        $setter = new self($face, $mode, $box, $lineHeightThousandths);
        $paragraphs = LineBreaker::paragraphs($text);
        $runs = [];
        foreach ($mode->wraps() ? $paragraphs : [] as $paragraph) {
            $pieces = LineBreaker::pieces($paragraph);
            $runs[] = ['pieces' => $pieces, 'run' => $face->run($pieces)];
        }
        $least = $mode->shrinks() ? min($minSizePx, $sizePx) : $sizePx;
        for ($size = $sizePx;; --$size) {
            $set = $setter->at($size, $paragraphs, $runs);
            if (!$set->overflows || $size <= $least) {
                return $set;
            }
        }
    }

    /**
     * @param list<string>                                                                     $paragraphs
     * @param list<array{pieces: list<string>, run: list<array{from: int, to: int}>}> $runs
     */
    private function at(int $sizePx, array $paragraphs, array $runs): SetText
    {
        $boxUnits = Rational::of($this->box->width * $this->face->unitsPerEm(), $sizePx);
        $texts = match (true) {
            $this->mode->wraps() => array_merge(...array_map(static fn (array $run) => LineBreaker::lines($run['pieces'], $run['run'], $boxUnits), $runs)),
            $this->mode === TextMode::Ellipsis => array_map(fn (string $line) => $this->ellipted($line, $sizePx), $paragraphs),
            default => $paragraphs,
        };
        $lines = array_map(fn (string $line) => ['text' => $line, 'width' => $this->face->widthPx($line, $sizePx)], $texts);
        $lineHeight = $this->lineHeightThousandths === 0
            ? Rational::of($this->face->normalLinePx($sizePx))
            : Rational::of($this->lineHeightThousandths * $sizePx, 1000);
        $tooHigh = $lineHeight->times(Rational::of(count($lines)))->compare(Rational::of($this->box->height)) > 0;
        $tooWide = array_filter($lines, fn (array $line) => $line['width']->compare(Rational::of($this->box->width)) > 0) !== [];

        return new SetText($sizePx, $lines, $lineHeight, $tooHigh || $tooWide, $this->face->covers(implode('', $texts)), $this->face->capHeightPx($sizePx));
    }

    /** Cut at grapheme clusters until it fits with an ellipsis. */
    private function ellipted(string $line, int $sizePx): string
    {
        if ($this->face->widthPx($line, $sizePx)->compare(Rational::of($this->box->width)) <= 0) {
            return $line;
        }
        for ($length = (int) grapheme_strlen($line) - 1; $length > 0; --$length) {
            $cut = rtrim((string) grapheme_substr($line, 0, $length)).self::ELLIPSIS;
            if ($this->face->widthPx($cut, $sizePx)->compare(Rational::of($this->box->width)) <= 0) {
                return $cut;
            }
        }

        return self::ELLIPSIS;
    }
}
