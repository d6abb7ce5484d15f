<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/**
 * The transparent openings of a picture (model §4): 4-connected areas of little alpha, found row by row in time linear
 * in its px. Runs of open px are joined with those above them; the largest rectangle of each area is the largest under
 * a run's heights, looked for only where a run gets narrower below, since elsewhere a taller one would do.
 */
final class CutOut
{
    public const ALPHA = 8;
    /** What lies under the art goes on so far beneath its edge. */
    private const GROWN_PX = 2;
    /** Of art, so many at most are offered, and none that is but a speck: a ten thousandth of the picture. */
    private const MOST_OFFERED = 24;
    private const SPECK = 10_000;

    /** @var array<int, int> the area that an area was joined to, itself if none */
    private array $joined = [];
    /** @var array<int, array{int, int, int, int, int}> px, left, top, right, bottom of areas */
    private array $extent = [];
    /** @var array<int, array{int, int, int, int, int}> px, x, y, width, height of the largest rectangle of areas */
    private array $largest = [];

    private function __construct(private readonly Size $size)
    {
    }

    /**
     * @param string $alpha one byte for each px, row by row
     * @param int    $most  the most alpha that counts as open
     *
     * @return list<Opening> largest first, then from the top, then from the left
     */
    public static function of(Size $size, string $alpha, int $most = self::ALPHA): array
    {
        if (strlen($alpha) !== $size->width * $size->height) {
            throw new \LogicException('There is not one byte for each px.');
        }
        $finder = new self($size);
        $finder->find($alpha, $most);

        return $finder->openings();
    }

    /**
     * Those that somebody may have meant.
     *
     * @param list<Opening> $openings
     *
     * @return list<Opening>
     */
    public static function offered(Size $size, array $openings): array
    {
        $meant = array_filter(
            $openings,
            static fn (Opening $opening) => $opening->px * self::SPECK >= $size->width * $size->height,
        );

        return array_slice(array_values($meant), 0, self::MOST_OFFERED);
    }

    private function find(string $alpha, int $most): void
    {
        $width = $this->size->width;
        $bytes = implode('', array_map(chr(...), range(0, 255)));
        $marks = str_repeat('0', $most + 1).str_repeat('1', 255 - $most);
        // Up to where a column has been open without a break, as of the row that is looked at.
        $top = array_fill(0, $width, 0);
        $above = '';
        $runs = $labels = [];
        for ($y = 0; $y < $this->size->height; ++$y) {
            $row = strtr(substr($alpha, $y * $width, $width), $bytes, $marks);
            if ($row === $above) {
                foreach ($labels as $label) {
                    $this->extent[$label][4] = $y + 1;
                }
                foreach ($runs as $index => [$from, $to]) {
                    $this->extent[$labels[$index]][0] += $to - $from;
                }
                continue;
            }
            $next = self::runs($row);
            $this->closeNarrowed($runs, $labels, $next, $top, $y);
            foreach (self::within($next, $runs) as [$from, $to]) {
                for ($x = $from; $x < $to; ++$x) {
                    $top[$x] = $y;
                }
            }
            $labels = $this->label($next, $runs, $labels, $y);
            [$runs, $above] = [$next, $row];
        }
        $this->closeNarrowed($runs, $labels, [], $top, $this->size->height);
    }

    /** @return list<array{int, int}> open from, and to before, along a row of `0` and `1` */
    private static function runs(string $row): array
    {
        $runs = [];
        for ($from = strpos($row, '0'); $from !== false; $from = strpos($row, '0', $to)) {
            $to = strpos($row, '1', $from);
            if ($to === false) {
                $runs[] = [$from, strlen($row)];
                break;
            }
            $runs[] = [$from, $to];
        }

        return $runs;
    }

    /**
     * What of some runs is not in others.
     *
     * @param list<array{int, int}> $runs
     * @param list<array{int, int}> $without
     *
     * @return list<array{int, int}>
     */
    private static function within(array $runs, array $without): array
    {
        $rest = [];
        $index = 0;
        foreach ($runs as [$from, $to]) {
            while (isset($without[$index]) && $without[$index][1] <= $from) {
                ++$index;
            }
            for ($at = $index; $from < $to; ++$at) {
                [$begin, $end] = $without[$at] ?? [$to, $to];
                if ($begin > $from) {
                    $rest[] = [$from, min($begin, $to)];
                }
                $from = max($from, $end);
            }
        }

        return $rest;
    }

    /**
     * @param list<array{int, int}> $next   the runs of this row
     * @param list<array{int, int}> $runs   those of the row above
     * @param list<int>             $labels and their areas
     *
     * @return list<int> the areas of this row's
     */
    private function label(array $next, array $runs, array $labels, int $y): array
    {
        $named = [];
        $index = 0;
        foreach ($next as [$from, $to]) {
            while (isset($runs[$index]) && $runs[$index][1] <= $from) {
                ++$index;
            }
            $label = null;
            for ($at = $index; isset($runs[$at]) && $runs[$at][0] < $to; ++$at) {
                $label = $label === null ? $this->root($labels[$at]) : $this->join($label, $this->root($labels[$at]));
            }
            if ($label === null) {
                $label = count($this->joined);
                $this->joined[] = $label;
                $this->extent[] = [0, $from, $y, $to, $y + 1];
                $this->largest[] = [0, 0, 0, 0, 0];
            }
            [$px, $left, $above, $right] = $this->extent[$label];
            $this->extent[$label] = [$px + $to - $from, min($left, $from), $above, max($right, $to), $y + 1];
            $named[] = $label;
        }

        return array_map($this->root(...), $named);
    }

    private function root(int $label): int
    {
        while ($this->joined[$label] !== $label) {
            $label = $this->joined[$label] = $this->joined[$this->joined[$label]];
        }

        return $label;
    }

    private function join(int $one, int $other): int
    {
        if ($one === $other) {
            return $one;
        }
        [$kept, $gone] = [min($one, $other), max($one, $other)];
        $this->joined[$gone] = $kept;
        [$a, $b] = [$this->extent[$kept], $this->extent[$gone]];
        $this->extent[$kept] = [
            $a[0] + $b[0],
            min($a[1], $b[1]),
            min($a[2], $b[2]),
            max($a[3], $b[3]),
            max($a[4], $b[4]),
        ];
        $this->offer($kept, ...$this->largest[$gone]);

        return $kept;
    }

    /** Keeps a rectangle that is larger than the area's so far, or as large and further up, or then further left. */
    private function offer(int $label, int $px, int $x, int $y, int $width, int $height): void
    {
        $best = $this->largest[$label];
        if ($px > $best[0] || ($px === $best[0] && [$y, $x] < [$best[2], $best[1]])) {
            $this->largest[$label] = [$px, $x, $y, $width, $height];
        }
    }

    /**
     * Offers the rectangles that end at a row: under each run that does not go on whole.
     *
     * @param list<array{int, int}> $runs   of the row above
     * @param list<int>             $labels their areas
     * @param list<array{int, int}> $next   of the row
     * @param array<int, int>       $top    up to where columns are open
     */
    private function closeNarrowed(array $runs, array $labels, array $next, array $top, int $y): void
    {
        $index = 0;
        foreach ($runs as $at => [$from, $to]) {
            while (isset($next[$index]) && $next[$index][1] < $to) {
                ++$index;
            }
            if (!isset($next[$index]) || $next[$index][0] > $from) {
                $this->underHeights($this->root($labels[$at]), $from, $to, $top, $y);
            }
        }
    }

    /**
     * The largest rectangle under a line of heights, by a stack of those that still go on.
     *
     * @param array<int, int> $top
     */
    private function underHeights(int $label, int $from, int $to, array $top, int $bottom): void
    {
        $least = $this->largest[$label][0];
        $tops = [\PHP_INT_MIN];
        $starts = [$from];
        $depth = 0;
        $last = \PHP_INT_MIN;
        for ($x = $from; $x <= $to; ++$x) {
            // A column past the end is open to nowhere.
            $now = $x < $to ? $top[$x] : $bottom;
            if ($now === $last) {
                continue;
            }
            $start = $x;
            while ($depth > 0 && $tops[$depth] < $now) {
                $start = $starts[$depth];
                $px = ($bottom - $tops[$depth]) * ($x - $start);
                if ($px >= $least) {
                    $this->offer($label, $px, $start, $tops[$depth], $x - $start, $bottom - $tops[$depth]);
                    $least = $this->largest[$label][0];
                }
                --$depth;
            }
            if ($depth === 0 || $tops[$depth] > $now) {
                ++$depth;
                [$tops[$depth], $starts[$depth]] = [$now, $start];
            }
            $last = $now;
        }
    }

    /** @return list<Opening> */
    private function openings(): array
    {
        $openings = [];
        foreach ($this->joined as $label => $root) {
            if ($label !== $root) {
                continue;
            }
            [$px, $left, $top, $right, $bottom] = $this->extent[$label];
            $x = max(0, $left - self::GROWN_PX);
            $y = max(0, $top - self::GROWN_PX);
            $openings[] = new Opening(
                Rect::of(
                    $x,
                    $y,
                    min($this->size->width, $right + self::GROWN_PX) - $x,
                    min($this->size->height, $bottom + self::GROWN_PX) - $y,
                ),
                Rect::of(...array_slice($this->largest[$label], 1)),
                $px,
            );
        }
        usort(
            $openings,
            static fn (Opening $one, Opening $other) => $other->px <=> $one->px
                ?: [$one->cover->y, $one->cover->x] <=> [$other->cover->y, $other->cover->x],
        );

        return $openings;
    }
}
