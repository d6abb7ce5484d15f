<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\Mullion;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Starters;
use UpperPane\Core\Layout\Tree;
use UpperPane\Core\Surface\Ground;

/**
 * What the bench needs to edit a layout without computing a rule: mullions with limits and linked lines, snap lines
 * with their order, sizes as written and as resolved, where a pane is halved, neighbours.
 */
final readonly class BenchView
{
    private function __construct(private LayoutAt $at, private Glazing $glazing)
    {
    }

    /** @return array<string, mixed> */
    public static function of(LayoutAt $at, ?Ground $ground, ?Rect $safe = null): array
    {
        $view = new self($at, $at->glazing());

        return [
            'mullions' => array_map($view->mullion(...), $view->glazing->mullions()),
            'snaps' => SnapLines::of(
                $at->canvas(),
                $view->glazing,
                $ground,
                $at->placing($ground->panels ?? [])->placed,
                $safe,
            ),
            'parts' => (object) $view->parts($at->tree()),
            'floats' => (object) $view->floats(),
            'starters' => $at->tree() instanceof Split
                ? []
                : Starters::on($at->canvas(), count($ground->panels ?? []) > 1),
            'root' => $view->halves($at->tree(), null),
        ];
    }

    /** @return array<string, array<string, mixed>> where each float is held and how its place is written, by zone */
    private function floats(): array
    {
        $floats = [];
        foreach ($this->at->layout->floats as $float) {
            $floats[$float->zone] = $float->toArray();
        }

        return $floats;
    }

    /** @return array<string, mixed> */
    private function mullion(Mullion $mullion): array
    {
        $linked = $this->linked($mullion);
        [$before, $after] = array_map($this->glazing->rect(...), $mullion->partIds);

        return [
            'axis' => $mullion->axis->value,
            'at' => $mullion->at,
            'gutter' => $mullion->gutter,
            'from' => $mullion->from,
            'to' => $mullion->to,
            'start' => $before?->start($mullion->axis) ?? 0,
            'end' => $after?->end($mullion->axis) ?? 0,
            'before' => $mullion->partIds[0],
            'after' => $mullion->partIds[1],
            'between' => $mullion->between,
            'range' => $mullion->rangePx,
            'linked' => array_map(static fn (Mullion $line) => $line->partIds[1], $linked),
            'linked_range' => [
                max(array_map(static fn (Mullion $line) => $line->rangePx[0], $linked)),
                min(array_map(static fn (Mullion $line) => $line->rangePx[1], $linked)),
            ],
        ];
    }

    /**
     * Lines of sibling splits that meet this one end to end, itself among them (model §3).
     *
     * @return non-empty-list<Mullion>
     */
    private function linked(Mullion $mullion): array
    {
        $tree = $this->at->tree();
        $family = Tree::parent($tree, $mullion->splitId);
        $alike =
            $family === null
                ? []
                : array_filter(
                    $this->glazing->mullions(),
                    static fn (Mullion $line) => $line->axis === $mullion->axis
                        && $line->at === $mullion->at
                        && $line->gutter === $mullion->gutter
                        && $line !== $mullion
                        && Tree::parent($tree, $line->splitId)?->id() === $family->id(),
                );
        $gap = $family->gutterPx ?? 0;
        $linked = [$mullion];
        do {
            $met = array_filter(
                $alike,
                static fn (Mullion $line) => !in_array($line, $linked, true)
                    && array_filter(
                        $linked,
                        static fn (Mullion $other) => $line->from === $other->to + $gap
                            || $other->from === $line->to + $gap,
                    ) !== [],
            );
            $linked = [...$linked, ...array_values($met)];
        } while ($met !== []);

        return $linked;
    }

    /**
     * Every part by id: its size as written and in px, the split that holds it, where it is halved, and its neighbours
     * there.
     *
     * @return array<string, array<string, mixed>>
     */
    private function parts(Part $tree): array
    {
        if (!$tree instanceof Split) {
            return [];
        }
        $parts = [];
        foreach ($tree->parts as $index => $part) {
            $parts[$part->id()] = [
                'size' => $part->size()->toText(),
                'px' => $this->glazing->rect($part->id())?->length($tree->axis) ?? 0,
                'split' => $tree->id(),
                'axis' => $tree->axis->value,
                'gutter' => $tree->gutterPx,
                'halves' => $this->halves($part, $tree),
                'neighbours' => [
                    ...$this->neighbour($tree, $index - 1, $tree->axis === Axis::X ? 'left' : 'above'),
                    ...$this->neighbour($tree, $index + 1, $tree->axis === Axis::X ? 'right' : 'below'),
                ],
            ];
            $parts += $this->parts($part);
        }

        return $parts;
    }

    /** @return list<array{part: string, side: string, letters: list<string>}> none or one */
    private function neighbour(Split $split, int $index, string $side): array
    {
        $part = $split->parts[$index] ?? null;

        return $part === null
            ? []
            : [
                [
                    'part' => $part->id(),
                    'side' => $side,
                    'letters' => array_map(fn (string $id) => $this->at->design->zone($id)->letter(), $part->paneIds()),
                ],
            ];
    }

    /**
     * Where a split into two equal halves lies along each axis, and the gutter that would come between.
     *
     * @return array<string, array{at: int, gutter: int}>
     */
    private function halves(Part $part, ?Split $parent): array
    {
        $rect = $this->glazing->rect($part->id()) ?? $this->at->canvas()->rect();
        $halves = [];
        foreach (Axis::cases() as $axis) {
            $gutter = $parent?->axis === $axis && $part->size()->isShare() ? $parent->gutterPx : 0;
            $halves[$axis->value] = [
                'at' => $rect->start($axis) + Rational::of($rect->length($axis) - $gutter, 2)->round(),
                'gutter' => $gutter,
            ];
        }

        return $halves;
    }
}
