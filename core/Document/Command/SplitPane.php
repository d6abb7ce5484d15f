<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\Scene;
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
 * A share inside a split of the same axis gets a neighbour there; anything else becomes a split of its own, of the same size.
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
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'pane', 'split', 'at', 'new_zone', 'new_split']);

        return new self(
            $input->id('scene'),
            $input->id('pane'),
            Axis::ofSplit((string) $input->choice('split', ['columns', 'rows'])),
            $input->int('at', 0, Size::LARGEST_PX),
            $input->id('new_zone'),
            $input->id('new_split'),
        );
    }

    public function apply(Design $design): Change
    {
        $scene = $design->scene($this->scene);
        $scene->zone($this->pane);
        foreach ([$this->newZone, $this->newSplit] as $id) {
            if (Tree::find($scene->tree, $id) !== null || $this->newZone === $this->newSplit) {
                throw Refusal::because('document.id_taken', '/new_zone', ['id' => $id]);
            }
        }
        $parent = Tree::parent($scene->tree, $this->pane);
        $pane = Tree::find($scene->tree, $this->pane) ?? throw Refusal::because('document.zone_gone', '/pane', ['zone' => $this->pane]);
        $beside = $parent !== null && $parent->axis === $this->axis && $pane->size()->isShare();
        [$at, $new] = $beside ? [$parent->id(), $this->besides($parent, $design, $scene)] : [$this->pane, $this->inside($pane, $design, $scene)];
        $zone = Zone::fresh($this->newZone, Letters::at($design->lettersUsed));
        $tree = Tree::replace($scene->tree, $at, $new);
        $design->sizing()->resolve($tree);
        $old = Tree::find($scene->tree, $at) ?? $pane;

        return new Change(
            $design->withScene($scene->withGlazing($tree, $scene->zones + [$zone->id => $zone]), 1),
            new PutGlazing($this->scene, $beside ? $at : $this->newSplit, $old, [$this->newZone => null]),
            [Touched::zone($this->pane)],
            [...array_map(Touched::part(...), $beside ? array_map(static fn (Part $part) => $part->id(), [...$parent->parts]) : [$this->pane]), Touched::zone($this->newZone), Touched::part($this->newZone)],
            [
                ['op' => 'add', 'path' => Touched::zonePath($this->scene, $this->newZone), 'value' => $zone->toArray()],
                ['op' => 'replace', 'path' => "/scenes/{$this->scene}/glazing", 'value' => $tree->toArray(true)],
            ],
        );
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME, 'scene' => $this->scene, 'pane' => $this->pane, 'split' => $this->axis->splitName(), 'at' => $this->atPx,
            'new_zone' => $this->newZone, 'new_split' => $this->newSplit,
        ];
    }

    private function besides(Split $parent, Design $design, Scene $scene): Split
    {
        $glazing = $design->sizing()->resolve($scene->tree);
        [$before, $after] = $this->lengths($glazing->panes[$this->pane], $parent->gutterPx);
        $relengthened = Tree::relength($parent, [$this->pane => $before], $glazing, $design->sizing());
        $parts = [];
        foreach ($relengthened->parts as $part) {
            $parts[] = $part;
            if ($part->id() === $this->pane) {
                $parts[] = new Pane($this->newZone, PartSize::fr($after));
            }
        }

        return $relengthened->withParts($parts);
    }

    private function inside(Part $pane, Design $design, Scene $scene): Split
    {
        [$before, $after] = $this->lengths($design->sizing()->resolve($scene->tree)->panes[$this->pane], 0);

        return new Split(
            $this->newSplit,
            $this->axis,
            0,
            [$pane->withSize(PartSize::fr($before)), new Pane($this->newZone, PartSize::fr($after))],
            $pane->size(),
        );
    }

    /** @return array{int, int} px before and after the line */
    private function lengths(Rect $rect, int $gutterPx): array
    {
        $before = $this->atPx - $rect->start($this->axis);
        $after = $rect->end($this->axis) - $this->atPx - $gutterPx;
        if ($before < 1 || $after < 1) {
            throw Refusal::because('split.outside', '/at', [
                'at' => $this->atPx, 'least' => $rect->start($this->axis) + 1, 'most' => $rect->end($this->axis) - $gutterPx - 1,
            ]);
        }

        return [$before, $after];
    }
}
