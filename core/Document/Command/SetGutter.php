<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\SceneLayout;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Tree;

/** `split.gutter`: the strip of ground between the parts of a split, in px. */
final readonly class SetGutter implements Command
{
    public const NAME = 'split.gutter';

    public function __construct(private string $scene, private string $split, private int $gutterPx)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'split', 'gutter']);

        return new self($input->id('scene'), $input->id('split'), $input->int('gutter', 0, Size::LARGEST_PX));
    }

    public function apply(Design $design): Change
    {
        $layout = SceneLayout::of($design, $this->scene);
        $split = Tree::find($layout->tree, $this->split);
        if (!$split instanceof Split) {
            throw Refusal::because('document.part_gone', '/split', ['part' => $this->split]);
        }
        $tree = Tree::replace($layout->tree, $this->split, $split->withGutter($this->gutterPx));

        return new Change(
            $layout->with($tree),
            new self($this->scene, $this->split, $split->gutterPx),
            [],
            [$layout->part($this->split)],
            [$layout->patch($tree)],
        );
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'split' => $this->split, 'gutter' => $this->gutterPx];
    }
}
