<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;

/** The size at which a browser shows a file. */
final class AsShown
{
    /** Browsers' textures end here (common practice): a longer side cannot be drawn reliably. */
    public const LONGEST_SIDE_PX = 16_384;
    /** Half a GB where it is drawn, four bytes for each px; our own programs read up to twice as many. */
    public const MOST_PX = 1 << 27;

    /**
     * @param int $orientation as EXIF 2.3 writes it, 1 to 8: from 5 on width and height are exchanged (§4.6.4, tag 274)
     *
     * @throws Refusal `stock.no_picture`, `stock.side_too_long`, `stock.too_many_px`
     */
    public static function picture(int $widthPx, int $heightPx, int $orientation = 1): Size
    {
        $size = self::bounded($widthPx, $heightPx);

        return in_array($orientation, [5, 6, 7, 8], true) ? $size->turned(90) : $size;
    }

    /**
     * @param string $sampleRatio width to height of one pixel, such as `4:3`; `0:1` where the file does not say
     * @param int    $rotation    degrees, as the container writes it
     *
     * @throws Refusal `stock.no_picture`, `stock.side_too_long`, `stock.too_many_px`
     */
    public static function video(
        int $widthPx,
        int $heightPx,
        string $sampleRatio = '1:1',
        int $rotation = 0,
    ): Size {
        [$x, $y] = array_map(intval(...), explode(':', $sampleRatio) + [1 => '1']);
        $size = self::bounded(
            $x > 0 && $y > 0 ? Rational::of($widthPx)->times(Rational::of($x, $y))->round() : $widthPx,
            $heightPx,
        );

        return abs($rotation) % 180 === 90 ? $size->turned(90) : $size;
    }

    private static function bounded(int $widthPx, int $heightPx): Size
    {
        if ($widthPx < 1 || $heightPx < 1) {
            throw Refusal::because('stock.no_picture', '/file');
        }
        if (max($widthPx, $heightPx) > self::LONGEST_SIDE_PX) {
            throw Refusal::because('stock.side_too_long', '/file', [
                'width' => $widthPx,
                'height' => $heightPx,
                'most' => self::LONGEST_SIDE_PX,
            ]);
        }

        if ($widthPx * $heightPx > self::MOST_PX) {
            throw Refusal::because('stock.too_many_px', '/file', [
                'width' => $widthPx,
                'height' => $heightPx,
                'most' => intdiv(self::MOST_PX, 1_000_000),
            ]);
        }

        return Size::of($widthPx, $heightPx);
    }
}
