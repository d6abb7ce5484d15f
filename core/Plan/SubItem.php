<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Geometry\Rect;

/** One part of a row in one of its places: of which record, where in the zone, and what it shows (model §7, Roster). */
final readonly class SubItem
{
    /**
     * @param int  $place  in the turn, from 0
     * @param int  $record from 0
     * @param Rect $rect   px of the zone
     */
    public function __construct(
        public string $part,
        public int $place,
        public int $record,
        public Rect $rect,
        public Item $item,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'part' => $this->part,
            'place' => $this->place,
            'record' => $this->record,
            'rect' => $this->rect->toArray(),
            'drawing' => $this->item->drawing,
        ];
    }
}
