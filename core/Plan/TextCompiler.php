<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\Fill\ClockFill;
use UpperPane\Core\Design\Fill\CountFill;
use UpperPane\Core\Design\Fill\Entrance;
use UpperPane\Core\Design\Fill\Fill;
use UpperPane\Core\Design\Fill\Gradient;
use UpperPane\Core\Design\Fill\Outline;
use UpperPane\Core\Design\Fill\Plate;
use UpperPane\Core\Design\Fill\Shadow;
use UpperPane\Core\Design\Fill\TextFill;
use UpperPane\Core\Design\Fill\TextStyle;
use UpperPane\Core\Design\Fill\Ticker;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Text\FontFace;
use UpperPane\Core\Text\Measure;
use UpperPane\Core\Text\ReadingTime;
use UpperPane\Core\Text\SetText;
use UpperPane\Core\Text\TextMode;
use UpperPane\Core\Text\TextSetter;
use UpperPane\Core\Time\OffsetTable;

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

    public function __construct(private PlanContext $context)
    {
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
            $this->top($fill->style->valign, $inner->height * 1000, $lineMpx * count($set->lines)) + $padding * 1000;
        $lines = [];
        foreach ($set->lines as $index => $line) {
            $widthMpx = $line['width']->thousandths();
            $lines[] = [
                'text' => $line['text'],
                'x_mpx' => $padding * 1000 + $this->left($fill->style->align, $inner->width * 1000, $widthMpx),
                'y_mpx' => $topMpx + $index * $lineMpx,
                'width_mpx' => $widthMpx,
            ] + $runs->parts($line['text'], $line['at']);
        }
        $way = $fill->ticker === null ? null : $this->way($fill->ticker, $lines, $lineMpx, $box);
        if ($fill->ticker !== null) {
            $lines = self::atTheEdge($fill->ticker, $lines, $lineMpx);
        }

        return new Item(
            $fill,
            ['kind' => 'text', 'lines' => $lines] +
                $this->styling($fill->style, $set, $lineMpx) +
                self::gradient($fill->style->effects->gradient, $lines, $lineMpx) +
                $this->plate($fill->style->effects->plate, $lines, $lineMpx) +
                ($set->exact || $fill->ticker !== null ? [] : ['approximate' => true]) +
                ($way === null ? self::entrance($fill->entrance, $lines) : ['ticker' => $way]),
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
            'offsets' => OffsetTable::over($this->context->zone, $this->context->fromMs, $this->context->untilMs()),
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
        $topMpx = $padding * 1000 + $this->top($style->valign, $inner->height * 1000, $lineMpx);
        $widthMpx = $set->widthPx()->thousandths();
        $line = [
            'x_mpx' => $padding * 1000 + $this->left($style->align, $inner->width * 1000, $widthMpx),
            'y_mpx' => $topMpx,
            'width_mpx' => $widthMpx,
        ];

        return new Item(
            $fill,
            $drawing + [
                'box_mpx' => [$padding * 1000, $topMpx, $inner->width * 1000, $lineMpx],
                'align' => $style->align,
            ] + $this->styling($style, $set, $lineMpx) +
                self::gradient($style->effects->gradient, [$line], $lineMpx) +
                $this->plate($style->effects->plate, [$line], $lineMpx),
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

    /**
     * @param list<Line> $lines
     *
     * @return array{gradient?: array{to: string, angle: int, rect_mpx: array{int, int, int, int}}} across all the lines
     */
    private static function gradient(?Gradient $gradient, array $lines, int $lineMpx): array
    {
        return $gradient === null || $lines === []
            ? []
            : [
                'gradient' => [
                    'to' => $gradient->to->hex,
                    'angle' => $gradient->degrees,
                    'rect_mpx' => self::around($lines, $lineMpx),
                ],
            ];
    }

    /**
     * @param non-empty-list<Line> $lines
     *
     * @return array{int, int, int, int}
     */
    private static function around(array $lines, int $lineMpx): array
    {
        $left = min(array_column($lines, 'x_mpx'));
        $right = max(array_map(static fn (array $line) => $line['x_mpx'] + $line['width_mpx'], $lines));

        return [$left, $lines[0]['y_mpx'], $right - $left, $lineMpx * count($lines)];
    }

    /**
     * A ticker comes in from outside and goes until it is outside: its cycle is (box + text) ÷ speed (model §5). It
     * begins where it has come in, so that a zone never opens empty.
     *
     * @param list<Line> $lines
     *
     * @return array{from_mpx: array{int, int}, to_mpx: array{int, int}, ms: int, ahead_ms: int}
     */
    private function way(Ticker $ticker, array $lines, int $lineMpx, Size $box): array
    {
        $across = $ticker->runsAcross();
        $speed = $this->context->px($ticker->pxPerSecond);
        $boxMpx = 1000 * ($across ? $box->width : $box->height);
        $textMpx = $across ? max([0, ...array_column($lines, 'width_mpx')]) : $lineMpx * count($lines);
        [$from, $to] = $ticker->comesFromTheEnd() ? [$boxMpx, -$textMpx] : [-$textMpx, $boxMpx];

        return [
            'from_mpx' => $across ? [$from, 0] : [0, $from],
            'to_mpx' => $across ? [$to, 0] : [0, $to],
            'ms' => max(1, Rational::of($boxMpx + $textMpx, $speed)->round()),
            'ahead_ms' => Rational::of($boxMpx, $speed)->round(),
        ];
    }

    /**
     * When each line begins to come, and how long it takes: typed ones by their letters, from the side where they
     * begin.
     *
     * @param list<Line> $lines
     *
     * @return array{entrance?: array{typed: bool, lines: list<array{from_ms: int, ms: int, rtl: bool}>}}
     */
    private static function entrance(?Entrance $entrance, array $lines): array
    {
        if ($entrance === null) {
            return [];
        }
        $texts = array_column($lines, 'text');
        $shares = array_map(
            static fn (string $text) => $entrance->way === 'typed' ? max(1, mb_strlen($text)) : 1,
            $texts,
        );
        $all = max(1, array_sum($shares));
        $come = [];
        for ($index = 0, $before = 0; $index < count($texts); $before += $shares[$index++]) {
            $from = intdiv($entrance->ms * $before, $all);
            $come[] = $entrance->way === 'fade'
                ? ['from_ms' => 0, 'ms' => $entrance->ms, 'rtl' => false]
                : [
                    'from_ms' => $from,
                    'ms' => intdiv($entrance->ms * ($before + $shares[$index]), $all) - $from,
                    'rtl' => self::beginsAtTheRight($texts[$index]),
                ];
        }

        return ['entrance' => ['typed' => $entrance->way === 'typed', 'lines' => $come]];
    }

    /** By its first letter with a direction (Unicode Standard Annex #9, P2 and P3). */
    private static function beginsAtTheRight(string $text): bool
    {
        foreach (mb_str_split($text) as $letter) {
            $direction = \IntlChar::charDirection($letter);
            if ($direction === \IntlChar::CHAR_DIRECTION_LEFT_TO_RIGHT) {
                return false;
            }
            $right = [\IntlChar::CHAR_DIRECTION_RIGHT_TO_LEFT, \IntlChar::CHAR_DIRECTION_RIGHT_TO_LEFT_ARABIC];
            if (in_array($direction, $right, true)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<Line> $lines
     *
     * @return list<Line> from where they are moved
     */
    private static function atTheEdge(Ticker $ticker, array $lines, int $lineMpx): array
    {
        return array_map(
            static fn (array $line, int $index) => $ticker->runsAcross()
                ? ['x_mpx' => 0] + $line
                : ['y_mpx' => $index * $lineMpx] + $line,
            $lines,
            array_keys($lines),
        );
    }

    /**
     * @param list<Line> $lines
     *
     * @return array<string, mixed>
     */
    private function plate(?Plate $plate, array $lines, int $lineMpx): array
    {
        if ($plate === null || $lines === []) {
            return [];
        }
        $grown = 1000 * $this->context->px($plate->paddingPx);
        [$left, $top, $width, $height] = self::around($lines, $lineMpx);

        return [
            'plate' => [
                'colour' => $plate->colour->hex,
                'rect_mpx' => [$left - $grown, $top - $grown, $width + 2 * $grown, $height + 2 * $grown],
                'radius_mpx' => 1000 * $this->context->px($plate->radiusPx),
            ],
        ];
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

    /** @return array<string, mixed> */
    private function styling(TextStyle $style, SetText $set, int $lineMpx): array
    {
        return [
            'font' => $style->font,
            'weight' => $style->weight,
            'size' => $set->sizePx,
            'line_mpx' => $lineMpx,
            'colour' => $style->colour->hex,
            'ground' => $style->ground?->hex,
        ] + array_filter([
            // Thousandths of the size are that many thousandths of a px for every px of it.
            'spacing_mpx' => $set->sizePx * $style->effects->spacingThousandths,
            'outline' => $this->outline($style->effects->outline),
            'shadow' => $this->shadow($style->effects->shadow),
        ]);
    }

    /** @return ?array<string, mixed> */
    private function outline(?Outline $outline): ?array
    {
        return $outline === null
            ? null
            : ['colour' => $outline->colour->hex, 'width_mpx' => 1000 * $this->context->px($outline->px)];
    }

    /** @return ?array<string, mixed> */
    private function shadow(?Shadow $shadow): ?array
    {
        $mpx = fn (int $px) => 1000 * ($px <=> 0) * $this->context->px(abs($px));

        return $shadow === null
            ? null
            : [
                'colour' => $shadow->colour->hex,
                'x_mpx' => $mpx($shadow->xPx),
                'y_mpx' => $mpx($shadow->yPx),
                'blur_mpx' => $mpx($shadow->blurPx),
            ];
    }

    private function top(string $valign, int $roomMpx, int $usedMpx): int
    {
        return match ($valign) {
            'top' => 0,
            'bottom' => $roomMpx - $usedMpx,
            default => Rational::of($roomMpx - $usedMpx, 2)->round(),
        };
    }

    private function left(string $align, int $roomMpx, int $usedMpx): int
    {
        return match ($align) {
            'left' => 0,
            'right' => $roomMpx - $usedMpx,
            default => Rational::of($roomMpx - $usedMpx, 2)->round(),
        };
    }
}
