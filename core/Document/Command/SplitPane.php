<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\SceneLayout;
use UpperPane\Core\Document\Zone;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Pane;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\PartSize;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Tree;

/**
 * `pane.split`: divides a pane at a canvas px into itself (before) and a new one (after), which takes the next letter.
 * With `new_first` the new one lies before the line and the pane after it. A share inside a split of the same axis gets a
 * neighbour there; anything else becomes a split of its own, of the same size. A `new_zone` that the scene knows but this layout
 * leaves out is placed, with its letter and fill.
 */
final readonly class SplitPane implements Command
{
    public const NAME = 'pane.split';

    public function __construct(
        private string $scene,
        private string $pane,
        private Axis $axis,
        private int $atPx,
        private string $newZone,
        private string $newSplit,
        private bool $newFirst = false,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'pane', 'split', 'at', 'new_zone', 'new_split', 'new_first']);

        return new self(
            $input->id('scene'),
            $input->id('pane'),
            Axis::ofSplit((string) $input->choice('split', ['columns', 'rows'])),
            $input->int('at', 0, Size::LARGEST_PX),
            $input->id('new_zone'),
            $input->id('new_split'),
            $input->has('new_first') && $input->bool('new_first'),
        );
    }

    public function apply(Design $design): Change
    {
        $layout = SceneLayout::of($design, $this->scene);
        $layout->scene->zone($this->pane);
        foreach ([$this->newZone, $this->newSplit] as $id) {
            if (Tree::find($layout->tree, $id) !== null || $this->newZone === $this->newSplit) {
                throw Refusal::because('document.id_taken', '/new_zone', ['id' => $id]);
            }
        }
        $parent = Tree::parent($layout->tree, $this->pane);
        $pane = Tree::find($layout->tree, $this->pane) ?? throw Refusal::because('document.zone_gone', '/pane', ['zone' => $this->pane]);
        $beside = $parent !== null && $parent->axis === $this->axis && $pane->size()->isShare();
        [$at, $new] = $beside ? [$parent->id(), $this->besides($parent, $layout)] : [$this->pane, $this->inside($pane, $layout)];
        $tree = Tree::replace($layout->tree, $at, $new);
        $old = Tree::find($layout->tree, $at) ?? $pane;
        $made = isset($layout->scene->zones[$this->newZone]) ? [] : [$this->newZone => Zone::fresh($this->newZone, Letters::at($design->lettersUsed))];

        return new Change(
            $layout->with($tree, $layout->scene->zones + $made, count($made)),
            new PutGlazing($this->scene, $beside ? $at : $this->newSplit, $old, array_map(static fn () => null, $made)),
            [Touched::zone($this->pane)],
            [...array_map($layout->part(...), $beside ? array_map(static fn (Part $part) => $part->id(), $parent->parts) : [$this->pane]), Touched::zone($this->newZone), $layout->part($this->newZone)],
            [
                ...array_values(array_map(fn (Zone $zone) => ['op' => 'add', 'path' => Touched::zonePath($layout->scene->id, $zone->id), 'value' => $zone->toArray()], $made)),
                $layout->patch($tree),
            ],
        );
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME, 'scene' => $this->scene, 'pane' => $this->pane, 'split' => $this->axis->splitName(), 'at' => $this->atPx,
            'new_zone' => $this->newZone, 'new_split' => $this->newSplit,
        ] + ($this->newFirst ? ['new_first' => true] : []);
    }

    private function besides(Split $parent, SceneLayout $layout): Split
    {
        $glazing = $layout->resolved();
        [$kept, $new] = $this->lengths($glazing->panes[$this->pane], $parent->gutterPx);
        $relengthened = Tree::relength($parent, [$this->pane => $kept], $glazing, $layout->sizing());
        $parts = array_map(fn (Part $part) => $part->id() === $this->pane ? $this->inOrder($part, $new) : [$part], $relengthened->parts);

        return $relengthened->withParts(array_merge(...$parts));
    }

    private function inside(Part $pane, SceneLayout $layout): Split
    {
        [$kept, $new] = $this->lengths($layout->resolved()->panes[$this->pane], 0);

        return new Split(
            $this->newSplit,
            $this->axis,
            0,
            $this->inOrder($pane->withSize(PartSize::fr($kept)), $new),
            $pane->size(),
        );
    }

    /** @return list<Part> */
    private function inOrder(Part $kept, int $newPx): array
    {
        $new = new Pane($this->newZone, PartSize::fr($newPx));

        return $this->newFirst ? [$new, $kept] : [$kept, $new];
    }

    /** @return array{int, int} px that the pane keeps, and px of the new one */
    private function lengths(Rect $rect, int $gutterPx): array
    {
        $before = $this->atPx - $rect->start($this->axis);
        $after = $rect->end($this->axis) - $this->atPx - $gutterPx;
        if ($before < 1 || $after < 1) {
            throw Refusal::because('split.outside', '/at', [
                'at' => $this->atPx, 'least' => $rect->start($this->axis) + 1, 'most' => $rect->end($this->axis) - $gutterPx - 1,
            ]);
        }

        return $this->newFirst ? [$after, $before] : [$before, $after];
    }
}
