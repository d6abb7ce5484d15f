<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rational;

/** What a px of a design becomes on a surface of another size (model §3). */
enum ReflowScale: string
{
    /** In proportion: by the ratio of the short sides. */
    case ShortSide = 'short_side';

    /** As large on the wall: by the ratio of the pitches. */
    case SameMm = 'same_mm';

    /** As many px. */
    case SamePx = 'same_px';

    /** Surface px per design px. */
    public function between(Sizing $design, Sizing $surface): Rational
    {
        $own = $design->pitchUm(Axis::X);
        $there = $surface->pitchUm(Axis::X);

        return match (true) {
            $this === self::SamePx => Rational::of(1),
            $this === self::SameMm && $own !== null && $there !== null => $own->dividedBy($there),
            default => Rational::of($surface->canvas->shortSide(), $design->canvas->shortSide()),
        };
    }
}
