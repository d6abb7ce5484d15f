<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/**
 * Columns × rows of one panel, standing bezel to bezel plus a gap. *Compensated*: the picture goes on behind the seams,
 * each panel's origin is round(position ÷ pitch), rounded once per position so that errors never add up. *Butted*:
 * seams take no px (model §2).
 */
final readonly class PanelGrid
{
    public const MOST_PANELS = 400;

    private function __construct(
        public Panel $panel,
        public int $columns,
        public int $rows,
        private int $gapXUm,
        private int $gapYUm,
        private bool $compensated,
    ) {
    }

    public static function of(
        Panel $panel,
        int $columns,
        int $rows,
        int $gapXUm = 0,
        int $gapYUm = 0,
        bool $compensated = true,
    ): self {
        return new self($panel, $columns, $rows, $gapXUm, $gapYUm, $compensated);
    }

    public static function parse(Input $grid, bool $compensated): self
    {
        $grid->keys(['columns', 'rows', 'panel', 'gap_mm']);
        $columns = $grid->int('columns', 1, self::MOST_PANELS);
        $rows = $grid->int('rows', 1, intdiv(self::MOST_PANELS, $columns));
        $gap = $grid->has('gap_mm') ? $grid->list('gap_mm', 2, 2) : null;
        $panel = Panel::parse($grid->child('panel')->keys(['native', 'active_mm', 'bezel_mm', 'rotation']));

        return new self(
            $panel,
            $columns,
            $rows,
            $gap === null ? 0 : $gap[0]->asThousandths(0, Panel::LARGEST_UM),
            $gap === null ? 0 : $gap[1]->asThousandths(0, Panel::LARGEST_UM),
            $compensated,
        );
    }

    public function canvas(): Size
    {
        $native = $this->panel->mounted()->native;

        return Size::of(
            $this->origin(Axis::X, $this->columns - 1) + $native->width,
            $this->origin(Axis::Y, $this->rows - 1) + $native->height,
        );
    }

    /** @return list<PlacedPanel> numbered left to right, then top to bottom (common practice) */
    public function panels(): array
    {
        $native = $this->panel->mounted()->native;
        $panels = [];
        for ($row = 0; $row < $this->rows; ++$row) {
            for ($column = 0; $column < $this->columns; ++$column) {
                $number = count($panels) + 1;
                $rect = Rect::of(
                    $this->origin(Axis::X, $column),
                    $this->origin(Axis::Y, $row),
                    $native->width,
                    $native->height,
                );
                $panels[] = new PlacedPanel((string) $number, $number, $rect, $this->panel, [
                    $this->originUm(Axis::X, $column),
                    $this->originUm(Axis::Y, $row),
                ]);
            }
        }

        return $panels;
    }

    /** @return list<Rect> */
    public function seams(): array
    {
        $native = $this->panel->mounted()->native;
        $stretch = fn (Axis $axis, int $count, int $length) => array_map(
            fn (int $index) => [$this->origin($axis, $index), $this->origin($axis, $index) + $length],
            range(0, $count - 1),
        );

        return Joints::ofGrid(
            $stretch(Axis::X, $this->columns, $native->width),
            $stretch(Axis::Y, $this->rows, $native->height),
        );
    }

    private function origin(Axis $axis, int $index): int
    {
        $native = $this->panel->mounted()->native;

        return $this->compensated
            ? Rational::of($this->originUm($axis, $index))->dividedBy($this->panel->pitch($axis))->round()
            : Rational::product($index, $axis === Axis::X ? $native->width : $native->height);
    }

    /** Where a column or row begins on the face: panels stand bezel to bezel plus the gap. */
    private function originUm(Axis $axis, int $index): int
    {
        $mounted = $this->panel->mounted();
        [$left, $top, $right, $bottom] = $mounted->bezelUm;

        return Rational::product(
            $index,
            $axis === Axis::X
                ? $mounted->activeWidthUm + $left + $right + $this->gapXUm
                : $mounted->activeHeightUm + $top + $bottom + $this->gapYUm,
        );
    }
}
