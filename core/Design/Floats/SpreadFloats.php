<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Floats;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Layout\Arrange;

/**
 * `float.spread`: equal gaps between three floats or more, the outer two of which stay. Refuses `float.gone`,
 * `float.locked`.
 */
final readonly class SpreadFloats implements DesignCommand
{
    public const NAME = 'float.spread';

    private function __construct(private FloatsAt $floats, private Axis $axis)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'zones', 'axis', 'panels']);

        return new self(FloatsAt::parse($input, FloatsAt::ids($input, 3)), $input->enum('axis', Axis::class));
    }

    public function apply(Document $document): Change
    {
        $at = $this->floats->layout($document);
        $moved = Arrange::spread($this->floats->boxes($at), $this->axis);
        $rects = $this->floats->rects($at);
        foreach ($rects as $zone => $rect) {
            $by = $moved[$zone];
            $rects[$zone] = $rect->movedBy($this->axis === Axis::X ? $by : 0, $this->axis === Axis::Y ? $by : 0);
        }

        return $this->floats->put($at, $rects);
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return $this->floats->toArray(self::NAME) + ['zones' => $this->floats->zones, 'axis' => $this->axis->value];
    }
}
