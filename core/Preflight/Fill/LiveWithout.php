<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\LiveFill;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A live picture from nowhere, from a stand-in, unencrypted, or with nothing to show when its signal is gone. */
final class LiveWithout extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        if (!$item->fill instanceof LiveFill) {
            return null;
        }
        $source = $item->fill->source;
        [$code, $severity] = match (true) {
            $source->where === '' => ['live.nothing', self::ofNothing($zone)],
            $source->as === 'stand-in' => ['live.stand_in', Severity::Note],
            str_starts_with(strtolower($source->where), 'http://') => ['live.plain', Severity::Caution],
            $item->fill->still === null => ['live.no_still', Severity::Note],
            default => ['', Severity::Note],
        };

        return $code === '' ? null : $this->finding($code, $severity, $zone, $item, ['source' => $source->where]);
    }
}
