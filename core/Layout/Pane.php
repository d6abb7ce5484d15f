<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

/** A tile of the glazing: a leaf that shows one zone. */
final readonly class Pane implements Part
{
    public function __construct(private string $id, private PartSize $size, private int $minPx = 0)
    {
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
        return new self($this->id, $size, $this->minPx);
    }

    public function withLeast(int $minPx): static
    {
        return new self($this->id, $this->size, $minPx);
    }

    public function paneIds(): array
    {
        return [$this->id];
    }

    public function toArray(bool $root = false): array
    {
        return ($root ? [] : ['size' => $this->size->toText()]) +
            ($this->minPx > 0 ? ['min' => $this->minPx] : []) + ['pane' => $this->id];
    }
}
