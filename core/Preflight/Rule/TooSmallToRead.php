<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** Capitals below 16′ for the farthest viewer (model §5; {@see \UpperPane\Core\Surface\Legibility}). */
final class TooSmallToRead extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        $cap = $item->set?->capHeightPx;

        return $cap !== null && $zone->leastCapPx !== null && $cap->compare(Rational::of($zone->leastCapPx)) < 0
            ? $this->finding('text.too_small', Severity::Caution, $zone, $item, [
                'cap' => (string) $cap->round(),
                'least' => $zone->leastCapPx,
                'size' => (int) $zone->leastSizePx($item),
            ])
            : null;
    }
}
