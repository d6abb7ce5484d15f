<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\SceneLayout;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Tree;

/**
 * `pane.merge`: a pane goes, its neighbour in the same split takes its room and keeps its own fill. A split with one part
 * left dissolves into it. The zone goes with its pane unless the scene's other layout holds it.
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
        $layout = SceneLayout::of($design, $this->scene);
        $zone = $layout->scene->zone($this->pane);
        $parent = Tree::parent($layout->tree, $this->pane);
        $ids = array_map(static fn (Part $part) => $part->id(), $parent->parts ?? []);
        if ($parent === null || !in_array($this->into, $ids, true) || abs(array_search($this->into, $ids, true) - array_search($this->pane, $ids, true)) !== 1) {
            throw Refusal::because('merge.no_neighbours', '/into', ['letter' => $zone->letter]);
        }
        $merged = $this->merged($parent, $layout);
        $tree = Tree::replace($layout->tree, $parent->id(), $merged);
        $gone = $layout->standsElsewhere($this->pane) ? [] : [$this->pane => $zone];

        return new Change(
            $layout->with($tree, array_diff_key($layout->scene->zones, $gone)),
            new PutGlazing($this->scene, $merged->id(), $parent, $gone),
            [],
            [...array_map($layout->part(...), Tree::ids($parent)), Touched::zone($this->pane), Touched::fill($this->pane)],
            [
                ...($gone === [] ? [] : [['op' => 'remove', 'path' => Touched::zonePath($layout->scene->id, $this->pane)]]),
                $layout->patch($tree),
            ],
        );
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'pane' => $this->pane, 'into' => $this->into];
    }

    private function merged(Split $parent, SceneLayout $layout): Part
    {
        $glazing = $layout->resolved();
        $length = fn (string $id) => $glazing->rect($id)?->length($parent->axis) ?? 0;
        $relengthened = Tree::relength($parent, [$this->into => $length($this->pane) + $parent->gutterPx + $length($this->into)], $glazing, $layout->sizing());
        $parts = array_values(array_filter($relengthened->parts, fn (Part $part) => $part->id() !== $this->pane));

        return count($parts) === 1 ? $parts[0]->withSize($parent->size()) : $relengthened->withParts($parts);
    }
}
