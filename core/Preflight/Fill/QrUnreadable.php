<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\QrFill;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** A QR code that says nothing, has no room for its modules, or modules of so few px that cameras miss them. */
final class QrUnreadable extends ItemRule
{
    /** Less is hard to read on a display that does not light all of a px (common practice). */
    private const LEAST_MODULE_PX = 3;

    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        if (!$item->fill instanceof QrFill) {
            return null;
        }
        $module = $item->modulePx ?? 0;

        return match (true) {
            $item->fill->code === null => $this->finding('qr.nothing', self::ofNothing($zone), $zone, $item),
            $module === 0 => $this->finding('qr.no_room', Severity::Stop, $zone, $item, [
                'side' => $item->fill->code->side,
            ]),
            $module < self::LEAST_MODULE_PX => $this->finding('qr.small', Severity::Caution, $zone, $item, [
                'px' => $module,
                'side' => self::LEAST_MODULE_PX * $item->fill->code->side,
            ]),
            default => null,
        };
    }
}
