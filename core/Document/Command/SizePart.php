<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\SceneLayout;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\PartSize;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Tree;

/**
 * `part.size`: an exact size, typed. The parts sized in shares take what is left; when there is none, the neighbour
 * (after it, or before the last one) becomes one.
 */
final readonly class SizePart implements Command
{
    public const NAME = 'part.size';

    public function __construct(private string $scene, private string $part, private PartSize $size)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'part', 'size']);

        return new self($input->id('scene'), $input->id('part'), PartSize::parse($input->child('size')));
    }

    public function apply(Design $design): Change
    {
        $layout = SceneLayout::of($design, $this->scene);
        $split = Tree::parent($layout->tree, $this->part) ?? throw Refusal::because('document.part_gone', '/part', ['part' => $this->part]);
        $sized = $this->sized($split);
        $tree = Tree::replace($layout->tree, $split->id(), $sized);
        try {
            $after = $layout->with($tree);
        } catch (Refusal $refusal) {
            throw Refusal::because($refusal->refusalCode, '/size', $refusal->params);
        }
        $old = Tree::resized($split, $sized);

        return new Change(
            $after,
            SetSizes::asNow($this->scene, ...$old),
            [],
            array_map(static fn (Part $part) => $layout->part($part->id()), $split->parts),
            [$layout->patch($tree)],
        );
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'part' => $this->part, 'size' => $this->size->toText()];
    }

    private function sized(Split $split): Split
    {
        $ids = array_map(static fn (Part $part) => $part->id(), $split->parts);
        $at = (int) array_search($this->part, $ids, true);
        $othersShare = array_filter($split->parts, fn (Part $part) => $part->id() !== $this->part && $part->size()->isShare()) !== [];
        $taker = $othersShare || $this->size->isShare() ? null : ($ids[$at + 1] ?? $ids[$at - 1] ?? null);

        return $split->withParts(array_map(fn (Part $part) => match ($part->id()) {
            $this->part => $part->withSize($this->size),
            $taker => $part->withSize(PartSize::fr(1)),
            default => $part,
        }, $split->parts));
    }
}
