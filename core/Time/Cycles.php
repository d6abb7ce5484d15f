<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

use UpperPane\Core\Geometry\Rational;

/** Cycles that run side by side: when they meet again, and what a scene's end cuts (model §6). */
final class Cycles
{
    /** Seven days: a longer common period is of no use to anyone planning a day, and is only said to be longer. */
    public const HORIZON_MS = 604_800_000;

    public static function lcm(int $a, int $b): int
    {
        return Rational::product(intdiv($a, Rational::gcd($a, $b)), $b);
    }

    /**
     * The least common multiple of cycles in ms; null above seven days.
     *
     * @param list<int> $cyclesMs each ≥ 1
     */
    public static function periodMs(array $cyclesMs): ?int
    {
        $period = 1;
        foreach ($cyclesMs as $cycle) {
            $step = intdiv($cycle, Rational::gcd($period, $cycle));
            if ($cycle > self::HORIZON_MS || $step > intdiv(self::HORIZON_MS, $period)) {
                return null;
            }
            $period *= $step;
        }

        return $period;
    }

    /**
     * The entry of each zone that the scene's end cuts, and what is left of it; an entry at its exact end is not cut.
     *
     * @param array<string, list<int>> $zones zone → durations in ms
     *
     * @return list<array{zone: string, entry: int, entry_left_ms: int, cycle_left_ms: int}>
     */
    public static function cutAt(array $zones, int $endMs): array
    {
        $cut = [];
        foreach ($zones as $zone => $durations) {
            $cycle = array_sum($durations);
            $reached = $endMs % $cycle;
            $end = 0;
            foreach ($durations as $entry => $ms) {
                $start = $end;
                $end += $ms;
                if ($start < $reached && $reached < $end) {
                    $cut[] = [
                        'zone' => (string) $zone,
                        'entry' => $entry,
                        'entry_left_ms' => $end - $reached,
                        'cycle_left_ms' => $cycle - $reached,
                    ];
                }
            }
        }

        return $cut;
    }
}
