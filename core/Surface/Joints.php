<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rect;

/**
 * The seams between panels, in canvas px, sorted by y, then x. Butted ones have no width but are listed, so that faces and
 * text on a joint can be found (model §2).
 */
final class Joints
{
    /**
     * Panels that stand as columns × rows without overlapping have a grid's seams; any others have one wherever two edges face.
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

        return count($places) === count($panels) && count($panels) === count($lines[0]) * count($lines[1]) ? $lines : null;
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
        $seams = [];
        foreach (Axis::cases() as $axis) {
            $ordered = $panels;
            usort($ordered, static fn (Rect $a, Rect $b) => $a->start($axis) <=> $b->start($axis));
            foreach ($ordered as $at => $panel) {
                $seams = [...$seams, ...self::after($panel, $ordered, $at, $axis)];
            }
        }

        return self::sorted($seams);
    }

    /**
     * The seams on one panel's far side: each stretch of its edge belongs to the first panel that begins at or beyond it.
     *
     * @param list<Rect> $ordered by their start along the axis
     *
     * @return list<Rect>
     */
    private static function after(Rect $panel, array $ordered, int $at, Axis $axis): array
    {
        $across = $axis->other();
        $edge = $panel->end($axis);
        $free = [[$panel->start($across), $panel->end($across)]];
        $seams = [];
        for ($i = $at + 1, $count = count($ordered); $i < $count && $free !== []; ++$i) {
            $other = $ordered[$i];
            [$from, $to] = [$other->start($across), $other->end($across)];
            if ($other->end($axis) <= $edge || $to <= $panel->start($across) || $from >= $panel->end($across)) {
                continue;
            }
            $left = [];
            foreach ($free as [$start, $end]) {
                [$low, $high] = [max($start, $from), min($end, $to)];
                if ($low >= $high) {
                    $left[] = [$start, $end];
                    continue;
                }
                if ($other->start($axis) >= $edge) {
                    $seams[] = $panel->along($axis, $edge, $other->start($axis) - $edge)->along($across, $low, $high - $low);
                }
                $left = [...$left, ...array_filter([[$start, $low], [$high, $end]], static fn (array $rest) => $rest[0] < $rest[1])];
            }
            $free = $left;
        }

        return $seams;
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
