<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** An entry whose days and hours are over: it never plays again. */
final class HoursOver extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        return $item->past ? $this->finding('playlist.hours_over', Severity::Caution, $zone, $item) : null;
    }
}
