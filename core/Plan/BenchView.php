<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Document\Scene;
use UpperPane\Core\Document\SceneLayout;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\Mullion;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Tree;
use UpperPane\Core\Surface\Ground;

/** What the bench needs to edit a scene without computing a rule: mullions with limits and linked lines, snap lines, sizes, neighbours. */
final class BenchView
{
    /** @return array<string, mixed> */
    public static function of(SceneLayout $layout, Glazing $glazing, ?Ground $ground): array
    {
        return [
            'mullions' => array_map(static fn (Mullion $mullion) => self::mullion($mullion, $glazing, $layout->tree), $glazing->mullions),
            'snaps' => self::snaps($layout, $ground),
            'parts' => self::parts($layout->tree, $layout->scene),
        ];
    }

    /** @return array<string, mixed> */
    private static function mullion(Mullion $mullion, Glazing $glazing, Part $tree): array
    {
        $linked = self::linked($mullion, $glazing, $tree);

        return [
            'axis' => $mullion->axis->value, 'at' => $mullion->at, 'gutter' => $mullion->gutter,
            'from' => $mullion->from, 'to' => $mullion->to,
            'before' => $mullion->partIds[0], 'after' => $mullion->partIds[1], 'between' => $mullion->between,
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
    private static function linked(Mullion $mullion, Glazing $glazing, Part $tree): array
    {
        $family = Tree::parent($tree, $mullion->splitId)?->id();
        $candidates = $family === null ? [] : array_filter($glazing->mullions, static fn (Mullion $line) => $line->axis === $mullion->axis
            && $line->at === $mullion->at && $line->gutter === $mullion->gutter && $line !== $mullion
            && Tree::parent($tree, $line->splitId)?->id() === $family);
        $gap = $family === null ? 0 : self::gutterOf($tree, $family);
        $linked = [$mullion];
        do {
            $met = array_filter($candidates, static fn (Mullion $line) => !in_array($line, $linked, true)
                && array_filter($linked, static fn (Mullion $other) => $line->from === $other->to + $gap || $other->from === $line->to + $gap) !== []);
            $linked = [...$linked, ...array_values($met)];
        } while ($met !== []);

        return $linked;
    }

    private static function gutterOf(Part $tree, string $splitId): int
    {
        $split = Tree::find($tree, $splitId);

        return $split instanceof Split ? $split->gutterPx : 0;
    }

    /** @return array<string, list<array{at: int, kind: string}>> per axis: seams first, then centre and thirds */
    private static function snaps(SceneLayout $layout, ?Ground $ground): array
    {
        $snaps = [];
        foreach (Axis::cases() as $axis) {
            $length = $layout->canvas()->rect()->length($axis);
            $lines = [];
            foreach ($ground->seams ?? [] as $seam) {
                if ($seam->length($axis->other()) > $seam->length($axis)) {
                    $lines[] = ['at' => $seam->start($axis), 'kind' => 'seam'];
                    $lines[] = ['at' => $seam->end($axis), 'kind' => 'seam'];
                }
            }
            $lines[] = ['at' => intdiv($length + 1, 2), 'kind' => 'centre'];
            $lines[] = ['at' => intdiv(2 * $length + 3, 6), 'kind' => 'third'];
            $lines[] = ['at' => intdiv(4 * $length + 3, 6), 'kind' => 'third'];
            $snaps[$axis->value] = array_values(array_unique($lines, \SORT_REGULAR));
        }

        return $snaps;
    }

    /**
     * Every part by id: its size as written, the split that holds it, and its neighbours there.
     *
     * @return array<string, array<string, mixed>>
     */
    private static function parts(Part $tree, Scene $scene): array
    {
        $parts = [];
        if (!$tree instanceof Split) {
            return [];
        }
        foreach ($tree->parts as $index => $part) {
            $neighbours = array_values(array_filter([$tree->parts[$index - 1] ?? null, $tree->parts[$index + 1] ?? null]));
            $parts[$part->id()] = [
                'size' => $part->size()->toText(),
                'split' => $tree->id(),
                'axis' => $tree->axis->value,
                'gutter' => $tree->gutterPx,
                'neighbours' => array_map(static fn (Part $neighbour) => [
                    'part' => $neighbour->id(),
                    'side' => self::side($tree, $neighbour, $part),
                    'letters' => array_map(static fn (string $id) => $scene->zone($id)->letter, $neighbour->paneIds()),
                ], $neighbours),
            ];
            $parts += self::parts($part, $scene);
        }

        return $parts;
    }

    private static function side(Split $split, Part $neighbour, Part $part): string
    {
        $before = array_search($neighbour, $split->parts, true) < array_search($part, $split->parts, true);

        return $split->axis === Axis::X ? ($before ? 'left' : 'right') : ($before ? 'above' : 'below');
    }
}
