<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

use UpperPane\Core\Geometry\Polygon;

/** The inside of a path in a colour or from one to another, the line along it in a colour of its own. */
final readonly class Figure implements Coat
{
    /**
     * @param ?Blend $inside null: only the line is painted
     * @param float  $line   its width in px, half of it on either side; 0: none
     * @param bool   $closed whether the line comes back to where it began
     */
    private function __construct(
        private Polygon $path,
        private ?Blend $inside,
        private ?Paint $edge,
        private float $line,
        private bool $closed,
    ) {
    }

    public static function filled(Polygon $path, Blend $inside): self
    {
        return new self($path, $inside, null, 0.0, true);
    }

    public static function line(Polygon $path, string $hex, float $width, bool $closed = true): self
    {
        return new self($path, null, Paint::ofHex($hex), $width, $closed);
    }

    public function steps(): int
    {
        return 1;
    }

    public function at(int $step, float $x, float $y): Paint
    {
        return match (true) {
            $this->edge !== null && $this->path->isNear($x, $y, $this->line / 2, $this->closed) => $this->edge,
            $this->inside !== null && $this->path->contains($x, $y) => $this->inside->at($x, $y),
            default => Paint::none(),
        };
    }

    public function covers(float $width, float $height): ?Box
    {
        if ($this->inside === null || count($this->path->corners) !== 4) {
            return null;
        }
        [$left, $top, $right, $bottom] = $this->path->bounds;
        foreach ($this->path->corners as [$x, $y]) {
            if (($x !== $left && $x !== $right) || ($y !== $top && $y !== $bottom)) {
                return null;
            }
        }

        return Box::of($left, $top, $right - $left, $bottom - $top);
    }
}
