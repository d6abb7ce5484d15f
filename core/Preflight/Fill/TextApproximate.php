<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A text that cannot be measured as the browser draws it (see FontFace::measures): its size is a guess. */
final class TextApproximate extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        return $item->set?->exact === false
            ? $this->finding('text.approximate', Severity::Note, $zone, $item, [
                'font' => is_string($item->written()['font'] ?? null) ? $item->written()['font'] : '',
            ])
            : null;
    }
}
