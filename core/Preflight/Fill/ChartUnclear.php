<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\ChartFill;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A chart of nothing, or one whose letters had to become smaller than is wanted. */
final class ChartUnclear extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        if (!$item->fill instanceof ChartFill) {
            return null;
        }
        if ($item->fill->rows === []) {
            return $this->finding('chart.empty', self::ofNothing($zone), $zone, $item);
        }

        return ($item->smallestPx ?? 0) >= $item->fill->minSizePx
            ? null
            : $this->finding('chart.small', Severity::Caution, $zone, $item, [
                'size' => $item->smallestPx ?? 0,
                'least' => $item->fill->minSizePx,
            ]);
    }
}
