<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;

/** What turns sizes into px on one canvas: its px and its pitch in µm. */
final readonly class Sizing
{
    public Pitches $pitches;

    public function __construct(public Size $canvas, ?Rational $pitchXUm, ?Rational $pitchYUm)
    {
        $this->pitches = new Pitches($pitchXUm, $pitchYUm);
    }

    public function pitchUm(Axis $axis): ?Rational
    {
        return $this->pitches->along($axis);
    }

    /** @throws Refusal see {@see Shares::of()} */
    public function resolve(Part $tree, string $path = '/tree'): Glazing
    {
        return Glazing::resolve($tree, $this->canvas, $this->pitches, $path);
    }

    public function lengthOf(Split $split, Glazing $glazing): int
    {
        return ($glazing->rect($split->id()) ?? $this->canvas->rect())->length($split->axis);
    }
}
