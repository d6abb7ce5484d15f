<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rect;

/** What lies under a canvas that is a surface or a part of one: its panels and seams, in that canvas's own px. */
final readonly class Ground
{
    /**
     * @param array<string, Rect>                                     $panels  by letter
     * @param list<Rect>                                              $seams
     * @param array{columns: list<list<string>>, rows: list<list<string>>} $ranks letters of the panels of each column
     *     and row; empty when they stand in no grid
     */
    private function __construct(public array $panels, public array $seams, public array $ranks)
    {
    }

    public static function of(Surface $surface): self
    {
        $panels = [];
        foreach ($surface->panels as $panel) {
            $panels[$panel->letter()] = $panel->rect;
        }

        return new self($panels, $surface->seams, self::ranksOf($panels));
    }

    /** Under a part of the canvas: what reaches into it, cut to it and counted from its corner. */
    public function within(Rect $area): self
    {
        $cut = static fn (Rect $rect) => ($rect->common($area) ?? $rect)->movedBy(-$area->x, -$area->y);
        $panels = array_map(
            $cut,
            array_filter($this->panels, static fn (Rect $panel) => $panel->common($area) !== null),
        );
        $seams = array_map(static function (Rect $seam) use ($area): Rect {
            [$x, $y] = [max($seam->x, $area->x), max($seam->y, $area->y)];

            return Rect::of(
                $x - $area->x,
                $y - $area->y,
                min($seam->right(), $area->right()) - $x,
                min($seam->bottom(), $area->bottom()) - $y,
            );
        }, $this->seamsIn($area));

        return new self($panels, $seams, self::ranksOf($panels));
    }

    /** @return list<string> letters of the panels that show some of a rectangle */
    public function panelsUnder(Rect $rect): array
    {
        return array_map(
            strval(...),
            array_keys(array_filter($this->panels, static fn (Rect $panel) => $panel->common($rect) !== null)),
        );
    }

    /**
     * @return list<Rect> seams that run through a rectangle, butted ones too; a joint without width on its very edge
     *     does not
     */
    public function seamsIn(Rect $rect): array
    {
        return array_values(
            array_filter(
                $this->seams,
                static fn (Rect $seam) => $seam->x < $rect->right()
                    && $seam->right() > $rect->x
                    && $seam->y < $rect->bottom()
                    && $seam->bottom() > $rect->y,
            ),
        );
    }

    /**
     * @param array<string, Rect> $panels
     *
     * @return array{columns: list<list<string>>, rows: list<list<string>>}
     */
    private static function ranksOf(array $panels): array
    {
        $rank = static function (Axis $axis) use ($panels): array {
            $ranks = [];
            foreach ($panels as $letter => $panel) {
                $ranks[$panel->start($axis)][] = (string) $letter;
            }
            ksort($ranks);

            return array_values($ranks);
        };

        return count($panels) > 1 && Joints::gridLines(array_values($panels)) !== null
            ? ['columns' => $rank(Axis::X), 'rows' => $rank(Axis::Y)]
            : ['columns' => [], 'rows' => []];
    }
}
