<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A picture drawn at more than 1.25 times its own px (model §4). */
final class Enlarged extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        $scale = $item->fit?->enlargement();

        return $scale !== null && $scale->compare(Rational::of(5, 4)) > 0
            ? $this->finding('picture.enlarged', Severity::Caution, $zone, $item, [
                'scale' => $scale->plain(2),
            ])
            : null;
    }
}
