<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

/**
 * The UTC offsets of a civil time zone over a horizon, so that a player can show a clock without zone data of its own.
 */
final class OffsetTable
{
    /**
     * Names that PHP takes for abbreviations without summer time, and the places they are links to (tz database,
     * `backward`, 2024b; from memory).
     */
    private const LINKS = [
        'CET' => 'Europe/Brussels',
        'MET' => 'Europe/Brussels',
        'EET' => 'Europe/Athens',
        'WET' => 'Europe/Lisbon',
    ];

    /** @return list<array{from_ms: int, offset_s: int}> the first one holds at the start */
    public static function over(\DateTimeZone $zone, int $fromMs, int $untilMs): array
    {
        $zone = new \DateTimeZone(self::LINKS[$zone->getName()] ?? $zone->getName());
        $table = [];
        foreach ($zone->getTransitions(intdiv($fromMs, 1000), intdiv($untilMs, 1000)) ?: [] as $transition) {
            $table[] = ['from_ms' => max($fromMs, $transition['ts'] * 1000), 'offset_s' => $transition['offset']];
        }

        return $table !== []
            ? $table
            : [
                [
                    'from_ms' => $fromMs,
                    'offset_s' => $zone->getOffset(new \DateTimeImmutable('@'.intdiv($fromMs, 1000))),
                ],
            ];
    }
}
