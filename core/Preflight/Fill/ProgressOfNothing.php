<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\ProgressFill;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\Paint\PaintedScene;
use UpperPane\Core\Plan\ScenePlan;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\PaintRule;

/** A progress of what is not in its scene, or of a scene that lasts until something else comes: it never fills. */
final class ProgressOfNothing implements PaintRule
{
    public function check(PaintedScene $scene): array
    {
        $scene = $scene->plan;
        $findings = [];
        foreach ($scene->zones as $zone) {
            $items = array_merge(...array_map(static fn (Item $item) => $item->walk(), $zone->items));
            $lost = array_filter($items, static fn (Item $item) => self::isLost($item, $scene));
            $findings = $lost === [] ? $findings : [...$findings, self::finding($zone, $scene)];
        }

        return $findings;
    }

    private static function isLost(Item $item, ScenePlan $scene): bool
    {
        $fill = $item->fill;

        return $fill instanceof ProgressFill
            && ($fill->of === ProgressFill::SCENE ? $scene->ms === null : !$scene->scene->holds($fill->of));
    }

    private static function finding(ZonePlan $zone, ScenePlan $scene): Finding
    {
        return Finding::of('progress.of_nothing', Severity::Caution, $zone->path(), [
            'zone' => $zone->zone->id,
            'letter' => $zone->zone->letter(),
            'scene' => $scene->scene->id,
        ]);
    }
}
