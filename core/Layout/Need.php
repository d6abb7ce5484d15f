<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rational;

/**
 * The least px that what is inside a part takes along an axis: a subtree's minimum is at least that of its parts and
 * gutters (model §3).
 */
final class Need
{
    /**
     * Fixed lengths (px, and mm by the pitch), minimums, gutters, and 1 px for every other pane; 0 for a pane itself.
     */
    public static function of(Part $part, Axis $axis, Pitches $pitches): int
    {
        return $part instanceof Split ? self::exact($part, $axis, $pitches)->ceil() : 0;
    }

    /** 1 px for every pane, whatever their sizes, minimums and gutters are. */
    public static function bare(Part $part, Axis $axis): int
    {
        if (!$part instanceof Split) {
            return 1;
        }
        $needs = array_map(static fn (Part $child) => self::bare($child, $axis), $part->parts);

        return $axis === $part->axis ? array_sum($needs) : max([1, ...$needs]);
    }

    private static function exact(Split $split, Axis $axis, Pitches $pitches): Rational
    {
        $along = $axis === $split->axis;
        $need = Rational::of($along ? $split->guttersPx() : 1);
        foreach ($split->parts as $part) {
            $inner = $part instanceof Split ? self::exact($part, $axis, $pitches) : Rational::of(1);
            $own = $along ? self::ofPart($part, $inner, $pitches->along($axis)) : $inner;
            $need = match (true) {
                $along => $need->plus($own),
                default => $own->compare($need) > 0 ? $own : $need,
            };
        }

        return $need;
    }

    private static function ofPart(Part $part, Rational $inner, ?Rational $pitchUm): Rational
    {
        $fixed = $part->size()->fixedPx($pitchUm);
        $least = Rational::of($part->leastPx());

        return $fixed ?? ($inner->compare($least) > 0 ? $inner : $least);
    }
}
