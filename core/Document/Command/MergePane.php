<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Tree;

/**
 * `pane.merge`: a pane goes, its neighbour in the same split takes its room and keeps its own fill. A split with one part
 * left dissolves into it.
 */
final readonly class MergePane implements Command
{
    public const NAME = 'pane.merge';

    public function __construct(private string $scene, private string $pane, private string $into)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'pane', 'into']);

        return new self($input->id('scene'), $input->id('pane'), $input->id('into'));
    }

    public function apply(Design $design): Change
    {
        $scene = $design->scene($this->scene);
        $zone = $scene->zone($this->pane);
        $parent = Tree::parent($scene->tree, $this->pane);
        $ids = array_map(static fn (Part $part) => $part->id(), $parent->parts ?? []);
        if ($parent === null || !in_array($this->into, $ids, true) || abs(array_search($this->into, $ids, true) - array_search($this->pane, $ids, true)) !== 1) {
            throw Refusal::because('merge.no_neighbours', '/into', ['letter' => $zone->letter]);
        }
        $merged = $this->merged($parent, $design->sizing()->resolve($scene->tree), $design);
        $tree = Tree::replace($scene->tree, $parent->id(), $merged);
        $zones = $scene->zones;
        unset($zones[$this->pane]);
        $design->sizing()->resolve($tree);

        return new Change(
            $design->withScene($scene->withGlazing($tree, $zones)),
            new PutGlazing($this->scene, $merged->id(), $parent, [$this->pane => $zone]),
            [],
            [...array_map(Touched::part(...), Tree::ids($parent)), Touched::zone($this->pane), Touched::fill($this->pane)],
            [
                ['op' => 'remove', 'path' => Touched::zonePath($this->scene, $this->pane)],
                ['op' => 'replace', 'path' => "/scenes/{$this->scene}/glazing", 'value' => $tree->toArray(true)],
            ],
        );
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'pane' => $this->pane, 'into' => $this->into];
    }

    private function merged(Split $parent, Glazing $glazing, Design $design): Part
    {
        $length = fn (string $id) => $glazing->rect($id)?->length($parent->axis) ?? 0;
        $relengthened = Tree::relength($parent, [$this->into => $length($this->pane) + $parent->gutterPx + $length($this->into)], $glazing, $design->sizing());
        $parts = array_values(array_filter($relengthened->parts, fn (Part $part) => $part->id() !== $this->pane));

        return count($parts) === 1 ? $parts[0]->withSize($parent->size()) : $relengthened->withParts($parts);
    }
}
