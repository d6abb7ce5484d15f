<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Geometry\Size;

/** Clockwise quarter turns of pixel rasters (model §2). */
final class Turn
{
    public const ALL = [0, 90, 180, 270];

    /**
     * Where pixel (u, v) of a raster comes to lie when the raster is turned clockwise.
     *
     * @param Size $raster before turning
     *
     * @return array{int, int}
     */
    public static function place(int $degrees, Size $raster, int $u, int $v): array
    {
        return match ($degrees) {
            90 => [$raster->height - 1 - $v, $u],
            180 => [$raster->width - 1 - $u, $raster->height - 1 - $v],
            270 => [$v, $raster->width - 1 - $u],
            default => [$u, $v],
        };
    }

    public static function back(int $degrees): int
    {
        return (360 - $degrees) % 360;
    }
}
