<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Legibility\Contrast as Ratio;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\Paint\Lettering;
use UpperPane\Core\Plan\Paint\PaintedScene;
use UpperPane\Core\Plan\Paint\Standing;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;
use UpperPane\Core\Preflight\PaintRule;
use UpperPane\Core\Surface\Legibility;

/**
 * Letters that hardly stand out from what is around them (model §5): the 5th percentile of the ratio over the places
 * behind the lines, at the worst moment, of each of their colours. `text.contrast` when it is their own ground, plate
 * or shape, `text.contrast_under` when it is what lies under their zone; then with the worst place.
 */
final class Contrast implements PaintRule
{
    /** From so many minutes of arc, capitals are large. */
    private const LARGE_ARCMIN = 40;

    public function check(PaintedScene $scene): array
    {
        $findings = [];
        foreach ($scene->plan->zones as $index => $zone) {
            if (array_filter($zone->items, Lettering::isWritten(...)) === []) {
                continue;
            }
            $painted = $scene->zone($index);
            $around = $scene->around($index);
            foreach ($painted->items as $item) {
                $stand = Standing::of($scene, $painted, $item, $around);
                $least = self::least($item->item, $zone);
                if ($stand !== null && $stand->ratio < $least) {
                    $findings[] = self::finding($scene, $zone, $item->item, $stand, $least);
                }
            }
        }

        return $findings;
    }

    private static function finding(
        PaintedScene $scene,
        ZonePlan $zone,
        Item $item,
        Standing $stand,
        float $least,
    ): Finding {
        $place = $scene->plan->place;

        return ItemRule::found(
            $stand->onOwn ? 'text.contrast' : 'text.contrast_under',
            Severity::Caution,
            $zone,
            $item,
            ['ratio' => Ratio::said($stand->ratio), 'least' => (string) $least] +
                ($stand->onOwn
                    ? []
                    : [
                        'at' => implode(' ', $stand->place->movedBy(-$place->x, -$place->y)->toArray()),
                        'scene' => $scene->plan->scene->id,
                    ]),
        );
    }

    /** What is wanted of letters of that height, seen from there. */
    private static function least(Item $item, ZonePlan $zone): float
    {
        $cap = $item->set?->capHeightPx;
        $large =
            $cap !== null
            && $zone->leastCapPx !== null
            && $cap->compare(Rational::of($zone->leastCapPx * self::LARGE_ARCMIN, Legibility::LEAST_ARCMIN)) >= 0;

        return $large ? Ratio::LEAST_LARGE : Ratio::LEAST;
    }
}
