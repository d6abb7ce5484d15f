<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A medium whose last day is over, or comes within the plan's horizon: then the zone shows standby. */
final class NoLongerAllowed extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        $until = $item->media?->notes->until;
        if ($item->over === null || $until === null) {
            return null;
        }

        // As it stands on the card in the Stock.
        $said = ['until' => $until, 'day' => (new \DateTimeImmutable($until))->format('j M Y')];

        return $item->over
            ? $this->finding('media.over', Severity::Caution, $zone, $item, $said)
            : $this->finding('media.ends', Severity::Note, $zone, $item, $said);
    }
}
