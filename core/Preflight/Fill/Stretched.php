<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A picture whose ratio is off by more than 1 % because it is stretched (model §4). */
final class Stretched extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        $distortion = $item->fit?->distortion();

        return $distortion !== null && $distortion->compare(Rational::of(1, 100)) > 0
            ? $this->finding('picture.stretched', Severity::Caution, $zone, $item, [
                'percent' => self::percent($distortion),
            ])
            : null;
    }
}
