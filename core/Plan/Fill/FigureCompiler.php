<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Fill;

use UpperPane\Core\Design\Fill\Clip;
use UpperPane\Core\Design\Fill\DialFill;
use UpperPane\Core\Design\Fill\ProgressFill;
use UpperPane\Core\Design\Fill\QrFill;
use UpperPane\Core\Design\Fill\Shape;
use UpperPane\Core\Design\Fill\ShapeFill;
use UpperPane\Core\Design\Fill\TextFill;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Legibility\Qr\QrCode;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\PlanContext;

/** What is drawn rather than written: shapes, dials, QR codes, in a box. */
final readonly class FigureCompiler
{
    /** A QR code is read from about ten times its width (model §5, rule of thumb). */
    private const WIDTHS_AWAY = 10;

    public function __construct(private PlanContext $context)
    {
    }

    /** In whole px per module, so that every module is as sharp and as large as every other (model §5). */
    public function qr(QrFill $fill, Size $box): Item
    {
        $side = $fill->code->side ?? 1;
        $module = $fill->code === null ? 0 : intdiv($box->shortSide(), $side);
        $wide = ($side - 2 * QrCode::QUIET) * $module;
        $pitch = $this->context->pitchUm;

        return new Item($fill, [
            'kind' => 'qr',
            'rows' => $module === 0 ? [] : $fill->code?->rows,
            'module_px' => $module,
            'place_px' => [intdiv($box->width - $side * $module, 2), intdiv($box->height - $side * $module, 2)],
            'colour' => $fill->colour->hex,
            'ground' => $fill->ground->hex,
            'scan_mm' => $pitch === null
                ? null
                : $pitch->times(Rational::of(self::WIDTHS_AWAY * $wide, 1000))->round(),
        ], modulePx: $module);
    }

    public function dial(DialFill $fill, Size $box): Item
    {
        return new Item($fill, [
            'kind' => 'dial',
            'hands' => $fill->hands->hex,
            'face' => $fill->face->hex,
            'accent' => $fill->accent->hex,
            'ground' => $fill->ground?->hex,
            'seconds' => $fill->seconds,
            // A margin of a twentieth on every side.
            'circle_mpx' => [$box->width * 500, $box->height * 500, $box->shortSide() * 450],
            // The almanac's; pages of the version before look for a list here, and fill it from there.
            'offsets' => [],
        ]);
    }

    /** A bar along the longer side, or a ring a sixth of its radius thick that begins at the top. */
    public function progress(ProgressFill $fill, Size $box): Item
    {
        $radius = $box->shortSide() * 450;

        return new Item($fill, [
            'kind' => 'progress',
            'of' => $fill->of,
            'whole' => $fill->whole,
            'upright' => $box->isPortrait(),
            'colour' => $fill->colour->hex,
            'track' => $fill->track->hex,
            'ground' => $fill->ground?->hex,
        ] + ($fill->form === 'bar'
            ? []
            : ['ring_mpx' => [$box->width * 500, $box->height * 500, $radius, intdiv($radius, 6)]]));
    }

    /** As a path in thousandths of a px (SVG 2 §9.3); a line around it stays in the box. */
    public function shape(ShapeFill $fill, Size $box): Item
    {
        $lineMpx = $fill->line === null ? 0 : 1000 * $this->context->px($fill->line->px);
        $inset = min(
            1000 * $this->context->px($fill->paddingPx) + intdiv($lineMpx, 2),
            $box->shortSide() * 500 - 500,
        );
        [$width, $height] = [$box->width * 1000 - 2 * $inset, $box->height * 1000 - 2 * $inset];
        $radius = min(1000 * $this->context->px($fill->radiusPx), intdiv(min($width, $height), 2));

        [$room, $label] = $fill->label === null
            ? [[], null]
            : $this->label($fill->shape, $fill->label, $inset, $width, $height);

        return new Item(
            $fill,
            [
                'kind' => 'shape',
                'path' => self::path($fill->shape, $inset, $width, $height, $radius),
                'box_mpx' => [0, 0, $box->width * 1000, $box->height * 1000],
                'colour' => $fill->colour->hex,
                'ground' => $fill->ground?->hex,
            ] + array_filter([
                'gradient' => $fill->gradient === null
                    ? null
                    : ['to' => $fill->gradient->to->hex, 'line' => $fill->gradient->line()],
                'line' => $fill->line === null
                    ? null
                    : ['colour' => $fill->line->colour->hex, 'width_mpx' => $lineMpx],
                'label' => $label === null ? null : ['rect_mpx' => $room] + $label->drawing,
            ]),
            set: $label?->set,
        );
    }

    /** @return array{array{int, int, int, int}, Item} where the words stand, in whole px, and how they are set there */
    private function label(Shape $shape, TextFill $label, int $insetMpx, int $widthMpx, int $heightMpx): array
    {
        $px = static fn (int $insetMpx, int $mpx, int $part) => intdiv($insetMpx + intdiv($mpx * $part, 1000), 1000);
        [$x, $y, $width, $height] = $shape->room();
        $rect = [
            $px($insetMpx, $widthMpx, $x),
            $px($insetMpx, $heightMpx, $y),
            max(1, $px(0, $widthMpx, $width)),
            max(1, $px(0, $heightMpx, $height)),
        ];

        return [
            array_map(static fn (int $px) => 1000 * $px, $rect),
            (new TextCompiler($this->context))->text($label, Size::of($rect[2], $rect[3])),
        ];
    }

    /**
     * What a zone is seen in: a path in px of its box, and the line along its edge.
     *
     * @return array{path: string, line?: array{path: string, colour: string, width_mpx: int}}
     */
    public function clip(Clip $clip, Size $box): array
    {
        [$width, $height] = [$box->width * 1000, $box->height * 1000];
        $radius = min(1000 * $this->context->px($clip->radiusPx), intdiv(min($width, $height), 2));
        $path = self::path($clip->shape, 0, $width, $height, $radius, 1000);
        if ($clip->line === null) {
            return ['path' => $path];
        }
        $lineMpx = min(1000 * $this->context->px($clip->line->px), intdiv(min($width, $height), 2));
        $half = intdiv($lineMpx, 2);
        [$width, $height] = [$width - 2 * $half, $height - 2 * $half];

        return [
            'path' => $path,
            'line' => [
                'path' => self::path($clip->shape, $half, $width, $height, max(0, $radius - $half)),
                'colour' => $clip->line->colour->hex,
                'width_mpx' => $lineMpx,
            ],
        ];
    }

    /** @param int $unit so many thousandths of a px are one unit of the path */
    private static function path(
        Shape $shape,
        int $insetMpx,
        int $widthMpx,
        int $heightMpx,
        int $radiusMpx,
        int $unit = 1,
    ): string {
        $said = static fn (int $mpx) => Rational::of($mpx, $unit)->plain(3);
        [$inset, $radius] = [$said($insetMpx), $said($radiusMpx)];
        [$right, $bottom] = [$said($insetMpx + $widthMpx), $said($insetMpx + $heightMpx)];
        if ($shape === Shape::Ellipse) {
            [$x, $y] = [$said(intdiv($widthMpx, 2)), $said(intdiv($heightMpx, 2))];
            $middle = $said($insetMpx + intdiv($heightMpx, 2));

            return "M$inset $middle A$x $y 0 1 1 $right $middle A$x $y 0 1 1 $inset $middle Z";
        }
        if ($shape === Shape::Rectangle) {
            $corner = "A$radius $radius 0 0 1";
            $left = $top = $said($insetMpx + $radiusMpx);
            $far = $said($insetMpx + $widthMpx - $radiusMpx);
            $low = $said($insetMpx + $heightMpx - $radiusMpx);

            return "M$left $inset H$far $corner $right $top V$low $corner $far $bottom H$left $corner $inset $low ".
                "V$top $corner $left $inset Z";
        }
        $points = array_map(
            static fn (array $corner) => $said($insetMpx + intdiv($corner[0] * $widthMpx, 1000)).' '.
                $said($insetMpx + intdiv($corner[1] * $heightMpx, 1000)),
            $shape->corners(),
        );

        return 'M'.implode(' L', $points).' Z';
    }
}
