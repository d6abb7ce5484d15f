<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A playlist with no enabled entry, or whose entries all lie between others. */
final class EmptyPlaylist extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        $fill = $zone->zone->fill();
        if (!$fill instanceof PlaylistFill || $item->entry !== null) {
            return null;
        }
        $code = $fill->enabled() === [] ? 'playlist.empty' : 'playlist.nothing_between';

        return $this->finding($code, self::ofNothing($zone), $zone, $item);
    }
}
