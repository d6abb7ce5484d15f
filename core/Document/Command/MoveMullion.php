<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\SceneLayout;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\Mullion;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Tree;

/**
 * `mullion.move`: one or more lines, each named by the part after it, to one canvas px: only the two neighbours of each
 * change (model §3).
 */
final readonly class MoveMullion implements Command
{
    public const NAME = 'mullion.move';

    /** @param list<string> $after ids of the parts after the lines */
    public function __construct(private string $scene, private array $after, private int $atPx)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'after', 'at']);

        return new self($input->id('scene'), array_map(static fn (Input $id) => $id->asText(64, 1), $input->list('after', 100, 1)), $input->int('at', 0, Size::LARGEST_PX));
    }

    public function apply(Design $design): Change
    {
        $layout = SceneLayout::of($design, $this->scene);
        $glazing = $layout->resolved();
        $tree = $layout->tree;
        $old = [];
        foreach ($this->after as $after) {
            $split = Tree::parent($tree, $after) ?? throw Refusal::because('document.part_gone', '/after', ['part' => $after]);
            $moved = $this->moved($split, $this->mullion($glazing, $after), $layout, $glazing);
            $old = [...$old, ...Tree::resized($split, $moved)];
            $tree = Tree::replace($tree, $split->id(), $moved);
        }

        return new Change(
            $layout->with($tree),
            SetSizes::asNow($this->scene, ...$old),
            [],
            array_map(static fn (Part $part) => $layout->part($part->id()), array_values($old)),
            [$layout->patch($tree)],
        );
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'after' => $this->after, 'at' => $this->atPx];
    }

    private function mullion(Glazing $glazing, string $after): Mullion
    {
        foreach ($glazing->mullions as $mullion) {
            if ($mullion->partIds[1] === $after) {
                [$least, $most] = $mullion->rangePx;
                if ($this->atPx < $least || $this->atPx > $most) {
                    throw Refusal::because('mullion.beyond', '/at', ['at' => $this->atPx, 'least' => $least, 'most' => $most]);
                }

                return $mullion;
            }
        }
        throw Refusal::because('document.part_gone', '/after', ['part' => $after]);
    }

    private function moved(Split $split, Mullion $mullion, SceneLayout $layout, Glazing $glazing): Split
    {
        [$before, $after] = $mullion->partIds;
        $start = $glazing->rect($before)?->start($mullion->axis) ?? 0;
        $end = $glazing->rect($after)?->end($mullion->axis) ?? 0;

        return Tree::relength($split, [$before => $this->atPx - $start, $after => $end - $mullion->gutter - $this->atPx], $glazing, $layout->sizing());
    }
}
