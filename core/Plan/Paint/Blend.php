<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

use UpperPane\Core\Geometry\Polygon;

/** One colour, or from one to another along an axis (linear gradients: SVG 2 §14.2.2, CSS Images 3 §3.1.1). */
final readonly class Blend
{
    /**
     * @param ?Paint $to null: plain
     * @param float  $perX of the way per px to the right
     * @param float  $perY of the way per px downwards
     */
    private function __construct(
        private Paint $from,
        private ?Paint $to = null,
        private float $begin = 0.0,
        private float $perX = 0.0,
        private float $perY = 0.0,
    ) {
    }

    public static function plain(string $hex): self
    {
        return new self(Paint::ofHex($hex));
    }

    /**
     * Across a path's bounding box, whose sides count as one.
     *
     * @param array{int, int, int, int} $line where it begins and ends, in thousandths of the box
     */
    public static function across(Polygon $path, string $from, string $to, array $line): self
    {
        [$left, $top, $right, $bottom] = $path->bounds;
        [$x1, $y1, $x2, $y2] = array_map(static fn (int $at) => $at / 1000, $line);
        [$alongX, $alongY] = [$x2 - $x1, $y2 - $y1];
        $long = max(1e-9, $alongX ** 2 + $alongY ** 2);
        [$perX, $perY] = [$alongX / $long / max(1e-9, $right - $left), $alongY / $long / max(1e-9, $bottom - $top)];

        return new self(
            Paint::ofHex($from),
            Paint::ofHex($to),
            -($x1 * $alongX + $y1 * $alongY) / $long - $left * $perX - $top * $perY,
            $perX,
            $perY,
        );
    }

    /** Across a box at an angle, from corner to corner: 0° to the right, 90° downwards. */
    public static function through(Box $box, string $from, string $to, int $degrees): self
    {
        [$cosine, $sine] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];
        $long = max(1e-9, abs($box->width * $cosine) + abs($box->height * $sine));
        [$perX, $perY] = [$cosine / $long, $sine / $long];

        return new self(
            Paint::ofHex($from),
            Paint::ofHex($to),
            0.5 - ($box->x + $box->width / 2) * $perX - ($box->y + $box->height / 2) * $perY,
            $perX,
            $perY,
        );
    }

    public function movedBy(float $x, float $y): self
    {
        $begin = $this->begin - $x * $this->perX - $y * $this->perY;

        return new self($this->from, $this->to, $begin, $this->perX, $this->perY);
    }

    /** The colour when it is the same everywhere. */
    public function everywhere(): ?Paint
    {
        return $this->to === null ? $this->from : null;
    }

    public function at(float $x, float $y): Paint
    {
        return $this->to === null
            ? $this->from
            : $this->from->towards($this->to, min(1, max(0, $this->begin + $x * $this->perX + $y * $this->perY)));
    }
}
