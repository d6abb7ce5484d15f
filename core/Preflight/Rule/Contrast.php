<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\Colour;
use UpperPane\Core\Design\Fill\ShapeFill;
use UpperPane\Core\Design\Fill\StyledFill;
use UpperPane\Core\Design\Fill\TextFill;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Legibility\Contrast as Ratio;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;
use UpperPane\Core\Surface\Legibility;

/**
 * Letters that hardly stand out from what is around them (model §5): a plate, else the ground, else the shape they
 * stand in; an outline that does stand out from it is as good. For a text without a ground see ContrastOver.
 */
final class Contrast extends ItemRule
{
    /** From so many minutes of arc, capitals are large. */
    private const LARGE_ARCMIN = 40;

    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        $shape = $item->fill instanceof ShapeFill ? $item->fill : null;
        $written = $shape === null ? $item->fill : $shape->label;
        if (!$written instanceof StyledFill || $item->set?->widthPx()->compare(Rational::of(0)) === 0) {
            return null;
        }
        $style = $written->style();
        $ground = $style->effects->plate->colour ?? $style->ground;
        $grounds = $ground === null ? array_filter([$shape?->colour, $shape?->gradient?->to]) : [$ground];
        if ($grounds === []) {
            return null;
        }
        $ratio = min(array_map(static fn (Colour $one) => self::against($written, $one->hex), $grounds));
        $least = self::least($item, $zone);

        return $ratio < $least
            ? $this->finding('text.contrast', Severity::Caution, $zone, $item, [
                'ratio' => Ratio::said($ratio),
                'least' => (string) $least,
            ])
            : null;
    }

    /** The least ratio of its letters to a ground; an outline that stands out from it will do. */
    private static function against(StyledFill $written, string $ground): float
    {
        $outline = $written->style()->effects->outline?->colour->hex;

        return max(
            min(array_map(static fn (string $ink) => Ratio::ratio($ink, $ground), self::inks($written))),
            $outline === null ? 0 : Ratio::ratio($outline, $ground),
        );
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
