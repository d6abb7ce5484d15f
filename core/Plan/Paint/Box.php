<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

use UpperPane\Core\Geometry\Polygon;
use UpperPane\Core\Geometry\Rational;

/** An upright rectangle in px of a zone, not rounded. */
final readonly class Box
{
    private function __construct(public float $x, public float $y, public float $width, public float $height)
    {
    }

    public static function of(float $x, float $y, float $width, float $height): self
    {
        return new self($x, $y, $width, $height);
    }

    /** @param array{int, int, int, int} $mpx x, y, width and height in thousandths of a px */
    public static function ofMpx(array $mpx): self
    {
        return new self($mpx[0] / 1000, $mpx[1] / 1000, $mpx[2] / 1000, $mpx[3] / 1000);
    }

    /** @param array{Rational, Rational, Rational, Rational} $px x, y, width and height */
    public static function ofPx(array $px): self
    {
        return self::ofMpx(array_map(static fn (Rational $one) => $one->thousandths(), $px));
    }

    public function contains(float $x, float $y): bool
    {
        return $x >= $this->x && $y >= $this->y && $x < $this->x + $this->width && $y < $this->y + $this->height;
    }

    /** What both have in common; null when that is nothing. */
    public function within(self $other): ?self
    {
        [$left, $top] = [max($this->x, $other->x), max($this->y, $other->y)];
        $width = min($this->x + $this->width, $other->x + $other->width) - $left;
        $height = min($this->y + $this->height, $other->y + $other->height) - $top;

        return $width > 0 && $height > 0 ? new self($left, $top, $width, $height) : null;
    }

    public function movedBy(float $x, float $y): self
    {
        return new self($this->x + $x, $this->y + $y, $this->width, $this->height);
    }

    public function polygon(): Polygon
    {
        return Polygon::rect($this->x, $this->y, $this->width, $this->height);
    }
}
