<?php

declare(strict_types=1);

namespace UpperPane\Core\Geometry;

/** A half-open rectangle in canvas px: x right, y down; two rectangles touch when one's right edge is the other's left edge. */
final readonly class Rect
{
    private function __construct(public int $x, public int $y, public int $width, public int $height)
    {
    }

    public static function of(int $x, int $y, int $width, int $height): self
    {
        return new self($x, $y, $width, $height);
    }

    public function right(): int
    {
        return $this->x + $this->width;
    }

    public function bottom(): int
    {
        return $this->y + $this->height;
    }

    public function size(): Size
    {
        return Size::of($this->width, $this->height);
    }

    public function start(Axis $axis): int
    {
        return $axis === Axis::X ? $this->x : $this->y;
    }

    public function end(Axis $axis): int
    {
        return $axis === Axis::X ? $this->right() : $this->bottom();
    }

    public function length(Axis $axis): int
    {
        return $axis === Axis::X ? $this->width : $this->height;
    }

    /** The same rectangle with its stretch along one axis replaced. */
    public function along(Axis $axis, int $start, int $length): self
    {
        return $axis === Axis::X
            ? new self($start, $this->y, $length, $this->height)
            : new self($this->x, $start, $this->width, $length);
    }

    /** @return array{int, int, int, int} */
    public function toArray(): array
    {
        return [$this->x, $this->y, $this->width, $this->height];
    }
}
