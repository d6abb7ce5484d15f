<?php

declare(strict_types=1);

namespace UpperPane\Core\Geometry;

/** How many px a set of rectangles covers, each counted once however often it is covered. */
final class Area
{
    /**
     * @param list<Rect> $rects
     */
    public static function covered(array $rects): int
    {
        $edges = [];
        foreach ($rects as $rect) {
            $edges[$rect->x] = $edges[$rect->right()] = true;
        }
        ksort($edges);
        $edges = array_keys($edges);
        $covered = 0;
        for ($i = 1, $count = count($edges); $i < $count; ++$i) {
            $strip = array_filter(
                $rects,
                static fn (Rect $rect) => $rect->x <= $edges[$i - 1] && $rect->right() >= $edges[$i],
            );
            $covered += ($edges[$i] - $edges[$i - 1]) * self::length($strip);
        }

        return $covered;
    }

    /** @param array<int, Rect> $strip */
    private static function length(array $strip): int
    {
        usort($strip, static fn (Rect $a, Rect $b) => $a->y <=> $b->y);
        $length = 0;
        $reached = \PHP_INT_MIN;
        foreach ($strip as $rect) {
            $length += max(0, $rect->bottom() - max($reached, $rect->y));
            $reached = max($reached, $rect->bottom());
        }

        return $length;
    }
}
