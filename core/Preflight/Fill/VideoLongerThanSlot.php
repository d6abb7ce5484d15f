<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A video that its playlist entry, or the step of its leader, ends before it has ended. */
final class VideoLongerThanSlot extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        if ($item->media?->isVideo() !== true || $item->contentMs === null) {
            return null;
        }
        $ms = $zone->leastMs($item);
        if ($ms === null || $item->contentMs <= $ms) {
            return null;
        }

        return $this->finding('video.longer_than_slot', Severity::Caution, $zone, $item, [
            'video_s' => Rational::of($item->contentMs, 1000)->plain(1),
            'slot_s' => Rational::of($ms, 1000)->plain(1),
        ]);
    }
}
