<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

use UpperPane\Core\Base\Input;

/**
 * When something is on, in a sentence that {@see ReadWhen} reads again: “every first Monday, 05:40 to 01:15, from
 * 2 March 2026”. What no sentence of ours says is not said: its rule is shown then.
 */
final class SaidWhen
{
    public static function of(When $when, ZoneTime $zone): ?string
    {
        $time = self::time($when->start).' to '.self::short($when->end)
            .($when->days === null ? '' : ", $when->days days later");
        if ($when->rrule === null) {
            return 'on '.EnglishNames::date($when->start).", $time";
        }
        $rule = Rule::parse(Input::of($when->rrule));
        $which = self::which($rule, intdiv($when->start, 86_400));
        $ends = self::ends($rule, $zone);

        return $which === null || $ends === null
            ? null
            : "$which, $time, from ".EnglishNames::date($when->start).$ends;
    }

    /** @return ?string empty without an end; null where it ends within a day */
    private static function ends(Rule $rule, ZoneTime $zone): ?string
    {
        if ($rule->untilS === null) {
            return $rule->count === null ? '' : ", $rule->count times";
        }
        $civil = $zone->civil($rule->untilS);

        return $civil % 86_400 === 86_399 ? ', until '.EnglishNames::date($civil) : null;
    }

    private static function which(Rule $rule, int $startDay): ?string
    {
        $every = static fn (string $unit) => $rule->interval === 1 ? "every $unit" : "every $rule->interval {$unit}s";

        return match ($rule->frequency) {
            Frequency::Daily => $rule->by === [] && $rule->days === [] ? $every('day') : null,
            Frequency::Weekly => self::weekly($rule, $startDay, $every('week')),
            Frequency::Monthly => self::monthly($rule, $startDay, $every('month')),
            Frequency::Yearly => self::yearly($rule, $startDay, $every('year')),
            default => null,
        };
    }

    private static function weekly(Rule $rule, int $startDay, string $every): ?string
    {
        // Which weeks of several are meant depends on the day that a week begins with.
        if ($rule->by !== [] || ($rule->interval > 1 && $rule->weekStart !== 0)) {
            return null;
        }
        $days = array_values(array_unique(array_column($rule->days, 1)));
        sort($days);
        $names = EnglishNames::weekdays($days === [] ? [Days::weekday($startDay)] : $days);

        return $rule->interval === 1 ? "every $names" : "$every on $names";
    }

    private static function monthly(Rule $rule, int $startDay, string $every): ?string
    {
        $weekday = self::placed($rule);
        if ($weekday !== null && $rule->by === []) {
            return $rule->interval === 1 ? "every $weekday" : "$every on the $weekday";
        }
        $days = $rule->by['BYMONTHDAY'] ?? ($rule->by === [] ? [Days::civil($startDay)[2]] : null);
        if ($days === null || $rule->days !== [] || array_diff(array_keys($rule->by), ['BYMONTHDAY']) !== []) {
            return null;
        }
        $names = array_map(EnglishNames::dayOfMonth(...), $days);

        return in_array(null, $names, true) || $names === [] ? null : "$every on the ".EnglishNames::listed($names);
    }

    private static function yearly(Rule $rule, int $startDay, string $every): ?string
    {
        [, $month, $day] = Days::civil($startDay);
        $months = $rule->by['BYMONTH'] ?? [$month];
        if (count($months) !== 1 || array_diff(array_keys($rule->by), ['BYMONTH', 'BYMONTHDAY']) !== []) {
            return null;
        }
        $name = EnglishNames::month($months[0]);
        $weekday = self::placed($rule);
        if ($weekday !== null) {
            return array_keys($rule->by) === ['BYMONTH'] ? "$every on the $weekday of $name" : null;
        }
        // A month without its day, or a day without its month, is more than one day.
        if ($rule->days !== [] || isset($rule->by['BYMONTH']) !== isset($rule->by['BYMONTHDAY'])) {
            return null;
        }
        $days = $rule->by['BYMONTHDAY'] ?? [$day];

        return count($days) === 1 && $days[0] > 0 ? "$every on $days[0] $name" : null;
    }

    /** Weekdays by their places, all of one name: “first and third Monday”. */
    private static function placed(Rule $rule): ?string
    {
        $weekdays = array_unique(array_column($rule->days, 1));
        $places = array_map(static fn (?int $place) => EnglishNames::place($place ?? 0), array_column($rule->days, 0));

        return count($weekdays) !== 1 || in_array(null, $places, true) || $places === []
            ? null
            : EnglishNames::listed($places).' '.EnglishNames::WEEKDAYS[reset($weekdays)];
    }

    private static function time(int $civil): string
    {
        return self::short(gmdate('H:i:s', $civil));
    }

    private static function short(string $time): string
    {
        return strlen($time) === 8 && str_ends_with($time, ':00') ? substr($time, 0, 5) : $time;
    }
}
