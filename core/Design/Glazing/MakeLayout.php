<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Glazing;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Layout;
use UpperPane\Core\Design\Spot;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Reflow;
use UpperPane\Core\Layout\Split;

/**
 * `layout.make`: a layout of the scene for the other orientation, to go on from: `same` as the reflow shows it, or
 * `crossed`, where columns become rows and rows columns, which fits the turned canvas to the px. Floats keep their
 * anchors, sizes and offsets. Refuses `document.scene_gone`, `document.layout_there`.
 */
final readonly class MakeLayout implements DesignCommand
{
    public const NAME = 'layout.make';

    public function __construct(private string $scene, private bool $crossed)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'way']);

        return new self($input->id('scene'), $input->choice('way', ['same', 'crossed']) === 'crossed');
    }

    public function apply(Document $document): Change
    {
        $scene = $document->scene($this->scene);
        if ($scene->turned !== null) {
            throw Refusal::because('document.layout_there', '/scene');
        }
        $tree = $this->crossed
            ? self::crossed($scene->own->tree)
            : Reflow::to($scene->own->tree, $document->sizing(), $document->sizing(true), $document->reflow)->tree;

        return (new PutLayout($this->scene, Layout::of($tree, $scene->own->floats), []))
            ->apply($document)
            ->touching(Scopes::of(Spot::layout($this->scene, false), Spot::reflow()), Scopes::of());
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'way' => $this->crossed ? 'crossed' : 'same'];
    }

    private static function crossed(Part $part): Part
    {
        return $part instanceof Split
            ? $part->along($part->axis->other())->withParts(array_map(self::crossed(...), $part->parts))
            : $part;
    }
}
