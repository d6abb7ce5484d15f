<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

/** A place behind letters, looked up once for all moments. */
final readonly class Place
{
    /**
     * @param float $x   px of the canvas
     * @param float $y   px of the canvas
     * @param Paint $ink of the letters there
     * @param Paint $own what their item paints under them
     * @param list<array{int, float, float}> $under  zones seen there, front to back: which, and where in it, in px
     * @param list<array{int, float, float}> $over   the same of those that lie over it, back to front
     */
    public function __construct(
        public float $x,
        public float $y,
        public Paint $ink,
        public Paint $own,
        public array $under,
        public array $over,
    ) {
    }
}
