<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Polygon;
use UpperPane\Core\Plan\Paint\PaintedScene;
use UpperPane\Core\Preflight\PaintRule;

/** A zone that lies wholly behind something opaque, or behind several things together (model §3, Placing). */
final class Hidden implements PaintRule
{
    /** Less is what rounding leaves between two edges, in square px. */
    private const NOTHING = 0.01;

    public function check(PaintedScene $scene): array
    {
        $findings = [];
        foreach ($scene->plan->zones as $index => $zone) {
            $over = self::over($scene, $index);
            if ($over !== []) {
                $findings[] = Finding::of('zone.hidden', Severity::Note, $zone->path(), [
                    'zone' => $zone->zone->id,
                    'letter' => $zone->zone->letter(),
                    'over' => implode(', ', $over),
                    'scene' => $scene->plan->scene->id,
                ]);
            }
        }

        return $findings;
    }

    /** @return list<string> what those are called that cover it all together; none where some of it is seen */
    private static function over(PaintedScene $scene, int $index): array
    {
        $left = null;
        $letters = [];
        foreach ($scene->over($index) as $zone) {
            $left ??= array_filter([$scene->zone($index)->outline()->within($scene->plan->place)]);
            $before = self::area($left);
            foreach ($zone->covers() as $cover) {
                $left = array_merge([], ...array_map(static fn (Polygon $piece) => $piece->without($cover), $left));
            }
            $after = self::area($left);
            if ($after < $before) {
                $letters[] = $zone->called;
            }
            if ($after < self::NOTHING) {
                return $letters;
            }
        }

        return [];
    }

    /** @param array<Polygon> $pieces */
    private static function area(array $pieces): float
    {
        return array_sum(array_map(static fn (Polygon $piece) => $piece->area(), $pieces));
    }
}
