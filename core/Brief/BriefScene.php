<?php

declare(strict_types=1);

namespace UpperPane\Core\Brief;

use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Layout\ReadingOrder;
use UpperPane\Core\Plan\ScenePlan;
use UpperPane\Core\Plan\ZonePlan;

/** One scene of a brief sheet. */
final readonly class BriefScene
{
    /**
     * @param ?int            $ms    null: until something else comes
     * @param list<BriefZone> $zones in reading order
     * @param list<BriefZone> $drawn back to front
     */
    private function __construct(
        public string $name,
        public ?int $ms,
        public array $zones,
        public array $drawn,
    ) {
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
            $plan->ms,
            array_map(static fn (string $id) => $zones[$id], ReadingOrder::of($rects)),
            array_map(static fn (ZonePlan $zone) => $zones[$zone->zone->id], $drawn),
        );
    }

    /** How long, in words. */
    public function lasts(): string
    {
        return $this->ms === null
            ? Words::of('lasts_open')
            : Rational::of($this->ms, 1000)->plain(1).' s';
    }
}
