<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

/** The UTC offsets of a civil time zone over a horizon, so that a player can show a clock without zone data of its own. */
final class OffsetTable
{
    /** @return list<array{from_ms: int, offset_s: int}> the first one holds at the start */
    public static function over(\DateTimeZone $zone, int $fromMs, int $untilMs): array
    {
        $table = [];
        foreach ($zone->getTransitions(intdiv($fromMs, 1000), intdiv($untilMs, 1000)) ?: [] as $transition) {
            $table[] = ['from_ms' => max($fromMs, $transition['ts'] * 1000), 'offset_s' => $transition['offset']];
        }

        return $table;
    }
}
