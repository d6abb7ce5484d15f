<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** What cannot have what the house style says now, and is drawn as it was chosen. */
final class StyleNotTaken extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        return $item->unstyled === null
            ? null
            : $this->finding('style.not_taken', Severity::Caution, $zone, $item, ['why' => $item->unstyled]);
    }
}
