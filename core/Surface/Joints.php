<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rect;

/**
 * The seams between panels, in canvas px, sorted by y, then x. Butted ones have no width but are listed, so that faces
 * and text on a joint can be found (model §2).
 */
final class Joints
{
    /**
     * Panels that stand as columns × rows without overlapping have a grid's seams; any others have one wherever two
     * edges face.
     *
     * @param list<Rect> $panels
     *
     * @return list<Rect>
     */
    public static function of(array $panels): array
    {
        $lines = self::gridLines($panels);

        return $lines === null ? self::facing($panels) : self::ofGrid($lines[0], $lines[1]);
    }

    /**
     * Vertical seams run full height, horizontal ones lie between them, so that panels and seams tile the bounding box.
     *
     * @param list<array{int, int}> $columns start and end of each column, from the left
     * @param list<array{int, int}> $rows    start and end of each row, from the top
     *
     * @return list<Rect>
     */
    public static function ofGrid(array $columns, array $rows): array
    {
        $top = $rows[0][0];
        $height = $rows[count($rows) - 1][1] - $top;
        $seams = [];
        for ($i = 1, $count = count($columns); $i < $count; ++$i) {
            $seams[] = Rect::of($columns[$i - 1][1], $top, $columns[$i][0] - $columns[$i - 1][1], $height);
        }
        for ($i = 1, $count = count($rows); $i < $count; ++$i) {
            foreach ($columns as [$start, $end]) {
                $seams[] = Rect::of($start, $rows[$i - 1][1], $end - $start, $rows[$i][0] - $rows[$i - 1][1]);
            }
        }

        return self::sorted($seams);
    }

    /**
     * The columns and rows of a regular grid; null when the panels are none.
     *
     * @param list<Rect> $panels
     *
     * @return ?array{list<array{int, int}>, list<array{int, int}>}
     */
    public static function gridLines(array $panels): ?array
    {
        $lines = [];
        foreach (Axis::cases() as $axis) {
            $stretches = [];
            foreach ($panels as $panel) {
                $start = $panel->start($axis);
                if (($stretches[$start] ??= $panel->end($axis)) !== $panel->end($axis)) {
                    return null;
                }
            }
            ksort($stretches);
            $line = array_map(static fn (int $start, int $end) => [$start, $end], array_keys($stretches), $stretches);
            for ($i = 1, $count = count($line); $i < $count; ++$i) {
                if ($line[$i][0] < $line[$i - 1][1]) {
                    return null;
                }
            }
            $lines[] = $line;
        }
        $places = array_unique(array_map(static fn (Rect $panel) => $panel->x.' '.$panel->y, $panels));

        return count($places) === count($panels) && count($panels) === count($lines[0]) * count($lines[1])
            ? $lines
            : null;
    }

    /**
     * The gap between two facing edges wherever they overlap by at least 1 px and no panel stands between.
     *
     * @param list<Rect> $panels
     *
     * @return list<Rect>
     */
    private static function facing(array $panels): array
    {
        return self::sorted([...self::facingAlong(Axis::X, $panels), ...self::facingAlong(Axis::Y, $panels)]);
    }

    /**
     * Panels come in the order in which they begin along the axis. What has come so far is kept as a front: stretches
     * across it, each with the farthest edge there and whose it is. A panel that begins at or beyond such an edge
     * leaves a seam.
     *
     * @param list<Rect> $panels
     *
     * @return list<Rect>
     */
    private static function facingAlong(Axis $axis, array $panels): array
    {
        usort($panels, static fn (Rect $a, Rect $b) => $a->start($axis) <=> $b->start($axis));
        $across = $axis->other();
        /** @var list<array{int, int, int, int}> $front from, to, edge, whose */
        $front = [];
        $seams = [];
        foreach ($panels as $own => $panel) {
            [$from, $to, $start, $end] = [
                $panel->start($across),
                $panel->end($across),
                $panel->start($axis),
                $panel->end($axis),
            ];
            $first = self::firstBeyond($front, $from);
            [$new, $reached] = [[], $from];
            for ($i = $first, $count = count($front); $i < $count && $front[$i][0] < $to; ++$i) {
                [$low, $high, $edge, $owner] = $front[$i];
                if ($low < $from) {
                    $new[] = [$low, $from, $edge, $owner];
                }
                if ($low > $reached) {
                    $new[] = [$reached, $low, $end, $own];
                }
                [$left, $right] = [max($low, $from), min($high, $to)];
                if ($edge <= $start) {
                    $seams[] = $panel->along($axis, $edge, $start - $edge)->along($across, $left, $right - $left);
                }
                $new[] = $edge > $end ? [$left, $right, $edge, $owner] : [$left, $right, $end, $own];
                if ($high > $to) {
                    $new[] = [$to, $high, $edge, $owner];
                }
                $reached = $right;
            }
            if ($reached < $to) {
                $new[] = [$reached, $to, $end, $own];
            }
            array_splice($front, $first, $i - $first, self::joined($new));
        }

        return $seams;
    }

    /**
     * Index of the first stretch that ends beyond a px.
     *
     * @param list<array{int, int, int, int}> $front
     */
    private static function firstBeyond(array $front, int $px): int
    {
        [$low, $high] = [0, count($front)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $front[$middle][1] > $px ? ($high = $middle) : ($low = $middle + 1);
        }

        return $low;
    }

    /**
     * Neighbouring stretches of the same edge are one.
     *
     * @param list<array{int, int, int, int}> $stretches
     *
     * @return list<array{int, int, int, int}>
     */
    private static function joined(array $stretches): array
    {
        $joined = [];
        $open = null;
        foreach ($stretches as $stretch) {
            if ($open !== null && $open[1] === $stretch[0] && $open[3] === $stretch[3]) {
                $open = [$open[0], $stretch[1], $open[2], $open[3]];
                continue;
            }
            if ($open !== null) {
                $joined[] = $open;
            }
            $open = $stretch;
        }

        return $open === null ? $joined : [...$joined, $open];
    }

    /**
     * @param list<Rect> $seams
     *
     * @return list<Rect>
     */
    private static function sorted(array $seams): array
    {
        usort($seams, static fn (Rect $a, Rect $b) => [$a->y, $a->x] <=> [$b->y, $b->x]);

        return $seams;
    }
}
