<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\Rule;

/** A zone that is to go in step with one that is not in its scene, or has no steps. */
final class NoLeader implements Rule
{
    public function check(ZonePlan $zone): array
    {
        return $zone->zone->follow() === null || $zone->inStep !== null
            ? []
            : [
                Finding::of('sync.no_leader', Severity::Caution, $zone->path(), [
                    'zone' => $zone->zone->id,
                    'letter' => $zone->zone->letter(),
                    'scene' => $zone->sceneId,
                ]),
            ];
    }
}
