<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Glazing;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Design\Spot;
use UpperPane\Core\Design\Zone;
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
 * With `new_first` the new one lies before the line and the pane after it. A share inside a split of the same axis gets
 * a neighbour there; anything else becomes a split of its own, of the same size. A `new_zone` that the design has
 * already is placed, with its letter and fill. Refuses `document.zone_gone`, `document.id_taken`,
 * `document.zone_twice`, `split.outside`.
 */
final readonly class SplitPane implements DesignCommand
{
    public const NAME = 'pane.split';

    public function __construct(
        private string $scene,
        private bool $turned,
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
        $input->keys(['do', 'scene', 'layout', 'pane', 'split', 'at', 'new_zone', 'new_split', 'new_first']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self(
            $scene,
            $turned,
            $input->id('pane'),
            Axis::ofSplit((string) $input->choice('split', ['columns', 'rows'])),
            $input->int('at', 0, Size::LARGEST_PX),
            $input->newId('new_zone'),
            $input->newId('new_split'),
            $input->has('new_first') && $input->bool('new_first'),
        );
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $pane = Tree::find($at->tree(), $this->pane);
        if (!$pane instanceof Pane) {
            throw Refusal::because('document.zone_gone', '/pane', ['zone' => $this->pane]);
        }
        if ($at->layout->holds($this->newZone)) {
            throw Refusal::because('document.zone_twice', '/new_zone', ['zone' => $this->newZone]);
        }
        if (
            Tree::find($at->tree(), $this->newSplit) !== null
            || $this->newZone === $this->newSplit
            || isset($document->zones[$this->newSplit])
        ) {
            throw Refusal::because('document.id_taken', '/new_split', ['id' => $this->newSplit]);
        }
        $parent = Tree::parent($at->tree(), $this->pane);
        $beside = $parent !== null && $parent->axis === $this->axis && $pane->size()->isShare();
        [$where, $new] = $beside
            ? [$parent->id(), $this->besides($parent, $at)]
            : [$this->pane, $this->inside($pane, $at)];
        $old = $beside ? $parent : $pane;
        $made = isset($document->zones[$this->newZone])
            ? []
            : [$this->newZone => Zone::fresh($this->newZone, Letters::at($document->lettersUsed))];
        $put = $at->put(Tree::replace($at->tree(), $where, $new), $made, count($made));
        $parts = $beside ? array_map(static fn (Part $part) => $part->id(), Tree::resized($parent, $new)) : [];

        return new Change(
            $put->after,
            [new PutGlazing($this->scene, $this->turned, $new->id(), $old)],
            Scopes::of(
                $at->rect($this->pane),
                $at->part($this->pane),
                Spot::zoneThere($this->pane),
                Spot::zoneThere($this->newZone),
                ...$beside ? $at->geometry($parent) : [],
            ),
            $put->touched->and(
                Scopes::of(
                    $at->part($this->pane),
                    $at->part($this->newZone),
                    ...array_map($at->part(...), $parts),
                    ...$beside ? [$at->parts($parent->id())] : [$at->part($this->newSplit)],
                ),
            ),
            ['letter' => $document->zone($this->pane)->letter()],
        );
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME,
            'scene' => $this->scene,
            'layout' => $this->turned ? LayoutAt::TURNED : LayoutAt::OWN,
            'pane' => $this->pane,
            'split' => $this->axis->splitName(),
            'at' => $this->atPx,
            'new_zone' => $this->newZone,
            'new_split' => $this->newSplit,
        ] +
            ($this->newFirst ? ['new_first' => true] : []) +
            [];
    }

    private function besides(Split $parent, LayoutAt $at): Split
    {
        $glazing = $at->glazing();
        [$kept, $new] = $this->lengths($glazing->panes[$this->pane], $parent->gutterPx);
        $relengthened = Tree::relength($parent, [$this->pane => $kept], $glazing, $at->sizing());
        $parts = array_map(
            fn (Part $part) => $part->id() === $this->pane ? $this->inOrder($part, $new) : [$part],
            $relengthened->parts,
        );

        return $relengthened->withParts(array_merge(...$parts));
    }

    private function inside(Pane $pane, LayoutAt $at): Split
    {
        [$kept, $new] = $this->lengths($at->glazing()->panes[$this->pane], 0);

        return new Split(
            $this->newSplit,
            $this->axis,
            0,
            $this->inOrder($pane->withSize(PartSize::fr($kept))->withLeast(0), $new),
            $pane->size(),
            $pane->leastPx(),
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
                'at' => $this->atPx,
                'least' => $rect->start($this->axis) + 1,
                'most' => $rect->end($this->axis) - $gutterPx - 1,
            ]);
        }

        return $this->newFirst ? [$after, $before] : [$before, $after];
    }
}
