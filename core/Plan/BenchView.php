<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Design\Starters\OwnStarter;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\Guide;
use UpperPane\Core\Layout\Lattice;
use UpperPane\Core\Layout\Mullion;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Starters;
use UpperPane\Core\Surface\Ground;

/**
 * What the bench needs to edit a layout without computing a rule: mullions with limits and linked lines, snap lines
 * with their order, sizes as written and as resolved, where a pane is halved, neighbours.
 */
final readonly class BenchView
{
    /** @var array<string, array{linked: list<string>, linked_range: array{int, int}}> by the part after each line */
    private array $linked;

    private function __construct(private LayoutAt $at, private Glazing $glazing)
    {
        $this->linked = $this->linked();
    }

    /**
     * @param array<string, OwnStarter> $own starters of the site, by id
     *
     * @return array<string, mixed>
     */
    public static function of(LayoutAt $at, ?Ground $ground, ?Rect $safe = null, array $own = []): array
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
                $view->guides(),
                $view->lattice(),
            ),
            'lattice' => $view->cells(),
            'guides' => array_map(
                static fn (string $id, Guide $guide) => ['id' => $id] + $guide->toArray(),
                array_map(strval(...), array_keys($view->guides())),
                $view->guides(),
            ),
            'parts' => (object) $view->parts($at->tree()),
            'floats' => (object) $view->floats(),
            'starters' => $at->tree() instanceof Split
                ? []
                : [...self::own($own, $at->canvas()), ...Starters::on($at->canvas(), count($ground->panels ?? []) > 1)],
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

    /**
     * @param array<string, OwnStarter> $own
     *
     * @return list<array<string, mixed>> those that the canvas has px enough for
     */
    private static function own(array $own, Size $canvas): array
    {
        $starters = [];
        foreach ($own as $id => $starter) {
            $panes = $starter->on($canvas);
            $drawn = ['own' => (string) $id, 'suits' => true, 'panes' => $panes] + $starter->toArray();
            $starters = $panes === null ? $starters : [...$starters, $drawn];
        }

        return $starters;
    }

    private function lattice(): ?Lattice
    {
        $lattice = $this->at->design->lattice;

        return $lattice === null
            ? null
            : Lattice::of($this->at->canvas(), ...$this->at->turned ? array_reverse($lattice) : $lattice);
    }

    /** @return ?array{x: list<int>, y: list<int>} where the lattice's cells begin and end */
    private function cells(): ?array
    {
        $lattice = $this->lattice();

        return $lattice === null ? null : ['x' => $lattice->edges(Axis::X), 'y' => $lattice->edges(Axis::Y)];
    }

    /** @return array<string, Guide> of this canvas, by id */
    private function guides(): array
    {
        return array_filter(
            $this->at->design->guides,
            fn (Guide $guide) => $guide->turned === $this->at->turned,
        );
    }

    /** @return array<string, mixed> */
    private function mullion(Mullion $mullion): array
    {
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
            'range' => $this->range($mullion),
        ] + $this->linked[$mullion->partIds[1]];
    }

    /** @return array{int, int} where a line may be moved to; beside a locked part it stays */
    private function range(Mullion $mullion): array
    {
        foreach ($mullion->partIds as $part) {
            if ($this->at->layout->isLocked($part)) {
                return [$mullion->at, $mullion->at];
            }
        }

        return $mullion->rangePx;
    }

    /**
     * Lines of sibling splits that meet end to end (model §3): every line by the part after it, with those it moves
     * with, itself among them. All at once, so that it grows with the number of lines.
     *
     * @return array<string, array{linked: list<string>, linked_range: array{int, int}}>
     */
    private function linked(): array
    {
        $families = self::families($this->at->tree());
        $alike = [];
        foreach ($this->glazing->mullions() as $line) {
            $family = $families[$line->splitId] ?? null;
            $alike["{$line->axis->value} $line->at $line->gutter {$family?->id()}"][] = $line;
        }
        $linked = [];
        foreach ($alike as $lines) {
            $family = $families[$lines[0]->splitId] ?? null;
            usort($lines, static fn (Mullion $a, Mullion $b) => $a->from <=> $b->from);
            $runs = [];
            foreach ($lines as $line) {
                $last = $runs === [] ? null : end($runs[array_key_last($runs)]);
                // Without a family it is the root's own line.
                if ($last !== null && $family !== null && $line->from === $last->to + $family->gutterPx) {
                    $runs[array_key_last($runs)][] = $line;
                } else {
                    $runs[] = [$line];
                }
            }
            foreach ($runs as $run) {
                $linked += array_fill_keys(self::after($run), $this->together($run));
            }
        }

        return $linked;
    }

    /**
     * @param non-empty-list<Mullion> $run
     *
     * @return array{linked: list<string>, linked_range: array{int, int}}
     */
    private function together(array $run): array
    {
        $ranges = array_map($this->range(...), $run);

        return [
            'linked' => self::after($run),
            'linked_range' => [max(array_column($ranges, 0)), min(array_column($ranges, 1))],
        ];
    }

    /**
     * @param list<Mullion> $lines
     *
     * @return list<string>
     */
    private static function after(array $lines): array
    {
        return array_map(static fn (Mullion $line) => $line->partIds[1], $lines);
    }

    /** @return array<string, Split> the split that holds a split, by the held one's id */
    private static function families(Part $tree): array
    {
        $families = [];
        $open = $tree instanceof Split ? [$tree] : [];
        while ($open !== []) {
            $split = array_pop($open);
            foreach ($split->parts as $part) {
                if ($part instanceof Split) {
                    $families[$part->id()] = $split;
                    $open[] = $part;
                }
            }
        }

        return $families;
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
                'locked' => $this->at->layout->isLocked($part->id()),
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
