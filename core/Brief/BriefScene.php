<?php

declare(strict_types=1);

namespace UpperPane\Core\Brief;

use UpperPane\Core\Layout\ReadingOrder;
use UpperPane\Core\Plan\ScenePlan;
use UpperPane\Core\Plan\ZonePlan;

/** One scene of a brief sheet. */
final readonly class BriefScene
{
    /**
     * @param list<BriefZone> $zones in reading order
     * @param list<BriefZone> $drawn back to front
     */
    private function __construct(public string $name, public array $zones, public array $drawn)
    {
    }

    public static function of(ScenePlan $plan): self
    {
        $zones = [];
        foreach ($plan->zones as $zone) {
            $zones[$zone->zone->id] = BriefZone::of($zone);
        }
        $rects = array_map(static fn (BriefZone $zone) => $zone->rect, $zones);
        $drawn = $plan->zones;
        usort($drawn, static fn (ZonePlan $a, ZonePlan $b) => $a->placed->layer <=> $b->placed->layer);

        return new self(
            $plan->scene->name,
            array_map(static fn (string $id) => $zones[$id], ReadingOrder::of($rects)),
            array_map(static fn (ZonePlan $zone) => $zones[$zone->zone->id], $drawn),
        );
    }
}
