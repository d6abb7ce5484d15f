<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A ticker of more than 15 characters a second (model §5, rule of thumb). */
final class TickerTooFast extends ItemRule
{
    private const MOST_PER_SECOND = 15;

    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        if ($item->contentMs === null || $item->set === null || !isset($item->drawing['ticker'])) {
            return null;
        }
        $letters = (int) array_sum(array_map(static fn (array $line) => mb_strlen($line['text']), $item->set->lines));
        $perSecond = Rational::of($letters * 1000, $item->contentMs);

        return $perSecond->compare(Rational::of(self::MOST_PER_SECOND)) > 0
            ? $this->finding('text.too_fast', Severity::Caution, $zone, $item, [
                'rate' => (string) $perSecond->round(),
                'most' => self::MOST_PER_SECOND,
            ])
            : null;
    }
}
