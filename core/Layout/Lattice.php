<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/**
 * Columns × rows over a canvas, to snap to or to carve panes from. Cell edges at floor((2iW + n) ÷ 2n): i·W ÷ n,
 * rounded.
 */
final readonly class Lattice
{
    private function __construct(private Size $canvas, private int $columns, private int $rows)
    {
    }

    /** @throws Refusal `lattice.too_fine` when there are more cells than px along an axis */
    public static function of(Size $canvas, int $columns, int $rows): self
    {
        if ($columns > $canvas->width || $rows > $canvas->height) {
            throw Refusal::because('lattice.too_fine', '', [
                'columns' => $columns,
                'rows' => $rows,
                'width' => $canvas->width,
                'height' => $canvas->height,
            ]);
        }

        return new self($canvas, $columns, $rows);
    }

    /** @throws Refusal `lattice.beyond` when the cells reach past the grid */
    public function cells(int $column, int $row, int $columns, int $rows): Rect
    {
        if ($column + $columns > $this->columns || $row + $rows > $this->rows) {
            throw Refusal::because('lattice.beyond', '/cells', ['columns' => $this->columns, 'rows' => $this->rows]);
        }
        $left = self::edge($column, $this->canvas->width, $this->columns);
        $top = self::edge($row, $this->canvas->height, $this->rows);

        return Rect::of(
            $left,
            $top,
            self::edge($column + $columns, $this->canvas->width, $this->columns) - $left,
            self::edge($row + $rows, $this->canvas->height, $this->rows) - $top,
        );
    }

    /** @return list<int> where cells begin and end along an axis, from 0 to the canvas' length */
    public function edges(Axis $axis): array
    {
        [$length, $count] = [$axis->lengthOf($this->canvas), $axis === Axis::X ? $this->columns : $this->rows];

        return array_map(static fn (int $index) => self::edge($index, $length, $count), range(0, $count));
    }

    private static function edge(int $index, int $lengthPx, int $count): int
    {
        return intdiv(2 * $index * $lengthPx + $count, 2 * $count);
    }
}
