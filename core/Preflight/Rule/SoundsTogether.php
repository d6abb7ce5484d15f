<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Zone;
use UpperPane\Core\Plan\ScenePlan;
use UpperPane\Core\Preflight\SceneRule;

/** Several zones of a scene that are heard: nobody can follow two sounds at once. */
final class SoundsTogether implements SceneRule
{
    public function check(ScenePlan $scene): array
    {
        $heard = $scene->heard;
        if (count($heard) < 2) {
            return [];
        }
        $letters = array_map(static fn (Zone $zone) => $zone->letter(), $heard);

        return [
            Finding::of('sound.several', Severity::Caution, "/zones/{$heard[1]->id}", [
                'zone' => $heard[1]->id,
                'letter' => $heard[1]->letter(),
                'letters' => implode(', ', $letters),
                'scene' => $scene->scene->id,
            ]),
        ];
    }
}
