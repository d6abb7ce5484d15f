<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

/**
 * The instants at which a site's civil days begin, so that what "runs on" from midnight needs no zone data on a player
 * (model §6).
 */
final class Midnights
{
    /**
     * In ms, from the last one at or before the start. Where a day begins after a gap, its first instant.
     *
     * @return list<int>
     */
    public static function over(\DateTimeZone $zone, int $fromMs, int $untilMs): array
    {
        $day = (new \DateTimeImmutable('@'.intdiv($fromMs, 1000)))->setTimezone($zone)->setTime(0, 0);
        if ($day->getTimestamp() * 1000 > $fromMs) {
            $day = $day->modify('-1 day');
        }
        $days = [];
        for (; $day->getTimestamp() * 1000 < $untilMs; $day = $day->modify('+1 day')->setTime(0, 0)) {
            $days[] = $day->getTimestamp() * 1000;
        }

        return $days;
    }
}
