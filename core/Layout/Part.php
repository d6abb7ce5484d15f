<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

/** A node of a glazing: a {@see Pane} or a {@see Split}. It carries its own size along the split that holds it. */
interface Part
{
    /** A pane's zone id, or the split's id. */
    public function id(): string;

    public function size(): PartSize;

    /** The least px this part may take along the split that holds it. */
    public function leastPx(): int;

    public function withSize(PartSize $size): static;

    public function withLeast(int $minPx): static;

    /** @return list<string> ids of the panes below, in tree order */
    public function paneIds(): array;

    /** @return array<string, mixed> as documents and `bin/pane glaze` write it */
    public function toArray(bool $root = false): array;
}
