<?php

declare(strict_types=1);

namespace UpperPane\Core\Output;

use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Surface\PlacedPanel;
use UpperPane\Core\Surface\Surface;

/**
 * What one output shows so that a person in front of the wall can tell which panel it feeds and whether it is right:
 * our own drawing, as SVG of exactly its raster. Everything but the border is drawn on the canvas and goes the slice's
 * way, so a wrong turn, a mirror, a scaled signal or a wrong bezel shows as what it is.
 */
final class TestCard
{
    private const INK = '#F4F1EA';
    private const GROUND = '#16212A';
    private const ACROSS = '#E8A33D';
    private const GREYS = 11;

    public static function svg(Output $output, Surface $surface): string
    {
        [$width, $height] = $output->raster->toArray();
        $slices = implode(
            '',
            array_map(
                static fn (Slice $slice, int $index) => self::slice($slice, $index, $output, $surface),
                $output->slices,
                array_keys($output->slices),
            ),
        );

        $size = "width=\"$width\" height=\"$height\"";

        return "<svg xmlns=\"http://www.w3.org/2000/svg\" $size viewBox=\"0 0 $width $height\" ".
            'font-family="Roboto, sans-serif" shape-rendering="crispEdges">'.
            "<rect width=\"$width\" height=\"$height\" fill=\"#000000\"/>$slices</svg>";
    }

    private static function slice(Slice $slice, int $index, Output $output, Surface $surface): string
    {
        [$x, $y, $width, $height] = $slice->raster->toArray();
        $panel = $surface->panel($slice->panel);
        $matrix = implode(' ', $slice->matrix());
        $border = sprintf(
            '<rect x="%s" y="%s" width="%d" height="%d" fill="none" stroke="%s" stroke-width="1"/>',
            $x + 0.5,
            $y + 0.5,
            $width - 1,
            $height - 1,
            self::INK,
        );

        return "<clipPath id=\"s$index\"><rect x=\"$x\" y=\"$y\" width=\"$width\" height=\"$height\"/></clipPath>".
            "<g clip-path=\"url(#s$index)\"><g transform=\"matrix($matrix)\">".
            self::panel($panel, $output).
            self::across($surface).
            "</g>$border</g>";
    }

    private static function panel(PlacedPanel $panel, Output $output): string
    {
        $rect = $panel->rect;

        return sprintf(
            '<rect x="%d" y="%d" width="%d" height="%d" fill="%s"/>',
            ...[...$rect->toArray(), self::GROUND],
        ).
            self::greys($rect).
            self::ruler($rect).
            self::name($panel, $output);
    }

    /** Eleven greys from black to white in equal steps of the signal, along the foot. */
    private static function greys(Rect $rect): string
    {
        $height = max(1, intdiv($rect->height, 10));
        $svg = '';
        for ($step = 0; $step < self::GREYS; ++$step) {
            $from = $rect->x + intdiv($rect->width * $step, self::GREYS);
            $to = $rect->x + intdiv($rect->width * ($step + 1), self::GREYS);
            $level = intdiv(255 * $step, self::GREYS - 1);
            $svg .= sprintf(
                '<rect x="%d" y="%d" width="%d" height="%d" fill="rgb(%5$d,%5$d,%5$d)"/>',
                $from,
                $rect->bottom() - $height,
                $to - $from,
                $height,
                $level,
            );
        }

        return $svg;
    }

    /**
     * Ticks along the top and the left every 10 px, longer at 50 and 100, with a number at every 100 where it has room.
     */
    private static function ruler(Rect $rect): string
    {
        $unit = max(2, intdiv(min($rect->width, $rect->height), 90));
        $path = $numbers = '';
        $length = static fn (int $px) => $unit * ($px % 100 === 0 ? 3 : ($px % 50 === 0 ? 2 : 1));
        for ($px = 10; $px < $rect->width; $px += 10) {
            $path .= sprintf('M%d %dv%d', $rect->x + $px, $rect->y, $length($px));
            $numbers .=
                $px % 100 === 0 && $unit >= 8 && $px + 4 * $unit < $rect->width
                    ? sprintf(
                        '<text x="%d" y="%d" text-anchor="middle">%d</text>',
                        $rect->x + $px,
                        $rect->y + 5 * $unit,
                        $px,
                    )
                    : '';
        }
        for ($px = 10; $px < $rect->height; $px += 10) {
            $path .= sprintf('M%d %dh%d', $rect->x, $rect->y + $px, $length($px));
            $numbers .=
                $px % 100 === 0 && $unit >= 8
                    ? sprintf(
                        '<text x="%d" y="%d" dominant-baseline="central">%d</text>',
                        $rect->x + 4 * $unit,
                        $rect->y + $px,
                        $px,
                    )
                    : '';
        }

        return sprintf(
            '<path d="%s" stroke="%s" stroke-width="1" transform="translate(0.5 0.5)"/>'.
                '<g fill="%2$s" font-size="%d">%s</g>',
            $path,
            self::INK,
            2 * $unit,
            $numbers,
        );
    }

    /** The circle, the arrow that points up on the wall, the panel's letter and number, player and output. */
    private static function name(PlacedPanel $panel, Output $output): string
    {
        $rect = $panel->rect;
        $unit = min($rect->width, $rect->height) / 100;
        [$x, $y] = [$rect->x + $rect->width / 2, $rect->y + $rect->height * 0.46];
        $wide = $rect->width > 3 * $rect->height;
        $beside = $wide ? [$x + 55 * $unit, $y - 4 * $unit, 24] : [$x, $y + 24 * $unit, 7];
        $text = static fn (float $atX, float $atY, float $size, string $words, string $anchor) => sprintf(
            '<text x="%.2F" y="%.2F" font-size="%.2F" font-weight="700" text-anchor="%s" fill="%s">%s</text>',
            $atX,
            $atY,
            $size * $unit,
            $anchor,
            self::INK,
            htmlspecialchars($words, \ENT_XML1),
        );
        $arrow = sprintf(
            'M%.2F %.2Fl%.2F %.2Fh%.2Fv%.2Fh%.2Fv%.2Fh%.2Fz',
            $x,
            $y - 36 * $unit,
            9 * $unit,
            10 * $unit,
            -6 * $unit,
            7 * $unit,
            -6 * $unit,
            -7 * $unit,
            -6 * $unit,
        );

        return sprintf(
            '<circle cx="%.2F" cy="%.2F" r="%.2F" fill="none" stroke="%s" stroke-width="%.2F" '.
                'shape-rendering="geometricPrecision"/>',
            $x,
            $y,
            40 * $unit,
            self::INK,
            max(1, $unit / 2),
        ).
            sprintf('<path d="%s" fill="%s"/>', $arrow, self::INK).
            $text($x, $y + 10 * $unit, 26, $panel->letter().' '.$panel->number, 'middle').
            $text($beside[0], $beside[1], $beside[2], $output->name(), $wide ? 'start' : 'middle').
            $text(
                $beside[0],
                $beside[1] + 1.3 * $beside[2] * $unit,
                0.7 * $beside[2],
                implode(' × ', $output->raster->toArray()).' px',
                $wide ? 'start' : 'middle',
            );
    }

    /** Lines over the whole canvas, behind the seams too: straight only where the bezels are counted right. */
    private static function across(Surface $surface): string
    {
        [$width, $height] = $surface->canvas->toArray();
        if (count($surface->panels) === 1) {
            return '';
        }
        $path = sprintf('M0 0L%1$d %2$dM0 %2$dL%1$d 0M0 %3$.1Fh%1$d', $width, $height, $height / 4);

        return sprintf(
            '<g fill="none" stroke="%s" stroke-width="%d" shape-rendering="geometricPrecision"><path d="%s"/>'.
                '<circle cx="%.1F" cy="%.1F" r="%.1F"/></g>',
            self::ACROSS,
            max(1, intdiv(min($width, $height), 400)),
            $path,
            $width / 2,
            $height / 2,
            min($width, $height) * 0.47,
        );
    }
}
