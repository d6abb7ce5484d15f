<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

/** Letters of one colour: where their lines stand in the box of their zone, and what they are painted in. */
final readonly class Letters
{
    /**
     * @param list<Box> $lines   as high as the lines are apart
     * @param float     $high    px of the letters, in the middle of their line
     * @param ?Paint    $outline around them
     * @param bool      $moving  whether they run through these boxes
     */
    public function __construct(
        public array $lines,
        public float $high,
        public Blend $ink,
        public ?Paint $outline = null,
        public bool $moving = false,
    ) {
    }

    /** @return list<Box> the letters of each line */
    public function bodies(): array
    {
        return array_map(
            fn (Box $line) => Box::of(
                $line->x,
                $line->y + ($line->height - $this->high) / 2,
                $line->width,
                $this->high,
            ),
            $this->lines,
        );
    }

    /** As far as a rectangle shows them. */
    public function within(Box $box): self
    {
        return new self(
            array_values(array_filter(array_map(static fn (Box $line) => $line->within($box), $this->lines))),
            $this->high,
            $this->ink,
            $this->outline,
            $this->moving,
        );
    }

    public function movedBy(float $x, float $y): self
    {
        return new self(
            array_map(static fn (Box $line) => $line->movedBy($x, $y), $this->lines),
            $this->high,
            $this->ink->movedBy($x, $y),
            $this->outline,
            $this->moving,
        );
    }
}
