<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Floats;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Arrange;

/**
 * `float.align`: an edge or the middle of floats to that of a rectangle (the canvas, the safe area, a panel, a pane),
 * or of the box around them all. What is turned is aligned by its outline. Refuses `float.gone`,
 * `float.locked`.
 */
final readonly class AlignFloats implements DesignCommand
{
    public const NAME = 'float.align';
    private const EDGES = ['left', 'centre', 'right', 'top', 'middle', 'bottom'];

    private function __construct(private FloatsAt $floats, private string $edge, private ?Rect $within)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'zones', 'edge', 'within', 'panels']);
        $within = $input->optional('within');

        return new self(
            FloatsAt::parse($input, FloatsAt::ids($input, $within === null ? 2 : 1)),
            (string) $input->choice('edge', self::EDGES),
            $within === null ? null : Rect::parseAnywhere($within),
        );
    }

    public function apply(Document $document): Change
    {
        $at = $this->floats->layout($document);
        $boxes = $this->floats->boxes($at);
        $index = (int) array_search($this->edge, self::EDGES, true);
        $axis = $index < 3 ? Axis::X : Axis::Y;
        $moved = Arrange::aligned($boxes, $axis, $index % 3, $this->within ?? Rect::around(...array_values($boxes)));
        $rects = $this->floats->rects($at);
        foreach ($rects as $zone => $rect) {
            $by = $moved[$zone];
            $rects[$zone] = $rect->movedBy($axis === Axis::X ? $by : 0, $axis === Axis::Y ? $by : 0);
        }

        return $this->floats->put($at, $rects);
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return $this->floats->toArray(self::NAME) + ['zones' => $this->floats->zones, 'edge' => $this->edge] +
            ($this->within === null ? [] : ['within' => $this->within->toArray()]);
    }
}
