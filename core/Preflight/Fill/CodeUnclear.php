<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\QrFill;
use UpperPane\Core\Legibility\Contrast;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\Paint\Paint;
use UpperPane\Core\Plan\Paint\PaintedScene;
use UpperPane\Core\Plan\Paint\PaintedZone;
use UpperPane\Core\Plan\Paint\Place;
use UpperPane\Core\Plan\Paint\Surroundings;
use UpperPane\Core\Plan\SubItem;
use UpperPane\Core\Preflight\ItemRule;
use UpperPane\Core\Preflight\PaintRule;

/** A QR code that something lies over, that reaches beyond the canvas, or that fades because one sees through it. */
final class CodeUnclear implements PaintRule
{
    /** So many places to a side, in the middle of as many parts. */
    private const PLACES = 24;

    public function check(PaintedScene $scene): array
    {
        $findings = [];
        foreach ($scene->plan->zones as $index => $zone) {
            foreach ($zone->items as $item) {
                $code = self::found($scene, $index, $item);
                $findings = $code === null
                    ? $findings
                    : [...$findings, ItemRule::found($code[0], Severity::Caution, $zone, $item, $code[1])];
            }
        }

        return $findings;
    }

    /**
     * Of the item's own code or of the first one of its rows that is not clear.
     *
     * @return ?array{string, array<string, string>}
     */
    private static function found(PaintedScene $scene, int $zone, Item $item): ?array
    {
        foreach ([[$item, 0, 0], ...self::parts($item)] as [$one, $x, $y]) {
            if ($one->fill instanceof QrFill && ($one->modulePx ?? 0) > 0) {
                $code = self::judge($scene, $scene->zone($zone), $one, [$x, $y], $scene->around($zone));
                if ($code !== null) {
                    return $code;
                }
            }
        }

        return null;
    }

    /** @return list<array{Item, int, int}> with where it lies in the zone, px */
    private static function parts(Item $item): array
    {
        return array_map(
            static fn (SubItem $part) => [$part->item, $part->rect->x, $part->rect->y],
            $item->parts,
        );
    }

    /**
     * @param array{int, int} $at px of the zone
     *
     * @return ?array{string, array<string, string>}
     */
    private static function judge(
        PaintedScene $scene,
        PaintedZone $zone,
        Item $item,
        array $at,
        Surroundings $around,
    ): ?array {
        $fill = $item->fill;
        \assert($fill instanceof QrFill);
        [$dark, $light] = [Paint::ofHex($fill->colour->hex), Paint::ofHex($fill->ground->hex)];
        $places = [];
        foreach (self::places($item) as [$inX, $inY]) {
            [$x, $y] = $zone->outside($at[0] + $inX, $at[1] + $inY);
            if (!$scene->holds($x, $y)) {
                return ['qr.covered', []];
            }
            $places[] = $around->place($x, $y, $dark, $light);
        }
        $worst = INF;
        for ($moment = 0; $moment < $around->moments(); ++$moment) {
            foreach ($places as $place) {
                if ($around->over($moment, $place)?->isNothing() !== true) {
                    return ['qr.covered', []];
                }
                $under = $zone->opacity < 1.0 ? $around->under($moment, $place) : Paint::none();
                $worst = $under === null ? $worst : min($worst, self::ratio($zone, $place, $under));
            }
        }
        if ($worst >= Contrast::LEAST) {
            return null;
        }

        return ['qr.faint', ['ratio' => Contrast::said($worst)]];
    }

    private static function ratio(PaintedZone $zone, Place $place, Paint $under): float
    {
        $seen = static fn (Paint $paint): float => $paint->thinner($zone->opacity)->over($under)->luminance();

        return Contrast::between($seen($place->ink), $seen($place->own));
    }

    /** @return list<array{float, float}> over the code and its quiet zone, in px of its box */
    private static function places(Item $item): array
    {
        /** @var array{rows: list<string>, module_px: int, place_px: array{int, int}} $drawing */
        $drawing = $item->drawing;
        $part = count($drawing['rows']) * $drawing['module_px'] / self::PLACES;
        $places = [];
        for ($row = 0; $row < self::PLACES; ++$row) {
            for ($column = 0; $column < self::PLACES; ++$column) {
                $places[] = [
                    $drawing['place_px'][0] + ($column + 0.5) * $part,
                    $drawing['place_px'][1] + ($row + 0.5) * $part,
                ];
            }
        }

        return $places;
    }
}
