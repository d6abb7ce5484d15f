<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Geometry\Outline;
use UpperPane\Core\Geometry\Rect;

/** A zone where it lies on a canvas: what plans, findings, handles and sheets go by. Layers count from the back. */
final readonly class Placed
{
    public FloatTraits $traits;

    public function __construct(
        public string $zone,
        public Rect $rect,
        public int $turnCentidegrees,
        public int $layer,
        public bool $isFloat,
        ?FloatTraits $traits = null,
    ) {
        $this->traits = $traits ?? FloatTraits::plain();
    }

    public function outline(): Outline
    {
        return Outline::of($this->rect, $this->turnCentidegrees);
    }

    /** The least upright rectangle around what is drawn. */
    public function box(): Rect
    {
        return $this->turnCentidegrees === 0 ? $this->rect : $this->outline()->box();
    }

    public function movedBy(int $x, int $y): self
    {
        return new self(
            $this->zone,
            $this->rect->movedBy($x, $y),
            $this->turnCentidegrees,
            $this->layer,
            $this->isFloat,
            $this->traits,
        );
    }

    public function equals(self $other): bool
    {
        return $this === $other || $this->rect->equals($other->rect)
            && $this->turnCentidegrees === $other->turnCentidegrees
            && $this->layer === $other->layer
            && $this->isFloat === $other->isFloat
            && $this->traits->toArray() === $other->traits->toArray();
    }
}
