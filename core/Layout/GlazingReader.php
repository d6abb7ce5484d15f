<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Size;

/** Reads a glazing tree from untrusted JSON. Splits may carry an `id`; panes are named by `pane`. */
final class GlazingReader
{
    /** Splits within splits (model: 64 are enough for any wall). */
    public const DEEPEST = 64;

    /** @throws Refusal for a wrong shape; `glaze.pane_twice` when a pane or split id stands twice */
    public static function read(Input $tree): Part
    {
        $root = self::node($tree, true, 1);
        $seen = [];
        self::refuseTwins($root, $tree->path, $seen);

        return $root;
    }

    /**
     * From a document that was written by {@see Part::toArray()}: no bounds are checked again.
     *
     * @param array<string, mixed> $node
     */
    public static function stored(array $node): Part
    {
        $size = is_string($node['size'] ?? null) ? PartSize::stored($node['size']) : PartSize::fr(1);
        $min = is_int($node['min'] ?? null) ? $node['min'] : 0;
        if (is_string($node['pane'] ?? null)) {
            return new Pane($node['pane'], $size, $min);
        }
        /** @var array{id?: string, split: string, gutter: int, parts: list<array<string, mixed>>} $node */
        $parts = array_map(self::stored(...), $node['parts']);

        return new Split($node['id'] ?? '', Axis::ofSplit($node['split']), $node['gutter'], $parts, $size, $min);
    }

    private static function node(Input $node, bool $root, int $depth): Part
    {
        $isPane = $node->has('pane');
        if (!$isPane && $depth > self::DEEPEST) {
            throw Refusal::because('glaze.too_deep', $node->path, ['most' => self::DEEPEST]);
        }
        $node->keys([...$root ? [] : ['size', 'min'], ...$isPane ? ['pane'] : ['id', 'split', 'gutter', 'parts']]);
        $size = $root ? PartSize::fr(1) : PartSize::parse($node->child('size'));
        $min = $node->has('min') ? $node->int('min', 0, Size::LARGEST_PX) : 0;
        if ($min > 0 && !$size->isShare()) {
            throw Refusal::because('glaze.min_needs_fr', $node->pathTo('min'), ['size' => $size->toText()]);
        }
        if ($isPane) {
            return new Pane($node->id('pane'), $size, $min);
        }

        return new Split(
            $node->has('id') ? $node->id('id') : '',
            Axis::ofSplit((string) $node->choice('split', ['columns', 'rows'])),
            $node->has('gutter') ? $node->int('gutter', 0, Size::LARGEST_PX) : 0,
            array_map(static fn (Input $part) => self::node($part, false, $depth + 1), $node->list('parts', 1000, 1)),
            $size,
            $min,
        );
    }

    /** @param array<string, true> $seen */
    private static function refuseTwins(Part $part, string $path, array &$seen): void
    {
        if ($part->id() !== '' && isset($seen[$part->id()])) {
            throw Refusal::because('glaze.pane_twice', $path, ['pane' => $part->id()]);
        }
        $seen[$part->id()] = true;
        foreach ($part instanceof Split ? $part->parts : [] as $index => $child) {
            self::refuseTwins($child, $path.'/parts/'.$index, $seen);
        }
    }
}
