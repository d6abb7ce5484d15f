<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Reflow;
use UpperPane\Core\Layout\Split;

/**
 * `layout.make`: a layout of the scene for the other orientation, to go on from: `same` as the reflow shows it, or `crossed`, where
 * columns become rows and rows columns, which fits the turned canvas to the px.
 */
final readonly class MakeLayout implements Command
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

    public function apply(Design $design): Change
    {
        $scene = $design->scene($this->scene);
        if ($scene->turned !== null) {
            throw Refusal::because('document.layout_there', '/scene');
        }
        $tree = $this->crossed ? self::crossed($scene->tree) : Reflow::to($scene->tree, $design->sizing(), $design->sizing(true))->tree;

        return (new PutLayout($this->scene, $tree, []))->apply($design);
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
