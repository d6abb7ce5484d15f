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
 * each panel's origin is round(position ÷ pitch), rounded once per position so that errors never add up. *Butted*: seams
 * take no px (model §2).
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

    public static function of(Panel $panel, int $columns, int $rows, int $gapXUm = 0, int $gapYUm = 0, bool $compensated = true): self
    {
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
                $rect = Rect::of($this->origin(Axis::X, $column), $this->origin(Axis::Y, $row), $native->width, $native->height);
                $panels[] = new PlacedPanel((string) $number, $number, $rect, $this->panel);
            }
        }

        return $panels;
    }

    /** @return list<Rect> vertical seams run full height, horizontal ones lie between them, so that all tile the canvas */
    public function seams(): array
    {
        $native = $this->panel->mounted()->native;
        $height = $this->canvas()->height;
        $seams = [];
        for ($column = 1; $column < $this->columns; ++$column) {
            $start = $this->origin(Axis::X, $column - 1) + $native->width;
            $seams[] = Rect::of($start, 0, $this->origin(Axis::X, $column) - $start, $height);
        }
        for ($row = 1; $row < $this->rows; ++$row) {
            $start = $this->origin(Axis::Y, $row - 1) + $native->height;
            for ($column = 0; $column < $this->columns; ++$column) {
                $seams[] = Rect::of($this->origin(Axis::X, $column), $start, $native->width, $this->origin(Axis::Y, $row) - $start);
            }
        }
        usort($seams, static fn (Rect $a, Rect $b) => [$a->y, $a->x] <=> [$b->y, $b->x]);

        return $seams;
    }

    private function origin(Axis $axis, int $index): int
    {
        $mounted = $this->panel->mounted();
        if (!$this->compensated) {
            return Rational::product($index, $axis === Axis::X ? $mounted->native->width : $mounted->native->height);
        }
        [$left, $top, $right, $bottom] = $mounted->bezelUm;
        $stepUm = $axis === Axis::X
            ? $mounted->activeWidthUm + $left + $right + $this->gapXUm
            : $mounted->activeHeightUm + $top + $bottom + $this->gapYUm;
        $pitch = $axis === Axis::X ? $mounted->pitchX() : $mounted->pitchY();

        return Rational::of(Rational::product($index, $stepUm))->dividedBy($pitch)->round();
    }
}
