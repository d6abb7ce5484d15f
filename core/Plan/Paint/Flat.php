<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

/** The whole box, or a rectangle in it with round corners, in one colour; or in one that nobody knows. */
final readonly class Flat implements Coat
{
    private function __construct(public ?Paint $paint, private ?Box $box = null, private float $radius = 0.0)
    {
    }

    /** @param ?string $hex null: in a colour that nobody knows, such as a page's */
    public static function everywhere(?string $hex): self
    {
        return new self($hex === null ? null : Paint::ofHex($hex));
    }

    public static function in(Box $box, string $hex, float $radius = 0.0): self
    {
        return new self(Paint::ofHex($hex), $box, min($radius, $box->width / 2, $box->height / 2));
    }

    public function steps(): int
    {
        return 1;
    }

    public function isEverywhere(): bool
    {
        return $this->box === null;
    }

    public function at(int $step, float $x, float $y): ?Paint
    {
        if ($this->box === null) {
            return $this->paint;
        }
        if (!$this->box->contains($x, $y)) {
            return Paint::none();
        }
        $intoX = $this->radius - min($x - $this->box->x, $this->box->x + $this->box->width - $x);
        $intoY = $this->radius - min($y - $this->box->y, $this->box->y + $this->box->height - $y);

        return $intoX > 0 && $intoY > 0 && hypot($intoX, $intoY) > $this->radius ? Paint::none() : $this->paint;
    }

    public function covers(float $width, float $height): Box
    {
        // The largest upright rectangle that round corners leave for sure is inset by what they take at 45°.
        $inset = $this->radius * (1 - \M_SQRT1_2);

        return $this->box === null
            ? Box::of(0, 0, $width, $height)
            : Box::of(
                $this->box->x + $inset,
                $this->box->y + $inset,
                $this->box->width - 2 * $inset,
                $this->box->height - 2 * $inset,
            );
    }
}
