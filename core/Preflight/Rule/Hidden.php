<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Layout\FloatTraits;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ScenePlan;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\SceneRule;

/**
 * A zone that lies wholly behind something opaque (model §3, Placing). What is turned covers for sure only what it
 * shows upright, so it does not count.
 */
final class Hidden implements SceneRule
{
    public function check(ScenePlan $scene): array
    {
        $findings = [];
        foreach ($scene->zones as $index => $zone) {
            foreach (array_slice($scene->zones, $index + 1) as $over) {
                if (self::covers($over, $zone)) {
                    $findings[] = Finding::of('zone.hidden', Severity::Note, $zone->path(), [
                        'zone' => $zone->zone->id,
                        'letter' => $zone->zone->letter(),
                        'over' => $over->zone->letter(),
                        'scene' => $scene->scene->id,
                    ]);
                    break;
                }
            }
        }

        return $findings;
    }

    private static function covers(ZonePlan $over, ZonePlan $zone): bool
    {
        return $over->placed->isFloat
            && $over->clip === null
            && $over->placed->turnCentidegrees === 0
            && $over->placed->traits->opacityPermille === FloatTraits::OPAQUE
            && array_filter($over->items, static fn (Item $item) => !$item->isOpaque()) === []
            && $over->rect->contains($zone->placed->box());
    }
}
