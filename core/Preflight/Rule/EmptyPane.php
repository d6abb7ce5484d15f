<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Design\Fill\EmptyFill;
use UpperPane\Core\Design\Fill\FillKind;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A zone that shows nothing: the public would see standby there. */
final class EmptyPane extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        return $item->fill instanceof EmptyFill && $zone->zone->fill()->kind() !== FillKind::Playlist
            ? $this->finding('zone.empty', self::ofNothing($zone), $zone, $item)
            : null;
    }
}
