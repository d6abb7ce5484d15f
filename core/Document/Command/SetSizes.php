<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\SceneLayout;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\PartSize;
use UpperPane\Core\Layout\Tree;

/** `sizes.set`: the sizes of some parts, as written. It is how moved mullions are taken back. */
final readonly class SetSizes implements Command
{
    public const NAME = 'sizes.set';

    /** @param array<string, PartSize> $sizes by part id */
    public function __construct(private string $scene, private array $sizes)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'sizes']);

        return new self($input->id('scene'), array_map(PartSize::parse(...), $input->child('sizes')->members()));
    }

    /** The command that gives these parts the sizes they have now. */
    public static function asNow(string $scene, Part ...$parts): self
    {
        $sizes = [];
        foreach ($parts as $part) {
            $sizes[$part->id()] = $part->size();
        }

        return new self($scene, $sizes);
    }

    public function apply(Design $design): Change
    {
        $layout = SceneLayout::of($design, $this->scene);
        $tree = $layout->tree;
        $old = [];
        foreach ($this->sizes as $id => $size) {
            $part = Tree::find($tree, (string) $id) ?? throw Refusal::because('document.part_gone', '/sizes', ['part' => (string) $id]);
            $old[] = $part;
            $tree = Tree::replace($tree, (string) $id, $part->withSize($size));
        }

        return new Change(
            $layout->with($tree),
            self::asNow($this->scene, ...$old),
            [],
            array_map(static fn (Part $part) => $layout->part($part->id()), $old),
            [$layout->patch($tree)],
        );
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'sizes' => array_map(static fn (PartSize $size) => $size->toText(), $this->sizes)];
    }
}
