<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\StyledFill;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Legibility\Contrast as Ratio;
use UpperPane\Core\Plan\Backdrop;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ScenePlan;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\SceneRule;

/**
 * Letters without a ground that hardly stand out from what lies under them (model §5): the 5th percentile of the ratio
 * over the places behind the lines, at the worst moment. Said with the worst place, a piece of a line as long as it is
 * high.
 *
 * @phpstan-type Piece non-empty-list<array{float, float}>
 *
 * @phpstan-import-type Line from \UpperPane\Core\Plan\TextCompiler
 */
final class ContrastOver implements SceneRule
{
    private const PERCENTILE = 5;
    /** So many places are asked for at all moments together, and at least so many at each. */
    private const MOST_PLACES = 6000;
    private const LEAST_PLACES = 60;

    public function check(ScenePlan $scene): array
    {
        $findings = [];
        foreach ($scene->zones as $zone) {
            foreach ($zone->items as $item) {
                $finding = self::isBare($item) ? self::judge($scene, $zone, $item) : null;
                $findings = $finding === null ? $findings : [...$findings, $finding];
            }
        }

        return $findings;
    }

    private static function isBare(Item $item): bool
    {
        $style = $item->fill instanceof StyledFill ? $item->fill->style() : null;

        return $style !== null && $style->ground === null && $style->effects->plate === null;
    }

    private static function judge(ScenePlan $scene, ZonePlan $zone, Item $item): ?Finding
    {
        $backdrop = Backdrop::under($scene, $zone);
        $moments = $backdrop->moments();
        $pieces = self::pieces($zone, $item, max(self::LEAST_PLACES, intdiv(self::MOST_PLACES, $moments)));
        if (!$item->fill instanceof StyledFill) {
            return null;
        }
        $outline = $item->fill->style()->effects->outline?->colour->hex;
        $inks = array_map(Ratio::luminance(...), Contrast::inks($item->fill));
        $outlined = $outline === null ? null : Ratio::luminance($outline);
        $worst = [INF, 0];
        for ($moment = 0; $moment < $moments; ++$moment) {
            [$all, $means] = self::ratios($backdrop, $moment, $pieces, $inks, $outlined);
            sort($all);
            $ratio = $all === [] ? INF : $all[(int) ceil(count($all) * self::PERCENTILE / 100) - 1];
            if ($ratio < $worst[0]) {
                asort($means);
                $worst = [$ratio, (int) array_key_first($means)];
            }
        }
        $least = Contrast::least($item, $zone);

        return $worst[0] >= $least
            ? null
            : Finding::of('text.contrast_under', Severity::Caution, $zone->path(), [
                'zone' => $zone->zone->id,
                'letter' => $zone->zone->letter(),
                'ratio' => Ratio::said($worst[0]),
                'least' => (string) $least,
                'at' => implode(' ', self::around($pieces[$worst[1]])->movedBy(
                    -$scene->place->x,
                    -$scene->place->y,
                )->toArray()),
                'scene' => $scene->scene->id,
            ]);
    }

    /**
     * @param list<Piece> $pieces
     * @param non-empty-list<float> $inks
     *
     * @return array{list<float>, array<int, float>} of every place that is known; the mean of each piece
     */
    private static function ratios(Backdrop $backdrop, int $moment, array $pieces, array $inks, ?float $outline): array
    {
        $all = $means = [];
        foreach ($pieces as $index => $piece) {
            $here = [];
            foreach ($piece as [$x, $y]) {
                $under = $backdrop->at($moment, $x, $y);
                if ($under !== null) {
                    $here[] = max(
                        min(array_map(static fn (float $ink) => Ratio::between($ink, $under), $inks)),
                        $outline === null ? 0 : Ratio::between($outline, $under),
                    );
                }
            }
            if ($here !== []) {
                $means[$index] = array_sum($here) / count($here);
                array_push($all, ...$here);
            }
        }

        return [$all, $means];
    }

    /**
     * Places behind the lines in px of the canvas, evenly spread, by pieces of the lines. What runs through its zone
     * comes by everywhere in it.
     *
     * @return list<Piece>
     */
    private static function pieces(ZonePlan $zone, Item $item, int $most): array
    {
        $lines = self::lines($zone, $item);
        $area = array_sum(array_map(static fn (array $line) => $line[2] * $line[3], $lines));
        $apart = max(1.0, sqrt($area / $most));
        $turn = deg2rad($zone->placed->turnCentidegrees / 100);
        [$middleX, $middleY] = [$zone->rect->width / 2, $zone->rect->height / 2];
        $pieces = [];
        foreach ($lines as [$left, $top, $width, $height]) {
            for ($from = 0.0; $from < $width; $from += $height) {
                $piece = [];
                for ($y = $apart / 2; $y < $height; $y += $apart) {
                    for ($x = $from + $apart / 2; $x < min($width, $from + $height); $x += $apart) {
                        [$byX, $byY] = [$left + $x - $middleX, $top + $y - $middleY];
                        $piece[] = [
                            $zone->rect->x + $middleX + $byX * cos($turn) - $byY * sin($turn),
                            $zone->rect->y + $middleY + $byX * sin($turn) + $byY * cos($turn),
                        ];
                    }
                }
                if ($piece !== []) {
                    $pieces[] = $piece;
                }
            }
        }

        return $pieces;
    }

    /** @return list<array{float, float, float, float}> in px of the zone, as far as they are in it */
    private static function lines(ZonePlan $zone, Item $item): array
    {
        $drawing = $item->drawing;
        [$width, $height] = [(float) $zone->rect->width, (float) $zone->rect->height];
        if (isset($drawing['ticker'])) {
            return [[0.0, 0.0, $width, $height]];
        }
        $seen = [];
        foreach (self::written($drawing) as $line) {
            [$x, $y, $wide, $high] = array_map(static fn (int $mpx) => $mpx / 1000, $line);
            [$left, $top] = [max(0.0, $x), max(0.0, $y)];
            $seen[] = [$left, $top, min($width, $x + $wide) - $left, min($height, $y + $high) - $top];
        }

        return array_values(array_filter($seen, static fn (array $line) => $line[2] > 0 && $line[3] > 0));
    }

    /**
     * @param array<string, mixed> $drawing
     *
     * @return list<array{int, int, int, int}> in thousandths of a px
     */
    private static function written(array $drawing): array
    {
        /** @var array{box_mpx?: array{int, int, int, int}, line_mpx: int, lines?: list<Line>} $drawing */
        return isset($drawing['box_mpx'])
            ? [$drawing['box_mpx']]
            : array_map(
                static fn (array $line) => [$line['x_mpx'], $line['y_mpx'], $line['width_mpx'], $drawing['line_mpx']],
                $drawing['lines'] ?? [],
            );
    }

    /** @param Piece $places */
    private static function around(array $places): Rect
    {
        [$x, $y] = [array_column($places, 0), array_column($places, 1)];
        [$left, $top] = [(int) floor(min($x)), (int) floor(min($y))];

        return Rect::of($left, $top, max(1, (int) ceil(max($x)) - $left), max(1, (int) ceil(max($y)) - $top));
    }
}
