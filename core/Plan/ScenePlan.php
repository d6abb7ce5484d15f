<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Design\Scene;
use UpperPane\Core\Design\Zone;
use UpperPane\Core\Geometry\Rect;

/**
 * One scene of a plan: its zones where they lie, back to front, what lies behind them, how long it lasts and how it
 * enters.
 */
final readonly class ScenePlan
{
    /**
     * @param ?int           $ms       null: until something else comes
     * @param Rect           $place    the part of the surface's canvas that it covers
     * @param list<ZonePlan> $zones    back to front
     * @param list<Finding>  $findings of the layout and its reflow
     * @param ?MarkPlan      $mark     over all of them
     * @param list<Zone>     $heard    zones with a sound, also of those whose plans were not wanted
     */
    public function __construct(
        public Scene $scene,
        public ?int $ms,
        public Rect $place,
        public Item $ground,
        public array $zones,
        public array $findings,
        public array $heard = [],
        public ?MarkPlan $mark = null,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->scene->name,
            'ms' => $this->ms,
            'transition' => $this->scene->transition->toArray(),
            'place' => $this->place->toArray(),
            'ground' => $this->ground->drawing,
            'zones' => array_map(static fn (ZonePlan $zone) => $zone->toArray(), $this->zones),
        ] + ($this->mark === null ? [] : ['mark' => $this->mark->toArray()]);
    }
}
