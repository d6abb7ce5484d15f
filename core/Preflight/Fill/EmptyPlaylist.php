<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Design\Fill\FillKind;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A playlist with no enabled entry. */
final class EmptyPlaylist extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        return $zone->zone->fill()->kind() === FillKind::Playlist && $item->entry === null
            ? $this->finding('playlist.empty', self::ofNothing($zone), $zone, $item)
            : null;
    }
}
