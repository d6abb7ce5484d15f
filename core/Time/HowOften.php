<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

use UpperPane\Core\Geometry\Rational;

/** How often each entry of a list begins in an hour (model §6, Frequency): exact, as a ratio. */
final class HowOften
{
    private const HOUR_MS = 3_600_000;

    /**
     * @param list<array{place: ?int, ms: int}> $turns   of one cycle, each ≥ 1 ms
     * @param ?int                              $endMs   after which its scene ends; null: it goes on
     * @param ?int                              $againMs after which the scene comes again; null: it goes on
     *
     * @return array<int, Rational> by place
     */
    public static function perHour(array $turns, ?int $endMs = null, ?int $againMs = null): array
    {
        $cycle = array_sum(array_column($turns, 'ms'));
        $begun = [];
        if ($cycle === 0) {
            return [];
        }
        [$whole, $rest] = $endMs === null || $againMs === null
            ? [1, 0]
            : [intdiv($endMs, $cycle), $endMs % $cycle];
        $atMs = 0;
        foreach ($turns as ['place' => $place, 'ms' => $ms]) {
            if ($place !== null) {
                $begun[$place] = ($begun[$place] ?? 0) + $whole + ($atMs < $rest ? 1 : 0);
            }
            $atMs += $ms;
        }
        $periodMs = $endMs === null || $againMs === null ? $cycle : $againMs;

        return array_map(static fn (int $times) => Rational::of($times * self::HOUR_MS, $periodMs), $begun);
    }
}
