<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Geometry\Rect;

/** Rows by overlap of at least half the lower height, then left to right (model §3). */
final class ReadingOrder
{
    /**
     * @param array<string, Rect> $rects by zone id
     *
     * @return list<string> zone ids
     */
    public static function of(array $rects): array
    {
        $open = $rects;
        uasort($open, static fn (Rect $a, Rect $b) => [$a->y, $a->x] <=> [$b->y, $b->x]);
        $order = [];
        while ($open !== []) {
            $first = $open[array_key_first($open)];
            $row = array_filter($open, static fn (Rect $rect) => self::sameRow($first, $rect));
            uasort($row, static fn (Rect $a, Rect $b) => [$a->x, $a->y] <=> [$b->x, $b->y]);
            $order = [...$order, ...array_keys($row)];
            $open = array_diff_key($open, $row);
        }

        return array_map(strval(...), $order);
    }

    private static function sameRow(Rect $a, Rect $b): bool
    {
        return 2 * (min($a->bottom(), $b->bottom()) - max($a->y, $b->y)) >= min($a->height, $b->height);
    }
}
