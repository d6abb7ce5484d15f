<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\Fill\ClockFill;
use UpperPane\Core\Design\Fill\ColourFill;
use UpperPane\Core\Design\Fill\Fill;
use UpperPane\Core\Design\Fill\FillKind;
use UpperPane\Core\Design\Fill\MediaFill;
use UpperPane\Core\Design\Fill\TextFill;
use UpperPane\Core\Design\Fill\TextStyle;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\Fit;
use UpperPane\Core\Text\FontFace;
use UpperPane\Core\Text\ReadingTime;
use UpperPane\Core\Text\SetText;
use UpperPane\Core\Text\TextMode;
use UpperPane\Core\Text\TextSetter;
use UpperPane\Core\Time\OffsetTable;

/** One fill in a box → how it is drawn there. */
final readonly class ItemCompiler
{
    public function __construct(private PlanContext $context)
    {
    }

    public function compile(Fill $fill, Size $box): Item
    {
        return match ($fill->kind()) {
            FillKind::Empty, FillKind::Playlist => new Item($fill, ['kind' => 'standby']),
            FillKind::Colour => new Item($fill, [
                'kind' => 'colour',
                'colour' => self::as(ColourFill::class, $fill)->colour->hex,
            ]),
            FillKind::Picture, FillKind::Video => $this->media(self::as(MediaFill::class, $fill), $box),
            FillKind::Text => $this->text(self::as(TextFill::class, $fill), $box),
            FillKind::Clock => $this->clock(self::as(ClockFill::class, $fill), $box),
        };
    }

    /**
     * @template F of Fill
     *
     * @param class-string<F> $class
     *
     * @return F
     */
    private static function as(string $class, Fill $fill): Fill
    {
        return $fill instanceof $class
            ? $fill
            : throw new \LogicException("A fill of kind {$fill->kind()->value} is a $class.");
    }

    private function media(MediaFill $fill, Size $box): Item
    {
        $facts = $this->context->media->find($fill->media);
        if ($facts === null || $facts->size === null) {
            return new Item($fill, ['kind' => 'standby'], media: $facts);
        }
        $fit = Fit::of($facts->size, $box, $fill->fit, $fill->focusX, $fill->focusY);

        return new Item(
            $fill,
            [
                'kind' => $facts->isVideo() ? 'video' : 'picture',
                'sha256' => $facts->sha256,
                'drawn_mpx' => array_map(self::thousandths(...), $fit->drawn),
                'ground' => $fill->ground->hex,
                'cut_ppm' => $fit->cut->times(Rational::of(1_000_000))->round(),
                'scale_ppm' => $fit->enlargement()->times(Rational::of(1_000_000))->round(),
            ] + ($facts->isVideo() ? ['content_ms' => $facts->durationMs ?? 0, 'sound' => $fill->sound] : []),
            fit: $fit,
            media: $facts,
            contentMs: $facts->durationMs,
        );
    }

    private function text(TextFill $fill, Size $box): Item
    {
        [$face, $inner, $padding] = $this->frame($fill->style, $box);
        $set = $this->set($fill->text, $face, $fill->style, $inner);
        $lineMpx = self::thousandths($set->lineHeightPx);
        $topMpx =
            $this->top($fill->style->valign, $inner->height * 1000, $lineMpx * count($set->lines)) + $padding * 1000;
        $lines = [];
        foreach ($set->lines as $index => $line) {
            $widthMpx = self::thousandths($line['width']);
            $lines[] = [
                'text' => $line['text'],
                'x_mpx' => $padding * 1000 + $this->left($fill->style->align, $inner->width * 1000, $widthMpx),
                'y_mpx' => $topMpx + $index * $lineMpx,
                'width_mpx' => $widthMpx,
            ];
        }

        return new Item(
            $fill,
            ['kind' => 'text', 'lines' => $lines] + $this->styling($fill->style, $set, $lineMpx),
            set: $set,
            contentMs: ReadingTime::ofMs($fill->text),
        );
    }

    /** Measured at its widest value, so that it never jumps or overflows as it runs. */
    private function clock(ClockFill $fill, Size $box): Item
    {
        [$face, $inner, $padding] = $this->frame($fill->style, $box);
        $widest = '';
        $widestUnits = -1;
        foreach ($fill->pattern->candidates() as $candidate) {
            $units = $face->widthUnits($candidate);
            [$widest, $widestUnits] = $units > $widestUnits ? [$candidate, $units] : [$widest, $widestUnits];
        }
        $set = $this->set($widest, $face, $fill->style, $inner, TextMode::Shrink);
        $lineMpx = self::thousandths($set->lineHeightPx);

        return new Item(
            $fill,
            [
                'kind' => 'clock',
                'tokens' => $fill->pattern->tokens,
                'offsets' => OffsetTable::over($this->context->zone, $this->context->fromMs, $this->context->untilMs()),
                'box_mpx' => [
                    $padding * 1000,
                    $padding * 1000 + $this->top($fill->style->valign, $inner->height * 1000, $lineMpx),
                    $inner->width * 1000,
                    $lineMpx,
                ],
                'align' => $fill->style->align,
            ] + $this->styling($fill->style, $set, $lineMpx),
            set: $set,
        );
    }

    /** @return array{FontFace, Size, int} the face, the box inside the padding, the padding in px */
    private function frame(TextStyle $style, Size $box): array
    {
        $padding = min($this->context->px($style->paddingPx), intdiv(min($box->width, $box->height) - 1, 2));
        $inner = Size::of($box->width - 2 * $padding, $box->height - 2 * $padding);

        return [$this->context->fonts->face($style->font, $style->weight), $inner, $padding];
    }

    private function set(string $text, FontFace $face, TextStyle $style, Size $inner, ?TextMode $mode = null): SetText
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
            'ground' => $style->ground->hex,
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

    private static function thousandths(Rational $px): int
    {
        return $px->times(Rational::of(1000))->round();
    }
}
