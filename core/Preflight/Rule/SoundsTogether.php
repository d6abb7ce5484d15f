<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ScenePlan;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\SceneRule;

/** Several zones of a scene that are heard: nobody can follow two sounds at once. */
final class SoundsTogether implements SceneRule
{
    public function check(ScenePlan $scene): array
    {
        $heard = array_values(array_filter($scene->zones, self::isHeard(...)));
        if (count($heard) < 2) {
            return [];
        }
        $letters = array_map(static fn (ZonePlan $zone) => $zone->zone->letter(), $heard);

        return [
            Finding::of('sound.several', Severity::Caution, $heard[1]->path(), [
                'zone' => $heard[1]->zone->id,
                'letter' => $heard[1]->zone->letter(),
                'letters' => implode(', ', $letters),
                'scene' => $scene->scene->id,
            ]),
        ];
    }

    private static function isHeard(ZonePlan $zone): bool
    {
        return array_filter($zone->items, static fn (Item $item) => ($item->drawing['sound'] ?? false) === true) !== [];
    }
}
