<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

/** A disc, or a ring around nothing. */
final readonly class Ring implements Coat
{
    private Paint $paint;

    /** @param float $inner px; 0 of a disc */
    public function __construct(
        private float $x,
        private float $y,
        private float $inner,
        private float $outer,
        string $hex,
    ) {
        $this->paint = Paint::ofHex($hex);
    }

    public function steps(): int
    {
        return 1;
    }

    public function at(int $step, float $x, float $y): Paint
    {
        $far = hypot($x - $this->x, $y - $this->y);

        return $far >= $this->inner && $far < $this->outer ? $this->paint : Paint::none();
    }

    public function covers(float $width, float $height): ?Box
    {
        $half = $this->outer * \M_SQRT1_2;

        return $this->inner > 0.0 ? null : Box::of($this->x - $half, $this->y - $half, 2 * $half, 2 * $half);
    }
}
