<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Glazing;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Tree;

/**
 * `pane.merge`: a pane goes, its neighbour in the same split takes its room and keeps its own fill. A split with one
 * part left dissolves into it. The zone goes with its pane when it stands nowhere else. Refuses `merge.no_neighbours`.
 */
final readonly class MergePane implements DesignCommand
{
    public const NAME = 'pane.merge';

    public function __construct(
        private string $scene,
        private bool $turned,
        private string $pane,
        private string $into,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'pane', 'into']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self($scene, $turned, $input->id('pane'), $input->id('into'));
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $zone = $document->zone($this->pane, '/pane');
        $parent = Tree::parent($at->tree(), $this->pane);
        $ids = array_map(static fn (Part $part) => $part->id(), $parent->parts ?? []);
        if (
            $parent === null
            || !in_array($this->into, $ids, true)
            || abs(array_search($this->into, $ids, true) - array_search($this->pane, $ids, true)) !== 1
        ) {
            throw Refusal::because('merge.no_neighbours', '/into', ['letter' => $zone->letter()]);
        }
        $merged = $this->merged($parent, $at);
        $put = $at->put(Tree::replace($at->tree(), $parent->id(), $merged));

        return new Change(
            $put->after,
            [new PutGlazing($this->scene, $this->turned, $merged->id(), $parent, $put->gone), ...$put->rehook($at)],
            Scopes::of(...$at->geometry($parent)),
            $put->touched->and(
                Scopes::of($at->parts($parent->id()), $at->part($parent->id()), ...array_map($at->part(...), $ids)),
            ),
            ['letter' => $zone->letter()],
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
            'into' => $this->into,
        ];
    }

    private function merged(Split $parent, LayoutAt $at): Part
    {
        $glazing = $at->glazing();
        $length = fn (string $id) => $glazing->rect($id)?->length($parent->axis) ?? 0;
        $relengthened = Tree::relength(
            $parent,
            [$this->into => $length($this->pane) + $parent->gutterPx + $length($this->into)],
            $glazing,
            $at->sizing(),
        );
        $parts = array_values(array_filter($relengthened->parts, fn (Part $part) => $part->id() !== $this->pane));

        return count($parts) === 1
            ? $parts[0]->withSize($parent->size())->withLeast($parent->leastPx())
            : $relengthened->withParts($parts);
    }
}
