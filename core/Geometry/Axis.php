<?php

declare(strict_types=1);

namespace UpperPane\Core\Geometry;

/** A split into columns runs along x, one into rows along y. */
enum Axis: string
{
    case X = 'x';
    case Y = 'y';

    public static function ofSplit(string $split): self
    {
        return $split === 'columns' ? self::X : self::Y;
    }

    public function splitName(): string
    {
        return $this === self::X ? 'columns' : 'rows';
    }

    public function lengthOf(Size $size): int
    {
        return $this === self::X ? $size->width : $size->height;
    }

    /** The same size with another length along this axis. */
    public function sized(Size $size, int $lengthPx): Size
    {
        return $this === self::X ? Size::of($lengthPx, $size->height) : Size::of($size->width, $lengthPx);
    }

    public function other(): self
    {
        return $this === self::X ? self::Y : self::X;
    }
}
