<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\StyledFill;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Legibility\Contrast as Ratio;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;
use UpperPane\Core\Surface\Legibility;

/**
 * Letters that hardly stand out from what is around them (model §5): a plate, else the ground; an outline that does
 * stand out from it is as good. Of a text without a ground, see {@see ContrastOver}.
 */
final class Contrast extends ItemRule
{
    /** From so many minutes of arc, capitals are large. */
    private const LARGE_ARCMIN = 40;

    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        $style = $item->fill instanceof StyledFill ? $item->fill->style() : null;
        $ground = $style?->effects->plate->colour ?? $style?->ground;
        if ($style === null || $ground === null || $item->set?->widthPx()->compare(Rational::of(0)) === 0) {
            return null;
        }
        $ratio = max(
            Ratio::ratio($style->colour->hex, $ground->hex),
            $style->effects->outline === null ? 0 : Ratio::ratio($style->effects->outline->colour->hex, $ground->hex),
        );
        $least = self::least($item, $zone);

        return $ratio < $least
            ? $this->finding('text.contrast', Severity::Caution, $zone, $item, [
                'ratio' => Ratio::said($ratio),
                'least' => (string) $least,
            ])
            : null;
    }

    /** What is wanted of letters of that height, seen from there. */
    public static function least(Item $item, ZonePlan $zone): float
    {
        $cap = $item->set?->capHeightPx;
        $large =
            $cap !== null
            && $zone->leastCapPx !== null
            && $cap->compare(Rational::of($zone->leastCapPx * self::LARGE_ARCMIN, Legibility::LEAST_ARCMIN)) >= 0;

        return $large ? Ratio::LEAST_LARGE : Ratio::LEAST;
    }
}
