<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A text that does not fit its zone at the size it is set in, or at its least size. */
final class TextOverflows extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        return $item->set?->overflows === true
            ? $this->finding('text.overflows', Severity::Caution, $zone, $item, ['size' => $item->set->sizePx])
            : null;
    }
}
