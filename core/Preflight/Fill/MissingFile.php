<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\MediaFill;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A picture or video that is not in the Stock, or that the worker has not looked at yet. */
final class MissingFile extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        if (!($item->fill instanceof MediaFill) || $item->fit !== null) {
            return null;
        }

        return $this->finding(
            $item->media === null ? 'media.missing' : 'media.not_ready',
            $item->media === null ? self::ofNothing($zone) : Severity::Stop,
            $zone,
            $item,
        );
    }
}
