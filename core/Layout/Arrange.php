<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;

/** How far boxes move so that they stand in line, or with equal gaps (common practice). In px, by the boxes' keys. */
final class Arrange
{
    /**
     * An edge or the middle of each to that of a frame; what is half a px goes down, so that doing it again moves
     * nothing.
     *
     * @template K of array-key
     *
     * @param array<K, Rect> $boxes
     * @param int            $halves 0 for the start of the axis, 1 for the middle, 2 for the end
     *
     * @return array<K, int>
     */
    public static function aligned(array $boxes, Axis $axis, int $halves, Rect $frame): array
    {
        $slack = static fn (Rect $box): int => $frame->length($axis) - $box->length($axis);

        return array_map(
            static fn (Rect $box): int => $frame->start($axis) +
                Rational::of($halves * $slack($box), 2)->floor() -
                $box->start($axis),
            $boxes,
        );
    }

    /**
     * Equal gaps from the first to the last along an axis, which stay; gaps differ by a px where they must. Boxes that
     * are wider than the room overlap equally.
     *
     * @template K of array-key
     *
     * @param array<K, Rect> $boxes three or more
     *
     * @return array<K, int>
     */
    public static function spread(array $boxes, Axis $axis): array
    {
        uasort(
            $boxes,
            static fn (Rect $a, Rect $b): int => [$a->start($axis), $a->end($axis)] <=> [
                $b->start($axis),
                $b->end($axis),
            ],
        );
        $lengths = array_map(static fn (Rect $box): int => $box->length($axis), $boxes);
        $first = reset($boxes);
        $last = end($boxes);
        if ($first === false || $last === false) {
            return [];
        }
        $room = $last->end($axis) - $first->start($axis) - array_sum($lengths);
        $moved = [];
        $taken = $index = 0;
        foreach ($boxes as $key => $box) {
            $gaps = Rational::of($room * $index, max(1, count($boxes) - 1))->round();
            $moved[$key] = $first->start($axis) + $taken + $gaps - $box->start($axis);
            $taken += $box->length($axis);
            ++$index;
        }

        return $moved;
    }
}
