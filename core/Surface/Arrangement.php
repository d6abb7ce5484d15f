<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/**
 * Panels wherever they hang, each by the top left corner of its active picture as mounted, in µm, y down. The first
 * one's pitch is the canvas's; one of another pitch covers the px between its rounded edges and is scaled (model §2).
 */
final readonly class Arrangement
{
    /**
     * @param non-empty-array<string, Panel>           $panels    by id
     * @param non-empty-array<string, array{int, int}> $originsUm by id, the smallest position taken off
     * @param list<array{string, string}>              $blends    pairs that overlap on purpose
     */
    private function __construct(
        private array $panels,
        private array $originsUm,
        private array $blends,
        private bool $compensated,
    ) {
    }

    /** @throws Refusal `surface.panel_twice`; more than one panel each need a `position_mm` */
    public static function parse(Input $input, bool $compensated): self
    {
        $panels = $positions = [];
        $list = $input->list('panels', PanelGrid::MOST_PANELS, 1);
        foreach ($list as $index => $panel) {
            $panel->keys(['id', 'native', 'active_mm', 'bezel_mm', 'rotation', 'position_mm']);
            $id = $panel->has('id') ? $panel->id('id') : (string) ($index + 1);
            if (isset($panels[$id])) {
                throw Refusal::because('surface.panel_twice', $panel->pathTo('id'), ['id' => $id]);
            }
            $panels[$id] = Panel::parse($panel);
            $positions[$id] = count($list) > 1 || $panel->has('position_mm') ? self::position($panel) : [0, 0];
        }

        if ($panels === [] || $positions === []) {
            throw new \LogicException('The list has at least one panel.');
        }
        [$left, $top] = [min(array_column($positions, 0)), min(array_column($positions, 1))];
        $origins = array_map(static fn (array $position) => [$position[0] - $left, $position[1] - $top], $positions);

        return new self($panels, $origins, $input->has('blends') ? self::blends($input, $panels) : [], $compensated);
    }

    public static function single(Panel $panel, string $id = '1'): self
    {
        return new self([$id => $panel], [$id => [0, 0]], [], true);
    }

    public function reference(): Panel
    {
        return $this->panels[array_key_first($this->panels)];
    }

    /**
     * @return list<PlacedPanel> by number
     *
     * @throws Refusal `surface.butted_needs_grid`, `surface.panel_below_px`
     */
    public function panels(): array
    {
        $rects = $this->compensated ? $this->compensatedRects() : $this->buttedRects();
        $ids = array_map(strval(...), array_keys($this->panels));
        $placed = [];
        foreach (Numbering::order($this->facesUm()) as $number => $index) {
            $id = $ids[$index];
            $placed[] = new PlacedPanel($id, $number + 1, $rects[$index], $this->panels[$id], $this->originsUm[$id]);
        }

        return $placed;
    }

    /**
     * Overlaps that are no blend. Panels come by their left edges and are looked up in bands as high as the highest of
     * them, so that each meets only those near it.
     *
     * @param list<PlacedPanel> $placed
     *
     * @return list<Finding>
     */
    public function findings(array $placed): array
    {
        usort($placed, static fn (PlacedPanel $a, PlacedPanel $b) => $a->rect->x <=> $b->rect->x);
        $bandPx = max([1, ...array_map(static fn (PlacedPanel $panel) => $panel->rect->height, $placed)]);
        $findings = $bands = [];
        foreach ($placed as $panel) {
            $first = intdiv($panel->rect->y, $bandPx);
            for ($band = $first; $band <= intdiv($panel->rect->bottom() - 1, $bandPx); ++$band) {
                foreach ($bands[$band] ?? [] as $at => $other) {
                    if ($other->rect->right() <= $panel->rect->x) {
                        unset($bands[$band][$at]);
                    } elseif ($band === max($first, intdiv($other->rect->y, $bandPx))) {
                        $findings[] =
                            $other->number < $panel->number
                                ? $this->overlap($other, $panel)
                                : $this->overlap($panel, $other);
                    }
                }
                $bands[$band][] = $panel;
            }
        }

        return array_values(array_filter($findings));
    }

    private function overlap(PlacedPanel $a, PlacedPanel $b): ?Finding
    {
        $common = $a->rect->common($b->rect);
        if (
            $common === null
            || in_array([$a->id, $b->id], $this->blends, true)
            || in_array([$b->id, $a->id], $this->blends, true)
        ) {
            return null;
        }

        return Finding::of('wall.panels_overlap', Severity::Stop, '/panels', [
            'a' => $a->id,
            'b' => $b->id,
            'width' => $common->width,
            'height' => $common->height,
        ]);
    }

    /** @return list<Rect> */
    private function compensatedRects(): array
    {
        $pitchX = $this->reference()->pitch(Axis::X);
        $pitchY = $this->reference()->pitch(Axis::Y);
        $rects = [];
        foreach ($this->panels as $id => $panel) {
            $mounted = $panel->mounted();
            [$left, $top] = $this->originsUm[$id];
            [$x, $width] = self::stretch($left, $mounted->activeWidthUm, $pitchX);
            [$y, $height] = self::stretch($top, $mounted->activeHeightUm, $pitchY);
            if ($width < 1 || $height < 1) {
                throw Refusal::because('surface.panel_below_px', '/panels', ['id' => (string) $id]);
            }
            $rects[] = Rect::of($x, $y, $width, $height);
        }

        return $rects;
    }

    /** @return list<Rect> panels of one size in columns and rows, edge to edge */
    private function buttedRects(): array
    {
        $native = $this->reference()->mounted()->native;
        $faces = $this->facesUm();
        $lines = Joints::gridLines(array_map(static fn (array $face) => Rect::of(...$face), $faces));
        $sizes = array_unique(
            array_map(static fn (Panel $panel) => implode('×', $panel->mounted()->native->toArray()), $this->panels),
        );
        if ($lines === null || count($sizes) > 1) {
            throw Refusal::because('surface.butted_needs_grid', '/mode');
        }
        [$lefts, $tops] = [array_column($lines[0], 0), array_column($lines[1], 0)];

        return array_map(
            static fn (array $face) => Rect::of(
                (int) array_search($face[0], $lefts, true) * $native->width,
                (int) array_search($face[1], $tops, true) * $native->height,
                $native->width,
                $native->height,
            ),
            $faces,
        );
    }

    /** @return array{int, int} start and length in px: both edges rounded once, from their exact place */
    private static function stretch(int $startUm, int $lengthUm, Rational $pitchUm): array
    {
        $start = Rational::of($startUm)->dividedBy($pitchUm)->round();

        return [
            $start,
            Rational::of($startUm + $lengthUm)
                ->dividedBy($pitchUm)
                ->round() - $start,
        ];
    }

    /** @return list<array{int, int, int, int}> */
    private function facesUm(): array
    {
        return array_map(function (string|int $id): array {
            $mounted = $this->panels[$id]->mounted();

            return [...$this->originsUm[$id], $mounted->activeWidthUm, $mounted->activeHeightUm];
        }, array_keys($this->panels));
    }

    /** @return array{int, int} */
    private static function position(Input $panel): array
    {
        $position = $panel->list('position_mm', 2, 2);

        return [
            $position[0]->asThousandths(-Panel::LARGEST_UM, Panel::LARGEST_UM),
            $position[1]->asThousandths(-Panel::LARGEST_UM, Panel::LARGEST_UM),
        ];
    }

    /**
     * @param array<string, Panel> $panels
     *
     * @return list<array{string, string}>
     */
    private static function blends(Input $input, array $panels): array
    {
        return array_map(static function (Input $pair) use ($panels): array {
            [$a, $b] = array_map(static fn (Input $id) => $id->asText(64, 1), $pair->asList(2, 2));
            foreach ([$a, $b] as $id) {
                isset($panels[$id]) || throw Refusal::because('surface.panel_unknown', $pair->path, ['id' => $id]);
            }

            return [$a, $b];
        }, $input->list('blends', 1000));
    }
}
