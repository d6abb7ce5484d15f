<?php

declare(strict_types=1);

namespace UpperPane\Core\Output;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Area;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Surface\PlacedPanel;
use UpperPane\Core\Surface\Surface;

/** What is wrong between panels, outputs and players (model §2). Paths are JSON Pointers into the output map. */
final readonly class WiringCheck
{
    /** @param array<string, int> $players player → how many outputs it has */
    private function __construct(private OutputMap $map, private Surface $surface, private array $players)
    {
    }

    /**
     * @param array<string, int> $players player → how many outputs it has
     *
     * @return list<Finding> the stops first
     */
    public static function of(OutputMap $map, Surface $surface, array $players): array
    {
        $check = new self($map, $surface, $players);
        $findings = $check->ports();
        foreach ($map->outputs as $index => $output) {
            $findings = [...$findings, ...$check->raster($output, "/$index")];
        }
        $findings = [...$findings, ...$check->panels()];
        usort($findings, static fn (Finding $a, Finding $b) => $a->severity->rank() <=> $b->severity->rank());

        return $findings;
    }

    /** @return list<Finding> */
    private function ports(): array
    {
        $findings = $seen = [];
        foreach ($this->map->outputs as $index => $output) {
            $name = $output->name();
            $has = $this->players[$output->player] ?? null;
            if (isset($seen[$name])) {
                $findings[] = Finding::of('output.used_twice', Severity::Stop, "/$index", ['output' => $name]);
            }
            $seen[$name] = true;
            if ($has === null) {
                $findings[] = Finding::of('output.player_unknown', Severity::Stop, "/$index/player", [
                    'output' => $name,
                ]);
            } elseif ($output->number > $has) {
                $findings[] = Finding::of('output.beyond_player', Severity::Stop, "/$index/number", [
                    'output' => $name,
                    'has' => $has,
                ]);
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function raster(Output $output, string $path): array
    {
        $findings = [];
        $whole = $output->raster->rect();
        foreach ($output->slices as $index => $slice) {
            $at = "$path/slices/$index";
            $panel = $this->panel($slice->panel);
            $name = ['output' => $output->name(), 'panel' => $panel === null ? $slice->panel : $panel->letter()];
            if ($panel === null) {
                $findings[] = Finding::of('output.panel_gone', Severity::Stop, "$at/panel", $name);
            }
            if (!$whole->contains($slice->raster)) {
                $findings[] = Finding::of('output.beyond_raster', Severity::Stop, "$at/raster", $name);
            }
            if (!$this->surface->canvas->rect()->contains($slice->canvas)) {
                $findings[] = Finding::of('output.beyond_canvas', Severity::Stop, "$at/canvas", $name);
            }
            if ($this->overlaps($slice, array_slice($output->slices, 0, $index))) {
                $findings[] = Finding::of('output.slices_overlap', Severity::Stop, "$at/raster", $name);
            }
            if ($slice->isScaled()) {
                $findings[] = Finding::of(
                    'output.scaled',
                    Severity::Caution,
                    "$at/raster",
                    $name + [
                        'from' => implode(' × ', $slice->turnedSize()->toArray()),
                        'to' => implode(' × ', $slice->raster->size()->toArray()),
                    ],
                );
            }
        }
        $uncovered =
            $whole->width * $whole->height -
            Area::covered(
                array_values(
                    array_filter(
                        array_map(static fn (Slice $slice) => $slice->raster->common($whole), $output->slices),
                    ),
                ),
            );
        if ($uncovered > 0) {
            $findings[] = Finding::of('output.uncovered', Severity::Note, $path, [
                'output' => $output->name(),
                'px' => $uncovered,
            ]);
        }

        return $findings;
    }

    private function panel(string $id): ?PlacedPanel
    {
        return array_values(
            array_filter($this->surface->panels, static fn (PlacedPanel $panel) => $panel->id === $id),
        )[0] ?? null;
    }

    /** @param list<Slice> $others */
    private function overlaps(Slice $slice, array $others): bool
    {
        $over = static fn (Slice $other) => $other->raster->common($slice->raster) !== null;

        return array_filter($others, $over) !== [];
    }

    /** @return list<Finding> */
    private function panels(): array
    {
        $shown = [];
        foreach ($this->map->outputs as $output) {
            foreach ($output->slices as $slice) {
                $shown[$slice->panel][] = $slice->canvas;
            }
        }
        $findings = [];
        foreach ($this->surface->panels as $panel) {
            $parts = array_values(
                array_filter(
                    array_map(static fn (Rect $part) => $part->common($panel->rect), $shown[$panel->id] ?? []),
                ),
            );
            $missing = $panel->rect->width * $panel->rect->height - Area::covered($parts);
            if ($parts === []) {
                $findings[] = Finding::of('output.panel_unwired', Severity::Stop, '', [
                    'panel' => $panel->letter(),
                    'number' => $panel->number,
                ]);
            } elseif ($missing > 0) {
                $findings[] = Finding::of('output.panel_partly', Severity::Caution, '', [
                    'panel' => $panel->letter(),
                    'px' => $missing,
                ]);
            }
        }

        return $findings;
    }
}
