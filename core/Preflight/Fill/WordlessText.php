<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Design\Fill\TextFill;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A text in which nothing is written that anybody could see. */
final class WordlessText extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        return $item->fill instanceof TextFill && preg_match('/^[\p{Z}\p{C}]*$/Du', $item->fill->text) === 1
            ? $this->finding('text.nothing', self::ofNothing($zone), $zone, $item)
            : null;
    }
}
