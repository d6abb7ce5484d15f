<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

use UpperPane\Core\Time\ClockNames;

/** What days, months and places in a month are called in English, both ways. */
final class EnglishNames
{
    public const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
    private const PLACES = [
        1 => 'first',
        2 => 'second',
        3 => 'third',
        4 => 'fourth',
        5 => 'fifth',
        -1 => 'last',
        -2 => 'second-last',
    ];
    private const LEAST_LETTERS = 3;
    private const LEAST_RUN = 3;

    /** @param non-empty-list<int> $days from Monday, 0; rising */
    public static function weekdays(array $days): string
    {
        $isRun = count($days) >= self::LEAST_RUN && end($days) - $days[0] === count($days) - 1;

        return $isRun
            ? self::WEEKDAYS[$days[0]].' to '.self::WEEKDAYS[end($days)]
            : self::listed(array_map(static fn (int $day) => self::WEEKDAYS[$day], $days));
    }

    /**
     * `monday`, `mon`, `mondays`, `mon-fri`, `Monday to Friday`, and several of them with commas or `and`.
     *
     * @return ?list<int> rising; null when it says no weekdays
     */
    public static function readWeekdays(string $text): ?array
    {
        $days = [];
        foreach (preg_split('/\s*(?:,|\band\b)\s*/', $text, -1, \PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            $ends = preg_split('/\s*(?:-|–|\bto\b)\s*/', $part) ?: [];
            $read = array_map(static fn (string $end) => self::named(rtrim(trim($end), 's'), self::WEEKDAYS), $ends);
            if (count($read) > 2 || in_array(null, $read, true)) {
                return null;
            }
            $last = (int) end($read);
            // Behind Sunday comes Monday.
            for ($day = (int) $read[0];; $day = ($day + 1) % 7) {
                $days[] = $day;
                if ($day === $last) {
                    break;
                }
            }
        }
        sort($days);

        return $days === [] ? null : array_values(array_unique($days));
    }

    public static function place(int $number): ?string
    {
        return self::PLACES[$number] ?? null;
    }

    public static function readPlace(string $text): ?int
    {
        $place = array_search($text, self::PLACES, true);

        return match (true) {
            is_int($place) => $place,
            preg_match('/^([1-5])(?:st|nd|rd|th)$/D', $text, $found) === 1 => (int) $found[1],
            default => null,
        };
    }

    /** The day of a month: `1st`, or `last day`. */
    public static function dayOfMonth(int $day): ?string
    {
        $ending = $day % 100 >= 11 && $day % 100 <= 13 ? 'th' : ['th', 'st', 'nd', 'rd'][$day % 10] ?? 'th';

        return match (true) {
            $day > 0 => $day.$ending,
            $day === -1 => 'last day',
            default => null,
        };
    }

    public static function readDayOfMonth(string $text): ?int
    {
        return match (true) {
            $text === 'last day' => -1,
            preg_match('/^(\d{1,2})(?:st|nd|rd|th)?$/D', $text, $found) === 1 => (int) $found[1],
            default => null,
        };
    }

    /** @param int $month from 1 */
    public static function month(int $month): string
    {
        return ClockNames::MONTHS[$month - 1];
    }

    public static function readMonth(string $text): ?int
    {
        $month = self::named($text, ClockNames::MONTHS);

        return $month === null ? null : $month + 1;
    }

    public static function date(int $civil): string
    {
        return gmdate('j F Y', $civil);
    }

    /** @return ?int civil seconds of its beginning; null when it is no day */
    public static function readDate(string $text): ?int
    {
        $date = preg_match('/^(\d{1,2}) ([a-z]+) (\d{4})$/D', $text, $found) === 1
            ? [(int) $found[3], self::readMonth($found[2]) ?? 0, (int) $found[1]]
            : array_map(intval(...), explode('-', preg_match('/^\d{4}-\d\d-\d\d$/D', $text) === 1 ? $text : '0-0-0'));

        return checkdate($date[1], $date[2], $date[0]) ? 86_400 * Days::of(...$date) : null;
    }

    /** @param non-empty-list<string> $names */
    public static function listed(array $names): string
    {
        $last = array_pop($names);

        return $names === [] ? $last : implode(', ', $names)." and $last";
    }

    /** @param array<int, string> $names */
    private static function named(string $text, array $names): ?int
    {
        foreach ($names as $number => $name) {
            if (strlen($text) >= self::LEAST_LETTERS && str_starts_with(strtolower($name), $text)) {
                return $number;
            }
        }

        return null;
    }
}
