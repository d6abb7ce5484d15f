<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;

/**
 * The whole px of every part of one split, adding up to the parent exactly (model §3).
 *
 * Shares follow CSS Grid Layout 1 §12.7.1 (`minmax(min, fr)`): a part below its minimum is frozen at it and the rest
 * shared again. Whole px by largest remainder, ties to the earlier part.
 */
final class Shares
{
    /**
     * @param bool $bare minimums and needs give way, so that only 1 px for every pane is held (reflow)
     *
     * @return list<int> px per part
     *
     * @throws Refusal `glaze.too_large`, `glaze.not_filled` with the parts and the px; `glaze.pane_too_small`
     */
    public static function of(Split $split, int $parentPx, Pitches $pitches, string $path, bool $bare = false): array
    {
        $availablePx = $parentPx - $split->guttersPx();
        $least = array_map(
            static fn (Part $part) => $bare
                ? Need::bare($part, $split->axis)
                : max($part->leastPx(), Need::of($part, $split->axis, $pitches)),
            $split->parts,
        );
        $plain = self::plain($split, $availablePx, $least);
        if ($plain !== null) {
            return $plain;
        }
        $ideals = self::ideals($split, $parentPx, $least, $pitches->along($split->axis), $path);
        $sizes = self::whole($split->parts, $ideals, $availablePx);
        foreach ($sizes as $index => $px) {
            if ($px < 1) {
                throw Refusal::because('glaze.pane_too_small', "$path/parts/$index", [
                    'px' => $px,
                    'size' => $split->parts[$index]->size()->toText(),
                ]);
            }
        }

        return $sizes;
    }

    /**
     * The common case in whole numbers: only shares, every one at or above its minimum and 1 px. Null when it is not
     * that case.
     *
     * @param list<int> $least px per part
     *
     * @return list<int>|null
     */
    private static function plain(Split $split, int $availablePx, array $least): ?array
    {
        $shares = [];
        foreach ($split->parts as $part) {
            if (!$part->size()->isShare()) {
                return null;
            }
            $shares[] = $part->size()->whole();
        }
        $total = array_sum($shares);
        if ($availablePx < 1 || $total > intdiv(\PHP_INT_MAX, $availablePx)) {
            return null;
        }
        $sizes = $rests = [];
        foreach ($shares as $index => $share) {
            $sizes[] = intdiv($share * $availablePx, $total);
            $rests[$index] = ($share * $availablePx) % $total;
            if ($sizes[$index] < max(1, $least[$index])) {
                return null;
            }
        }
        arsort($rests);
        foreach (array_slice(array_keys($rests), 0, $availablePx - array_sum($sizes)) as $index) {
            ++$sizes[$index];
        }

        return array_values($sizes);
    }

    /**
     * @param list<int> $least px per part
     *
     * @return list<Rational>
     */
    private static function ideals(Split $split, int $parentPx, array $least, ?Rational $pitchUm, string $path): array
    {
        $availablePx = $parentPx - $split->guttersPx();
        $left = Rational::of($availablePx);
        $ideals = $open = [];
        foreach ($split->parts as $index => $part) {
            if ($part->size()->isShare()) {
                $open[$index] = $least[$index];
                continue;
            }
            $ideals[$index] = $part->size()->idealPx($parentPx, $pitchUm, "$path/parts/$index/size");
            $left = $left->minus($ideals[$index]);
        }
        $neededPx = Rational::of(array_sum($open));
        if ($left->compare($neededPx) < 0 && $left->minus($neededPx)->compare(Rational::of(-1)) <= 0) {
            throw Refusal::because(
                'glaze.too_large',
                $path,
                self::account($split, $availablePx, $neededPx->minus($left)->ceil()),
            );
        }
        if ($open === [] && $left->compare(Rational::of(1)) >= 0) {
            throw Refusal::because('glaze.not_filled', $path, self::account($split, $availablePx, $left->floor()));
        }
        foreach (self::shareOut($split->parts, $open, $left) as $index => $ideal) {
            $ideals[$index] = $ideal;
        }
        ksort($ideals);

        return array_values($ideals);
    }

    /**
     * @param list<Part>      $parts
     * @param array<int, int> $open  part index → least px
     *
     * @return array<int, Rational>
     */
    private static function shareOut(array $parts, array $open, Rational $left): array
    {
        $ideals = [];
        while ($open !== []) {
            $wholes = array_map(static fn (int $index) => $parts[$index]->size()->whole(), array_keys($open));
            $shares = array_sum($wholes);
            $each = $left->compare(Rational::of(0)) > 0 ? $left->dividedBy(Rational::of($shares)) : Rational::of(0);
            $frozen = array_filter(
                $open,
                static fn (int $least, int $index) => $each
                    ->times(Rational::of($parts[$index]->size()->whole()))
                    ->compare(Rational::of($least)) < 0,
                \ARRAY_FILTER_USE_BOTH,
            );
            foreach ($frozen === [] ? $open : $frozen as $index => $least) {
                $ideals[$index] =
                    $frozen === [] ? $each->times(Rational::of($parts[$index]->size()->whole())) : Rational::of($least);
            }
            foreach ($frozen as $least) {
                $left = $left->minus(Rational::of($least));
            }
            $open = $frozen === [] ? [] : array_diff_key($open, $frozen);
        }

        return $ideals;
    }

    /**
     * @param list<Part>     $parts
     * @param list<Rational> $ideals
     *
     * @return list<int>
     */
    private static function whole(array $parts, array $ideals, int $availablePx): array
    {
        $sizes = array_map(static fn (Rational $ideal) => $ideal->floor(), $ideals);
        $movable = array_keys(array_filter($parts, static fn (Part $part) => $part->size()->unit !== SizeUnit::Px));
        usort(
            $movable,
            static fn (int $a, int $b) => $ideals[$b]
                ->minus(Rational::of($sizes[$b]))
                ->compare($ideals[$a]->minus(Rational::of($sizes[$a]))) ?:
            $a <=> $b,
        );
        $missing = $availablePx - array_sum($sizes);
        foreach (array_slice($movable, 0, max(0, $missing)) as $index) {
            ++$sizes[$index];
        }
        foreach ($missing < 0 ? array_slice(array_reverse($movable), 0, -$missing) : [] as $index) {
            --$sizes[$index];
        }

        return array_values($sizes);
    }

    /** @return array<string, string|int|list<string>> */
    private static function account(Split $split, int $availablePx, int $differencePx): array
    {
        return [
            'parts' => array_map(static fn (Part $part) => $part->size()->toText(), $split->parts),
            'available_px' => $availablePx,
            'difference_px' => $differencePx,
        ];
    }
}
