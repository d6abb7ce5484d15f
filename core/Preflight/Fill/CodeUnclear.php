<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\QrFill;
use UpperPane\Core\Legibility\Contrast;
use UpperPane\Core\Plan\Paint\Paint;
use UpperPane\Core\Plan\Paint\PaintedItem;
use UpperPane\Core\Plan\Paint\PaintedScene;
use UpperPane\Core\Plan\Paint\PaintedZone;
use UpperPane\Core\Plan\Paint\Place;
use UpperPane\Core\Plan\Paint\Surroundings;
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
            foreach ($zone->items as $at => $item) {
                if ($item->fill instanceof QrFill && ($item->modulePx ?? 0) > 0) {
                    $painted = $scene->zone($index);
                    $code = self::judge($scene, $painted, $painted->items[$at], $scene->around($index));
                    $findings = $code === null
                        ? $findings
                        : [...$findings, ItemRule::found($code[0], Severity::Caution, $zone, $item, $code[1])];
                }
            }
        }

        return $findings;
    }

    /** @return ?array{string, array<string, string>} */
    private static function judge(
        PaintedScene $scene,
        PaintedZone $zone,
        PaintedItem $item,
        Surroundings $around,
    ): ?array {
        $fill = $item->item->fill;
        \assert($fill instanceof QrFill);
        [$dark, $light] = [Paint::ofHex($fill->colour->hex), Paint::ofHex($fill->ground->hex)];
        $places = [];
        foreach (self::places($item) as [$inX, $inY]) {
            [$x, $y] = $zone->outside($inX, $inY);
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

    /** @return list<array{float, float}> over the code and its quiet zone, in px of the zone */
    private static function places(PaintedItem $item): array
    {
        /** @var array{rows: list<string>, module_px: int, place_px: array{int, int}} $drawing */
        $drawing = $item->item->drawing;
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
