<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;

/** What turns sizes into px on one canvas: its px and its pitch in µm. */
final readonly class Sizing
{
    public function __construct(public Size $canvas, private ?Rational $pitchXUm, private ?Rational $pitchYUm)
    {
    }

    public function pitchUm(Axis $axis): ?Rational
    {
        return $axis === Axis::X ? $this->pitchXUm : $this->pitchYUm;
    }

    public function resolve(Part $tree): Glazing
    {
        return Glazing::resolve($tree, $this->canvas, $this->pitchXUm, $this->pitchYUm);
    }

    public function rects(Part $tree): Glazing
    {
        return Glazing::rects($tree, $this->canvas, $this->pitchXUm, $this->pitchYUm);
    }

    public function lengthOf(Split $split, Glazing $glazing): int
    {
        return ($glazing->rect($split->id()) ?? $this->canvas->rect())->length($split->axis);
    }
}
