<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

/** The next times at which something is on, as the site's clock says them. */
final class Upcoming
{
    private const MOST = 3;
    /** Looked for so far ahead, a stretch at a time, in days: what comes often is found in the first. */
    private const AHEAD = [35, 400, 4000, 40_000];

    /** @return list<array{string, string}> from and until, civil; what is on now is the first */
    public static function of(Windows $windows, int $nowS, ZoneTime $zone): array
    {
        foreach (self::AHEAD as $days) {
            $found = [];
            foreach ($windows->over($nowS, $nowS + 86_400 * $days, $zone) as ['from_s' => $from, 'until_s' => $until]) {
                $found[] = [self::civil($from, $zone), self::civil($until, $zone)];
                if (count($found) === self::MOST) {
                    return $found;
                }
            }
        }

        return $found;
    }

    private static function civil(int $second, ZoneTime $zone): string
    {
        return gmdate('Y-m-d\TH:i:s', $zone->civil($second));
    }
}
