<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Geometry\Axis;

/** A point of a rectangle: a corner, the middle of an edge, or the centre. */
enum Anchor: string
{
    case TopLeft = 'top-left';
    case Top = 'top';
    case TopRight = 'top-right';
    case Left = 'left';
    case Centre = 'centre';
    case Right = 'right';
    case BottomLeft = 'bottom-left';
    case Bottom = 'bottom';
    case BottomRight = 'bottom-right';

    /** Where it lies along an axis, in halves of the length: 0, 1 or 2. */
    public function halves(Axis $axis): int
    {
        [$x, $y] = match ($this) {
            self::TopLeft => [0, 0],
            self::Top => [1, 0],
            self::TopRight => [2, 0],
            self::Left => [0, 1],
            self::Centre => [1, 1],
            self::Right => [2, 1],
            self::BottomLeft => [0, 2],
            self::Bottom => [1, 2],
            self::BottomRight => [2, 2],
        };

        return $axis === Axis::X ? $x : $y;
    }
}
