<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\Rule;

/** Entries of a zone in step that no step of its leader reaches, as the scene ends before, or counts are held. */
final class NotReached implements Rule
{
    public function check(ZonePlan $zone): array
    {
        return array_map(
            static fn (int $place) => Finding::of('sync.entry_not_reached', Severity::Caution, $zone->path(), [
                'zone' => $zone->zone->id,
                'letter' => $zone->zone->letter(),
                'entry' => (string) $zone->items[$place]->entry,
                'place' => $place + 1,
                'scene' => $zone->sceneId,
            ]),
            self::missed($zone),
        );
    }

    /** @return list<int> places of its entries */
    private static function missed(ZonePlan $zone): array
    {
        $steps = $zone->inStep;
        if ($steps === null) {
            return [];
        }
        $reached = [];
        $atMs = 0;
        foreach ($zone->turns($steps) as ['place' => $place, 'ms' => $ms]) {
            if ($steps->sceneMs !== null && $atMs >= $steps->sceneMs) {
                break;
            }
            $reached[$place ?? -1] = true;
            $atMs += $ms;
        }

        return array_keys(array_diff_key($zone->items, $reached));
    }
}
