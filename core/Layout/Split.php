<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Geometry\Axis;

/** A node that divides its length along one axis between its parts, with a gutter in px between neighbours. */
final readonly class Split implements Part
{
    /** @param list<Part> $parts */
    public function __construct(
        private string $id,
        public Axis $axis,
        public int $gutterPx,
        public array $parts,
        private PartSize $size,
        private int $minPx = 0,
    ) {
    }

    public function id(): string
    {
        return $this->id;
    }

    public function size(): PartSize
    {
        return $this->size;
    }

    public function leastPx(): int
    {
        return $this->minPx;
    }

    public function withSize(PartSize $size): static
    {
        return new self($this->id, $this->axis, $this->gutterPx, $this->parts, $size, $this->minPx);
    }

    /** @param list<Part> $parts */
    public function withParts(array $parts): self
    {
        return new self($this->id, $this->axis, $this->gutterPx, $parts, $this->size, $this->minPx);
    }

    public function withLeast(int $minPx): static
    {
        return new self($this->id, $this->axis, $this->gutterPx, $this->parts, $this->size, $minPx);
    }

    /** The same parts along another axis. */
    public function along(Axis $axis): self
    {
        return new self($this->id, $axis, $this->gutterPx, $this->parts, $this->size, $this->minPx);
    }

    public function withGutter(int $gutterPx): self
    {
        return new self($this->id, $this->axis, $gutterPx, $this->parts, $this->size, $this->minPx);
    }

    public function guttersPx(): int
    {
        return $this->gutterPx * (count($this->parts) - 1);
    }

    public function paneIds(): array
    {
        return array_merge(...array_map(static fn (Part $part) => $part->paneIds(), $this->parts));
    }

    public function toArray(bool $root = false): array
    {
        return ($root ? [] : ['size' => $this->size->toText()]) +
            ($this->minPx > 0 ? ['min' => $this->minPx] : []) +
            ($this->id === '' ? [] : ['id' => $this->id]) + [
                'split' => $this->axis->splitName(),
                'gutter' => $this->gutterPx,
            ] + ['parts' => array_map(static fn (Part $part) => $part->toArray(), $this->parts)];
    }
}
