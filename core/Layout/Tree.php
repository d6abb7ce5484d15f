<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

/**
 * Looking things up in a glazing and putting new parts in; every change gives a new tree, untouched branches are
 * shared.
 */
final class Tree
{
    public static function find(Part $tree, string $id): ?Part
    {
        if ($tree->id() === $id) {
            return $tree;
        }
        foreach ($tree instanceof Split ? $tree->parts : [] as $part) {
            $found = self::find($part, $id);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    public static function parent(Part $tree, string $id): ?Split
    {
        foreach ($tree instanceof Split ? $tree->parts : [] as $part) {
            $found = $part->id() === $id ? $tree : self::parent($part, $id);
            if ($found instanceof Split) {
                return $found;
            }
        }

        return null;
    }

    public static function replace(Part $tree, string $id, Part $new): Part
    {
        if ($tree->id() === $id) {
            return $new;
        }
        if (!$tree instanceof Split) {
            return $tree;
        }
        $parts = array_map(static fn (Part $part) => self::replace($part, $id, $new), $tree->parts);

        return $parts === $tree->parts ? $tree : $tree->withParts($parts);
    }

    /** The same tree with a pane under another id. */
    public static function renamed(Part $tree, string $from, string $to): Part
    {
        $pane = self::find($tree, $from);

        return $pane instanceof Pane
            ? self::replace($tree, $from, new Pane($to, $pane->size(), $pane->leastPx()))
            : $tree;
    }

    /**
     * The split with new lengths for some parts, in px: parts with a unit of their own keep it; all shares are
     * rewritten as fr equal to their px, so that the others stay where they are (model §3).
     *
     * @param array<string, int> $lengthsPx by part id, for those that change
     */
    public static function relength(Split $split, array $lengthsPx, Glazing $glazing, Sizing $sizing): Split
    {
        $parentPx = $sizing->lengthOf($split, $glazing);

        return $split->withParts(
            array_map(static function (Part $part) use ($split, $lengthsPx, $glazing, $sizing, $parentPx) {
                $px = $lengthsPx[$part->id()] ?? null;
                if ($px === null && !$part->size()->isShare()) {
                    return $part;
                }
                $px ??= $glazing->rect($part->id())?->length($split->axis) ?? 1;

                return $part->withSize($part->size()->holdingPx($px, $parentPx, $sizing->pitchUm($split->axis)));
            }, $split->parts),
        );
    }

    /**
     * The parts of a split, as they were, whose size another version of it writes differently.
     *
     * @return list<Part>
     */
    public static function resized(Split $before, Split $after): array
    {
        return array_values(
            array_filter(
                $before->parts,
                static fn (Part $part, int $i) => $part->size()->toText() !== $after->parts[$i]->size()->toText()
                    || $part->leastPx() !== $after->parts[$i]->leastPx(),
                \ARRAY_FILTER_USE_BOTH,
            ),
        );
    }

    /** @return list<string> ids of all parts and splits below and including this one */
    public static function ids(Part $tree): array
    {
        return array_merge([$tree->id()], ...array_map(self::ids(...), $tree instanceof Split ? $tree->parts : []));
    }
}
