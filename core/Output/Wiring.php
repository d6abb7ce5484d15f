<?php

declare(strict_types=1);

namespace UpperPane\Core\Output;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Surface\Joints;
use UpperPane\Core\Surface\PlacedPanel;
use UpperPane\Core\Surface\Surface;

/** The usual ways to wire a surface, each as a ready output map. */
final class Wiring
{
    /**
     * Every panel has an output of its own in its native mode, in the order of the panels' numbers; the players'
     * outputs are used up one player after the other, and what is too many stays with the last.
     *
     * @param non-empty-array<string, int> $players player → how many outputs it has
     */
    public static function onePerOutput(Surface $surface, array $players): OutputMap
    {
        $ports = [];
        foreach ($players as $player => $outputs) {
            for ($number = 1; $number <= $outputs; ++$number) {
                $ports[] = [(string) $player, $number];
            }
        }
        [$last, $reached] = [(string) array_key_last($players), $players[array_key_last($players)]];

        return OutputMap::of(
            array_map(static function (PlacedPanel $panel) use ($ports, $last, $reached): Output {
                [$player, $number] = $ports[$panel->number - 1] ?? [$last, $reached + $panel->number - count($ports)];

                return Output::of($player, $number, $panel->panel->native, [
                    Slice::ofPanel($panel, $panel->panel->native->rect()),
                ]);
            }, $surface->panels),
        );
    }

    /**
     * All panels on one signal: as they stand, each in its native px from the top left corner (a ribbon in the corner
     * of a raster, a 2×2 wall on one 4K signal); in equal cells when that is more than the raster holds.
     */
    public static function onOneSignal(Surface $surface, string $player, int $number, Size $raster): OutputMap
    {
        [$columns, $rows, $cells] = self::cells($surface);
        $width = max([
            0,
            ...array_map(static fn (PlacedPanel $panel) => $panel->panel->native->width, $surface->panels),
        ]);
        $height = max([
            0,
            ...array_map(static fn (PlacedPanel $panel) => $panel->panel->native->height, $surface->panels),
        ]);
        $fits = $columns * $width <= $raster->width && $rows * $height <= $raster->height;
        [$stepX, $stepY] = $fits
            ? [$width, $height]
            : [max(1, intdiv($raster->width, $columns)), max(1, intdiv($raster->height, $rows))];
        $slices = array_map(static function (PlacedPanel $panel) use ($cells, $fits, $stepX, $stepY): Slice {
            [$column, $row] = $cells[$panel->id];
            $native = $panel->panel->native;
            $size = $fits ? $native->toArray() : [$stepX, $stepY];

            return Slice::ofPanel($panel, Rect::of($column * $stepX, $row * $stepY, $size[0], $size[1]));
        }, $surface->panels);

        return OutputMap::of([Output::of($player, $number, $raster, $slices)]);
    }

    /**
     * A long canvas folded into lines of so many px, one below the other from the top left corner.
     *
     * @throws Refusal `output.fold_needs_level` for panels that are mounted turned
     */
    public static function folded(Surface $surface, string $player, int $number, Size $raster, int $linePx): OutputMap
    {
        $canvas = $surface->canvas;
        $slices = [];
        foreach ($surface->panels as $panel) {
            if ($panel->panel->rotation !== 0) {
                throw Refusal::because('output.fold_needs_level', '/way', ['id' => $panel->id]);
            }
            for ($line = intdiv($panel->rect->x, $linePx); $line * $linePx < $panel->rect->right(); ++$line) {
                $part = $panel->rect->common(Rect::of($line * $linePx, 0, $linePx, $canvas->height));
                if ($part !== null) {
                    $slices[] = Slice::of(
                        $panel->id,
                        $part,
                        Rect::of(
                            $part->x - $line * $linePx,
                            $line * $canvas->height + $part->y,
                            $part->width,
                            $part->height,
                        ),
                    );
                }
            }
        }

        return OutputMap::of([Output::of($player, $number, $raster, $slices)]);
    }

    /**
     * @return array{int, int, array<string, array{int, int}>} columns, rows, and the column and row of each panel; one
     *     row when they are no grid
     */
    private static function cells(Surface $surface): array
    {
        $lines = Joints::gridLines(array_map(static fn (PlacedPanel $panel) => $panel->rect, $surface->panels));
        $cells = [];
        foreach ($surface->panels as $index => $panel) {
            $cells[$panel->id] =
                $lines === null
                    ? [$index, 0]
                    : [
                        (int) array_search($panel->rect->x, array_column($lines[0], 0), true),
                        (int) array_search($panel->rect->y, array_column($lines[1], 0), true),
                    ];
        }

        return [$lines === null ? count($cells) : count($lines[0]), $lines === null ? 1 : count($lines[1]), $cells];
    }
}
