<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Time\HowOften;
use UpperPane\Core\Time\Order;

/**
 * What the bench says of a list without computing a rule: in which order its entries come where some lie between the
 * others or it is in step, and how often each begins in an hour and on a day.
 */
final class ListView
{
    private const FIRST = 30;
    private const DECIMALS = 4;
    private const HOURS = 24;

    /**
     * @param ?int $endMs   when its scene ends; null: it goes on
     * @param ?int $againMs when the scene comes again; null: it goes on
     *
     * @return array{order?: list<array{at_ms: int, ms: int, place: ?int, leader?: int}>,
     *     often?: array<string, array{hour: string, day: string}>} the first of its order; how often by entry, where
     *     that does not depend on the day
     */
    public static function of(ZonePlan $zone, ?int $endMs, ?int $againMs): array
    {
        $turns = $zone->inStep === null ? $zone->ownTurns() : $zone->turns($zone->inStep);
        if ($turns === []) {
            return [];
        }
        $atMs = 0;
        $first = [];
        foreach (array_slice($turns, 0, self::FIRST) as $turn) {
            $first[] = ['at_ms' => $atMs] + $turn;
            $atMs += $turn['ms'];
        }
        $isTimed = array_filter($zone->items, static fn (Item $item) => $item->when !== null) !== [];
        $isCut = $zone->order !== Order::Listed && $endMs !== null && $againMs !== null;

        return ($zone->isMixed() || $zone->inStep !== null ? ['order' => $first] : []) +
            ($isTimed || $isCut ? [] : ['often' => self::often($zone, $turns, $endMs, $againMs)]);
    }

    /**
     * @param list<array{place: ?int, ms: int}> $turns
     *
     * @return array<string, array{hour: string, day: string}>
     */
    private static function often(ZonePlan $zone, array $turns, ?int $endMs, ?int $againMs): array
    {
        // What runs on goes on from scene to scene.
        $perHour = $zone->zone->runsOn()
            ? HowOften::perHour($turns)
            : HowOften::perHour($turns, $endMs, $againMs);
        $often = [];
        foreach ($perHour as $place => $times) {
            $often[(string) $zone->items[$place]->entry] = [
                'hour' => $times->plain(self::DECIMALS),
                'day' => $times->times(Rational::of(self::HOURS))->plain(self::DECIMALS),
            ];
        }

        return $often;
    }
}
