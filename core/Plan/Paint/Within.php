<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

/** A coat of a part of the box: what a row's part paints in its place. */
final readonly class Within implements Coat
{
    public function __construct(private Box $place, private Coat $coat)
    {
    }

    public function steps(): int
    {
        return $this->coat->steps();
    }

    public function at(int $step, float $x, float $y): ?Paint
    {
        return $this->place->contains($x, $y)
            ? $this->coat->at($step, $x - $this->place->x, $y - $this->place->y)
            : Paint::none();
    }

    public function covers(float $width, float $height): ?Box
    {
        return $this->coat->covers($this->place->width, $this->place->height)
            ?->movedBy($this->place->x, $this->place->y)
            ->within($this->place);
    }
}
