<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

/**
 * Days of the proleptic Gregorian calendar as whole numbers, 0 being 1 January 1970 (ISO 8601:2004 §3.2.1). Weekdays
 * count from Monday, 0, to Sunday, 6.
 */
final class Days
{
    private const BEFORE = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334];
    private const LENGTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
    /** From 1 January of the year 1 to 1970. */
    private const TO_1970 = 719_162;

    public static function of(int $year, int $month, int $day): int
    {
        $before = $year - 1;

        return $before * 365 + intdiv($before, 4) - intdiv($before, 100) + intdiv($before, 400) - self::TO_1970
            + self::BEFORE[$month - 1] + ($month > 2 && self::isLeap($year) ? 1 : 0) + $day - 1;
    }

    /** @return array{int, int, int} year, month and day of the month, both from 1 */
    public static function civil(int $days): array
    {
        // 400 years have 146,097 days: a year that is near enough, and then the right one.
        $year = intdiv(($days + self::TO_1970) * 400, 146_097) + 1;
        while (self::of($year, 1, 1) > $days) {
            --$year;
        }
        while (self::of($year + 1, 1, 1) <= $days) {
            ++$year;
        }
        $inYear = $days - self::of($year, 1, 1);
        $month = 12;
        while (self::of($year, $month, 1) - self::of($year, 1, 1) > $inYear) {
            --$month;
        }

        return [$year, $month, $days - self::of($year, $month, 1) + 1];
    }

    public static function weekday(int $days): int
    {
        // 1 January 1970 was a Thursday.
        return self::remainder($days + 3, 7);
    }

    public static function isLeap(int $year): bool
    {
        return $year % 4 === 0 && ($year % 100 !== 0 || $year % 400 === 0);
    }

    public static function monthLength(int $year, int $month): int
    {
        return self::LENGTHS[$month - 1] + ($month === 2 && self::isLeap($year) ? 1 : 0);
    }

    public static function yearLength(int $year): int
    {
        return self::isLeap($year) ? 366 : 365;
    }

    /** The first day of week 1 of a year: the first week with at least four days in it (RFC 5545 §3.3.10, BYWEEKNO). */
    public static function firstWeek(int $year, int $weekStart): int
    {
        $first = self::of($year, 1, 1);
        $into = self::remainder(self::weekday($first) - $weekStart, 7);

        return $into <= 3 ? $first - $into : $first + 7 - $into;
    }

    /** @return array{int, int} the number of the week that a day lies in, and of how many its year has */
    public static function week(int $days, int $year, int $weekStart): array
    {
        foreach ([$year + 1, $year, $year - 1] as $of) {
            $first = self::firstWeek($of, $weekStart);
            if ($first <= $days) {
                return [
                    intdiv($days - $first, 7) + 1,
                    intdiv(self::firstWeek($of + 1, $weekStart) - $first, 7),
                ];
            }
        }
        throw new \LogicException('A day lies in a week of its year or of one beside it.');
    }

    /** Never below zero. */
    public static function remainder(int $of, int $by): int
    {
        return (($of % $by) + $by) % $by;
    }

    /** Rounded down, also below zero. */
    public static function quotient(int $of, int $by): int
    {
        return intdiv($of - self::remainder($of, $by), $by);
    }
}
