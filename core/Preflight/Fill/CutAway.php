<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\MediaFill;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Picture\FitMode;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** Cover cutting away more than a fifth of a picture (model §4). */
final class CutAway extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        $cut = $item->fill instanceof MediaFill && $item->fill->fit === FitMode::Cover ? $item->fit?->cut : null;

        return $cut !== null && $cut->compare(Rational::of(1, 5)) > 0
            ? $this->finding('picture.cut', Severity::Caution, $zone, $item, ['percent' => self::percent($cut)])
            : null;
    }
}
