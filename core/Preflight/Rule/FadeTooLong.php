<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** An entry that would enter for longer than it, or the one before it, is there. */
final class FadeTooLong extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        $fill = $zone->zone->fill();
        $asked = $fill instanceof PlaylistFill ? $fill->entry((string) $item->entry)?->transition : null;

        return $asked === null || $item->transition?->kind !== $asked->kind || $item->transition->ms >= $asked->ms
            ? null
            : $this->finding('transition.too_long', Severity::Note, $zone, $item, [
                'asked_s' => Rational::of($asked->ms, 1000)->plain(1),
                'takes_s' => Rational::of($item->transition->ms, 1000)->plain(1),
            ]);
    }
}
