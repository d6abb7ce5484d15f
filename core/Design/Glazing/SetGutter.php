<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Glazing;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Tree;

/** `split.gutter`: the strip of ground between the parts of a split, in px. Refuses `document.part_gone`. */
final readonly class SetGutter implements DesignCommand
{
    public const NAME = 'split.gutter';

    public function __construct(
        private string $scene,
        private bool $turned,
        private string $split,
        private int $gutterPx,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'split', 'gutter']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self($scene, $turned, $input->id('split'), $input->int('gutter', 0, Size::LARGEST_PX));
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $split = Tree::find($at->tree(), $this->split);
        if (!$split instanceof Split) {
            throw Refusal::because('document.part_gone', '/split', ['part' => $this->split]);
        }
        $put = $at->put(Tree::replace($at->tree(), $this->split, $split->withGutter($this->gutterPx)));

        return new Change(
            $put->after,
            [new self($this->scene, $this->turned, $this->split, $split->gutterPx)],
            Scopes::of(),
            $put->touched->and(Scopes::of($at->gutter($this->split))),
        );
    }

    public function target(): Scope
    {
        return LayoutAt::scopeOf($this->scene, $this->turned)->below('gutter', $this->split);
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME,
            'scene' => $this->scene,
            'layout' => $this->turned ? LayoutAt::TURNED : LayoutAt::OWN,
            'split' => $this->split,
            'gutter' => $this->gutterPx,
        ];
    }
}
