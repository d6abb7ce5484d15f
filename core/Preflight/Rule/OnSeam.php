<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\MediaFill;
use UpperPane\Core\Design\Fill\QrFill;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\Paint\Letters;
use UpperPane\Core\Plan\Paint\PaintedItem;
use UpperPane\Core\Plan\Paint\PaintedZone;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;
use UpperPane\Core\Preflight\Rule;

/**
 * Letters, a code or a marked face on a seam, where the public sees a bar or a joint through them; on butted walls too.
 * Words that run across a seam are only told: each letter is there for a moment.
 */
final class OnSeam implements Rule
{
    public function check(ZonePlan $zone): array
    {
        if ($zone->seams === []) {
            return [];
        }
        $painted = PaintedZone::of($zone);

        return array_values(
            array_filter(
                array_map(static fn (PaintedItem $item) => self::judge($zone, $painted, $item), $painted->items),
            ),
        );
    }

    private static function judge(ZonePlan $plan, PaintedZone $zone, PaintedItem $item): ?Finding
    {
        foreach ($zone->marks($item) as $mark) {
            foreach ($plan->seams as $seam) {
                if ($mark->meets($seam)) {
                    $passes = self::passes($zone, $item, $seam);

                    return ItemRule::found(
                        $passes ? 'seam.ticker' : self::code($item->item),
                        $passes ? Severity::Note : Severity::Caution,
                        $plan,
                        $item->item,
                        ['panels' => implode(', ', $plan->panels)],
                    );
                }
            }
        }

        return null;
    }

    private static function code(Item $item): string
    {
        $written = $item->fill instanceof QrFill ? 'seam.code' : 'seam.text';

        return $item->fill instanceof MediaFill ? 'seam.face' : $written;
    }

    /** Whether its words run across the seam rather than along it. */
    private static function passes(PaintedZone $zone, PaintedItem $item, Rect $seam): bool
    {
        $moving = array_filter($item->letters, static fn (Letters $letters) => $letters->moving);
        $line = reset($moving)->lines[0] ?? null;
        if ($line === null) {
            return false;
        }
        $across = $line->width > $line->height;
        [$fromX, $fromY] = $zone->outside(0, 0);
        [$toX, $toY] = $across ? $zone->outside(1, 0) : $zone->outside(0, 1);
        $seamIsUpright = $seam->height > $seam->width;

        return abs($toX - $fromX) > abs($toY - $fromY) === $seamIsUpright;
    }
}
