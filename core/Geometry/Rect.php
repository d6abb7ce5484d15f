<?php

declare(strict_types=1);

namespace UpperPane\Core\Geometry;

use UpperPane\Core\Base\Input;

/**
 * A half-open rectangle in canvas px: x right, y down; two rectangles touch when one's right edge is the other's left
 * edge.
 */
final readonly class Rect
{
    private function __construct(public int $x, public int $y, public int $width, public int $height)
    {
    }

    /**
     * A side may be 0, as that of a butted seam is.
     *
     * @throws \InvalidArgumentException for a side below 0: a slip of the program, never of a person
     */
    public static function of(int $x, int $y, int $width, int $height): self
    {
        if ($width < 0 || $height < 0) {
            throw new \InvalidArgumentException("A rectangle cannot be $width × $height px.");
        }

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

    /** What both cover; null when they only touch or lie apart. */
    public function common(self $other): ?self
    {
        $x = max($this->x, $other->x);
        $y = max($this->y, $other->y);
        $width = min($this->right(), $other->right()) - $x;
        $height = min($this->bottom(), $other->bottom()) - $y;

        return $width > 0 && $height > 0 ? new self($x, $y, $width, $height) : null;
    }

    /** The smallest one that holds all of these. */
    public static function around(self $first, self ...$others): self
    {
        [$left, $top, $right, $bottom] = [$first->x, $first->y, $first->right(), $first->bottom()];
        foreach ($others as $other) {
            [$left, $top] = [min($left, $other->x), min($top, $other->y)];
            [$right, $bottom] = [max($right, $other->right()), max($bottom, $other->bottom())];
        }

        return new self($left, $top, $right - $left, $bottom - $top);
    }

    public function movedBy(int $x, int $y): self
    {
        return new self($this->x + $x, $this->y + $y, $this->width, $this->height);
    }

    public function equals(self $other): bool
    {
        return $this->x === $other->x
            && $this->y === $other->y
            && $this->width === $other->width
            && $this->height === $other->height;
    }

    public function contains(self $other): bool
    {
        return $other->x >= $this->x
            && $other->y >= $this->y
            && $other->right() <= $this->right()
            && $other->bottom() <= $this->bottom();
    }

    /** Reads `[x, y, width, height]` in px: not negative, no side below 1. */
    public static function parse(Input $input): self
    {
        $sides = $input->asList(4, 4);

        return new self(
            $sides[0]->asInt(0, Size::LARGEST_PX),
            $sides[1]->asInt(0, Size::LARGEST_PX),
            $sides[2]->asInt(1, Size::LARGEST_PX),
            $sides[3]->asInt(1, Size::LARGEST_PX),
        );
    }

    /** One that may lie beyond its canvas, as a float's may. */
    public static function parseAnywhere(Input $input): self
    {
        $sides = $input->asList(4, 4);

        return new self(
            $sides[0]->asInt(-Size::LARGEST_PX, Size::LARGEST_PX),
            $sides[1]->asInt(-Size::LARGEST_PX, Size::LARGEST_PX),
            $sides[2]->asInt(1, Size::LARGEST_PX),
            $sides[3]->asInt(1, Size::LARGEST_PX),
        );
    }

    /** One in ppm of the sides of something, inside it. */
    public static function parsePpm(Input $input): self
    {
        $sides = $input->asList(4, 4);
        [$x, $y] = [$sides[0]->asInt(0, 999_999), $sides[1]->asInt(0, 999_999)];

        return new self($x, $y, $sides[2]->asInt(1, 1_000_000 - $x), $sides[3]->asInt(1, 1_000_000 - $y));
    }

    /** @return array{int, int, int, int} */
    public function toArray(): array
    {
        return [$this->x, $this->y, $this->width, $this->height];
    }
}
