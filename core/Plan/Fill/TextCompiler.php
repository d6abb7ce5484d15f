<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Fill;

use UpperPane\Core\Design\Fill\ClockFill;
use UpperPane\Core\Design\Fill\CountFill;
use UpperPane\Core\Design\Fill\Fill;
use UpperPane\Core\Design\Fill\TextFill;
use UpperPane\Core\Design\Fill\TextStyle;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\PlanContext;
use UpperPane\Core\Text\FontFace;
use UpperPane\Core\Text\Setting\Measure;
use UpperPane\Core\Text\Setting\ReadingTime;
use UpperPane\Core\Text\Setting\SetText;
use UpperPane\Core\Text\Setting\TextMode;
use UpperPane\Core\Text\Setting\TextSetter;

/**
 * Texts and what is written like them, in a box → lines with their places.
 *
 * @phpstan-import-type Part from TextRuns
 *
 * @phpstan-type Line array{text?: string, x_mpx: int, y_mpx: int, width_mpx: int, parts?: list<Part>}
 */
final readonly class TextCompiler
{
    /** Between the lines of a text that runs across: as a pause. */
    private const BETWEEN = '     ';

    private TextLook $look;
    private TextMotion $motion;

    public function __construct(private PlanContext $context)
    {
        $this->look = new TextLook($context);
        $this->motion = new TextMotion($context);
    }

    public function text(TextFill $fill, Size $box): Item
    {
        [$face, $inner, $padding] = $this->frame($fill->style, $box);
        $across = $fill->ticker?->runsAcross() === true;
        $runs = TextRuns::of($fill, $across ? self::onOneLine(...) : null);
        $set = $this->setOf($fill, $runs->faces($face, $this->faceOf($fill->style)), $inner);
        $measured = $fill->ticker === null ? $this->measured($set, $fill, $inner) : null;
        $set = $measured ?? $set;
        $lineMpx = $set->lineHeightPx->thousandths();
        $topMpx =
            self::aside($fill->style->valign, $inner->height * 1000, $lineMpx * count($set->lines)) + $padding * 1000;
        $lines = [];
        foreach ($set->lines as $index => $line) {
            $widthMpx = $line['width']->thousandths();
            $lines[] = [
                'text' => $line['text'],
                'x_mpx' => $padding * 1000 + self::aside($fill->style->align, $inner->width * 1000, $widthMpx),
                'y_mpx' => $topMpx + $index * $lineMpx,
                'width_mpx' => $widthMpx,
            ] + $runs->parts($line['text'], $line['at']);
        }
        $way = $fill->ticker === null ? null : $this->motion->way($fill->ticker, $lines, $lineMpx, $box);
        if ($fill->ticker !== null) {
            $lines = TextMotion::atTheEdge($fill->ticker, $lines, $lineMpx);
        }

        return new Item(
            $fill,
            ['kind' => 'text', 'lines' => $lines] +
                $this->look->of($fill->style, $set, $lines) +
                ($set->exact || $fill->ticker !== null ? [] : ['approximate' => true]) +
                ($way === null ? TextMotion::entrance($fill->entrance, $lines) : ['ticker' => $way]),
            set: $set,
            contentMs: $way['ms'] ?? ReadingTime::ofMs($fill->text),
        );
    }

    /** Measured at its widest value, so that it never jumps or overflows as it runs. */
    public function clock(ClockFill $fill, Size $box): Item
    {
        return $this->changing($fill, $fill->style, $fill->pattern->candidates(), $box, [
            'kind' => 'clock',
            'tokens' => $fill->pattern->tokens,
            // The almanac's; pages of the version before look for a list here, and fill it from there.
            'offsets' => [],
        ]);
    }

    /** Measured at the widest it writes from the plan's beginning or to its end. */
    public function count(CountFill $fill, Size $box): Item
    {
        $atMs = $fill->at->instantMs($this->context->zone);
        $most = intdiv(max(0, $fill->up ? $this->context->untilMs() - $atMs : $atMs - $this->context->fromMs), 1000);

        return $this->changing($fill, $fill->style, $fill->pattern->candidates($most), $box, [
            'kind' => 'count',
            'tokens' => $fill->pattern->tokens,
            'at_ms' => $atMs,
            'up' => $fill->up,
        ]);
    }

    /**
     * One line that changes while it stands, measured at its widest.
     *
     * @param list<string>         $candidates
     * @param array<string, mixed> $drawing
     */
    private function changing(Fill $fill, TextStyle $style, array $candidates, Size $box, array $drawing): Item
    {
        [$face, $inner, $padding] = $this->frame($style, $box);
        $widest = '';
        $widestUnits = -1;
        foreach ($candidates as $candidate) {
            $units = $face->widthUnits($candidate);
            [$widest, $widestUnits] = $units > $widestUnits ? [$candidate, $units] : [$widest, $widestUnits];
        }
        $set = $this->set($widest, $face, $style, $inner, TextMode::Shrink);
        $lineMpx = $set->lineHeightPx->thousandths();
        $topMpx = $padding * 1000 + self::aside($style->valign, $inner->height * 1000, $lineMpx);
        $widthMpx = $set->widthPx()->thousandths();
        $line = [
            'x_mpx' => $padding * 1000 + self::aside($style->align, $inner->width * 1000, $widthMpx),
            'y_mpx' => $topMpx,
            'width_mpx' => $widthMpx,
        ];

        return new Item(
            $fill,
            $drawing + [
                'box_mpx' => [$padding * 1000, $topMpx, $inner->width * 1000, $lineMpx],
                'align' => $style->align,
            ] + $this->look->of($style, $set, [$line]),
            set: $set,
        );
    }

    private function setOf(TextFill $fill, Measure $faces, Size $inner): SetText
    {
        return match ($fill->ticker?->runsAcross()) {
            null => $this->set($fill->text, $faces, $fill->style, $inner),
            true => $this->set(
                self::onOneLine($fill->text),
                $faces,
                $fill->style,
                Size::of(Size::LARGEST_PX, $inner->height),
                TextMode::AsSet,
            ),
            false => $this->set(
                $fill->text,
                $faces,
                $fill->style,
                Size::of($inner->width, Size::LARGEST_PX),
                TextMode::Wrap,
            ),
        };
    }

    /** What a browser said of lines that are only estimated: of those in one face, not set apart. */
    private function measured(SetText $set, TextFill $fill, Size $inner): ?SetText
    {
        $widths = $this->context->widths;
        $style = $fill->style;

        return $set->exact || $widths === null || $fill->runs !== [] || $style->effects->spacingThousandths !== 0
            ? null
            : $set->measuredBy(
                static fn (string $line) => $widths->find($style->font, $style->weight, $line),
                $inner,
            );
    }

    private static function onOneLine(string $text): string
    {
        return (string) preg_replace('/\s*(\r\n|\r|\n)\s*/', self::BETWEEN, $text);
    }

    /** @return \Closure(int): FontFace the faces of its family by weight, spaced as it is */
    private function faceOf(TextStyle $style): \Closure
    {
        return fn (int $weight) => $this->context->fonts
            ->face($style->font, $weight)
            ->spaced($style->effects->spacingThousandths);
    }

    /** @return array{FontFace, Size, int} the face, the box inside padding and plate, how far inside in px */
    private function frame(TextStyle $style, Size $box): array
    {
        $wanted = $this->context->px($style->paddingPx) + $this->context->px($style->effects->plate->paddingPx ?? 0);
        $padding = min($wanted, intdiv(min($box->width, $box->height) - 1, 2));
        $inner = Size::of($box->width - 2 * $padding, $box->height - 2 * $padding);

        return [$this->faceOf($style)($style->weight), $inner, $padding];
    }

    private function set(string $text, Measure $face, TextStyle $style, Size $inner, ?TextMode $mode = null): SetText
    {
        return TextSetter::set(
            $text,
            $face,
            $mode ?? $style->mode,
            $this->context->px($style->sizePx),
            $this->context->px($style->minSizePx),
            $inner,
            $style->lineHeightThousandths,
        );
    }

    /** How far in the first of what is used lies. */
    private static function aside(string $align, int $roomMpx, int $usedMpx): int
    {
        return match ($align) {
            'left', 'top' => 0,
            'right', 'bottom' => $roomMpx - $usedMpx,
            default => Rational::of($roomMpx - $usedMpx, 2)->round(),
        };
    }
}
