<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\StyledFill;
use UpperPane\Core\Design\Fill\TextFill;
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
        if (!$item->fill instanceof StyledFill) {
            return null;
        }
        $style = $item->fill->style();
        $ground = $style->effects->plate->colour ?? $style->ground;
        if ($ground === null || $item->set?->widthPx()->compare(Rational::of(0)) === 0) {
            return null;
        }
        $outline = $style->effects->outline?->colour->hex;
        $against = static fn (string $ink) => Ratio::ratio($ink, $ground->hex);
        $ratio = max(min(array_map($against, self::inks($item->fill))), $outline === null ? 0 : $against($outline));
        $least = self::least($item, $zone);

        return $ratio < $least
            ? $this->finding('text.contrast', Severity::Caution, $zone, $item, [
                'ratio' => Ratio::said($ratio),
                'least' => (string) $least,
            ])
            : null;
    }

    /** @return non-empty-list<string> all colours that its letters have, #RRGGBB */
    public static function inks(StyledFill $fill): array
    {
        $inks = [$fill->style()->colour->hex];
        foreach ($fill instanceof TextFill ? $fill->runs : [] as $run) {
            $inks[] = $run->colour->hex ?? $inks[0];
        }
        $gradient = $fill->style()->effects->gradient;

        return $gradient === null ? $inks : [...$inks, $gradient->to->hex];
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
