<?php

declare(strict_types=1);

namespace UpperPane\Core\Exchange;

use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Pane;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\PartSize;
use UpperPane\Core\Layout\Split;

/** Rectangles that tile another by cuts from edge to edge, as a glazing of px parts. */
final class Tiling
{
    /**
     * @param array<string, Rect> $tiles by pane id
     *
     * @return ?Part null when they leave a gap, overlap, or no cut runs from edge to edge
     */
    public static function of(array $tiles, Rect $whole): ?Part
    {
        return self::part($tiles, $whole, PartSize::fr(1));
    }

    /** @param array<string, Rect> $tiles */
    private static function part(array $tiles, Rect $whole, PartSize $size): ?Part
    {
        if (count($tiles) === 1) {
            $tile = reset($tiles);

            return $tile->equals($whole) ? new Pane((string) array_key_first($tiles), $size) : null;
        }
        foreach ([Axis::Y, Axis::X] as $axis) {
            $groups = self::cut($tiles, $whole, $axis);
            if (count($groups) > 1) {
                return self::split($groups, $whole, $axis, $size);
            }
        }

        return null;
    }

    /**
     * The tiles between each two cuts that no tile crosses, by where the group begins.
     *
     * @param array<string, Rect> $tiles
     *
     * @return array<int, array<string, Rect>>
     */
    private static function cut(array $tiles, Rect $whole, Axis $axis): array
    {
        uasort($tiles, static fn (Rect $a, Rect $b) => $a->start($axis) <=> $b->start($axis));
        $groups = [];
        $from = $reach = $whole->start($axis);
        foreach ($tiles as $id => $tile) {
            if ($tile->start($axis) >= $reach) {
                $from = $tile->start($axis);
            }
            $groups[$from][$id] = $tile;
            $reach = max($reach, $tile->end($axis));
        }

        return $groups;
    }

    /** @param array<int, array<string, Rect>> $groups */
    private static function split(array $groups, Rect $whole, Axis $axis, PartSize $size): ?Part
    {
        $starts = array_keys($groups);
        $parts = [];
        if ($starts[0] !== $whole->start($axis)) {
            return null;
        }
        foreach ($starts as $index => $start) {
            $length = ($starts[$index + 1] ?? $whole->end($axis)) - $start;
            $part =
                $length < 1
                    ? null
                    : self::part($groups[$start], $whole->along($axis, $start, $length), PartSize::px($length));
            if ($part === null) {
                return null;
            }
            $parts[] = $part;
        }

        return new Split('', $axis, 0, $parts, $size);
    }
}
