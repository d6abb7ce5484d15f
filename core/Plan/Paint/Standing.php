<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Legibility\Contrast;

/** How far the letters of an item stand out from what is painted around them, where and when they do least. */
final readonly class Standing
{
    private const PERCENTILE = 5;
    /** So many places are asked for at all moments together, and at least so many at each. */
    private const MOST_PLACES = 2000;
    private const LEAST_PLACES = 60;
    /** So many are enough where nothing but plain colours and gradients lies around. */
    private const FEW_PLACES = 500;

    /**
     * @param float $ratio WCAG 2
     * @param bool  $onOwn whether that is the item's own ground, plate or shape everywhere
     * @param Rect  $place the worst: a piece of a line as long as it is high, in px of the canvas
     */
    private function __construct(public float $ratio, public bool $onOwn, public Rect $place)
    {
    }

    /** Null where there are no letters, or nobody knows what lies around them. */
    public static function of(PaintedScene $scene, PaintedZone $zone, PaintedItem $item, Surroundings $around): ?self
    {
        $worst = null;
        foreach ($item->letters as $letters) {
            $one =
                self::onPlain($zone, $item, $letters, $around) ??
                self::asked($scene, $zone, $item, $letters, $around);
            $worst = $one !== null && ($worst === null || $one->ratio < $worst->ratio) ? $one : $worst;
        }

        return $worst;
    }

    /** Letters of one colour on a ground of one colour need one look; null when it is not so plain. */
    private static function onPlain(PaintedZone $zone, PaintedItem $item, Letters $letters, Surroundings $around): ?self
    {
        [$ground, $ink] = [$item->plain(), $letters->ink->everywhere()];

        return $ground === null || $ink === null || $zone->opacity < 1.0 || $zone->isCut() || $around->hasOver()
            ? null
            : new self(self::between($ink, $letters->outline, $ground), true, $zone->rect);
    }

    private static function asked(
        PaintedScene $scene,
        PaintedZone $zone,
        PaintedItem $item,
        Letters $letters,
        Surroundings $around,
    ): ?self {
        $moments = $around->moments();
        $most = $around->isPlain() ? self::FEW_PLACES : max(self::LEAST_PLACES, intdiv(self::MOST_PLACES, $moments));
        $pieces = self::pieces($scene, $zone, $item, $letters, $around, $most);
        [$worst, $worstPiece] = [INF, null];
        for ($moment = 0; $moment < $moments; ++$moment) {
            $all = $means = [];
            foreach ($pieces as $index => $piece) {
                $here = [];
                foreach ($piece as $place) {
                    $ratio = self::ratio($zone, $letters, $around, $moment, $place);
                    if ($ratio !== null) {
                        $here[] = $ratio;
                    }
                }
                if ($here !== []) {
                    $means[$index] = array_sum($here) / count($here);
                    array_push($all, ...$here);
                }
            }
            sort($all);
            $ratio = $all === [] ? INF : $all[(int) ceil((count($all) * self::PERCENTILE) / 100) - 1];
            if ($ratio < $worst) {
                asort($means);
                [$worst, $worstPiece] = [$ratio, $pieces[(int) array_key_first($means)]];
            }
        }

        return $worstPiece === null
            ? null
            : new self($worst, self::allOnOwn($zone, $pieces), self::box($worstPiece));
    }

    /** Null where nobody knows, or where something else lies over it. */
    private static function ratio(
        PaintedZone $zone,
        Letters $letters,
        Surroundings $around,
        int $moment,
        Place $place,
    ): ?float {
        $over = $place->over === [] ? Paint::none() : $around->over($moment, $place);
        if ($over === null || $over->isFull()) {
            return null;
        }
        $own = $place->own;
        $outline = $letters->outline;
        if ($zone->opacity >= 1.0 && $over->isNothing() && ($own->isFull() || $own->isNothing())) {
            $ground = $own->isFull() ? $own : $around->under($moment, $place);

            return $ground === null ? null : self::between($place->ink, $outline, $ground);
        }
        $under = $own->isFull() && $zone->opacity >= 1.0 ? Paint::none() : $around->under($moment, $place);
        if ($under === null) {
            return null;
        }
        $seen = static fn (Paint $paint) => $over->over($paint->thinner($zone->opacity)->over($under));

        return self::between($seen($place->ink), $outline === null ? null : $seen($outline), $seen($own));
    }

    /** @param list<non-empty-list<Place>> $pieces */
    private static function allOnOwn(PaintedZone $zone, array $pieces): bool
    {
        foreach ($zone->opacity < 1.0 ? [] : $pieces as $piece) {
            foreach ($piece as $place) {
                if (!$place->own->isFull()) {
                    return false;
                }
            }
        }

        return $zone->opacity >= 1.0;
    }

    /** An outline that stands out is as good as the letters in it. */
    private static function between(Paint $ink, ?Paint $outline, Paint $ground): float
    {
        $light = $ground->luminance();
        $ratio = Contrast::between($ink->luminance(), $light);

        return $outline === null ? $ratio : max($ratio, Contrast::between($outline->luminance(), $light));
    }

    /**
     * Places behind the lines, evenly spread, by pieces of the lines: as far as the zone and the canvas show them, and
     * somebody knows what the item paints there.
     *
     * @return list<non-empty-list<Place>>
     */
    private static function pieces(
        PaintedScene $scene,
        PaintedZone $zone,
        PaintedItem $item,
        Letters $letters,
        Surroundings $around,
        int $most,
    ): array {
        $rect = $zone->rect;
        $box = Box::of(0, 0, $rect->width, $rect->height);
        $lines = array_filter(array_map(static fn (Box $line) => $line->within($box), $letters->lines));
        $area = array_sum(array_map(static fn (Box $line) => $line->width * $line->height, $lines));
        $apart = max(1.0, sqrt($area / $most));
        $pieces = [];
        foreach ($lines as $line) {
            for ($from = 0.0; $from < $line->width; $from += $line->height) {
                $piece = [];
                for ($y = $line->y + $apart / 2; $y < $line->y + $line->height; $y += $apart) {
                    $end = $line->x + min($line->width, $from + $line->height);
                    for ($x = $line->x + $from + $apart / 2; $x < $end; $x += $apart) {
                        [$outX, $outY] = $zone->outside($x, $y);
                        $own = $zone->shows($x, $y) && $scene->holds($outX, $outY)
                            ? $zone->own($item, 0, $x, $y)
                            : null;
                        if ($own !== null) {
                            $piece[] = $around->place($outX, $outY, $letters->ink->at($x, $y), $own);
                        }
                    }
                }
                if ($piece !== []) {
                    $pieces[] = $piece;
                }
            }
        }

        return $pieces;
    }

    /** @param non-empty-list<Place> $places */
    private static function box(array $places): Rect
    {
        $x = array_map(static fn (Place $place) => $place->x, $places);
        $y = array_map(static fn (Place $place) => $place->y, $places);
        [$left, $top] = [(int) floor(min($x)), (int) floor(min($y))];

        return Rect::of($left, $top, max(1, (int) ceil(max($x)) - $left), max(1, (int) ceil(max($y)) - $top));
    }
}
