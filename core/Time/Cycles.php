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
            $pieces = Pieces::of($durations);
            $now = $pieces->at($endMs);
            if ($now !== null && $now['since_ms'] > 0) {
                $cycle = (int) $pieces->cycleMs();
                $cut[] = [
                    'zone' => (string) $zone,
                    'entry' => $now['index'],
                    'entry_left_ms' => (int) $now['left_ms'],
                    'cycle_left_ms' => $cycle - $endMs % $cycle,
                ];
            }
        }

        return $cut;
    }
}
