<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

/**
 * The starts of a rule, as civil seconds: seconds since 1970 as if the site's clock showed UTC (RFC 5545 §3.3.10, civil
 * arithmetic for all frequencies). Only the stretch that is asked for is looked at, save where a rule counts from its
 * beginning.
 */
final readonly class Occurrences
{
    private const DAY = 86_400;

    private int $firstDay;
    private int $year;
    private int $month;
    /** @var array<string, list<int>> with what comes from the beginning */
    private array $by;
    /** @var list<array{?int, int}> */
    private array $days;
    /** @var list<int> seconds of the day at which what comes by days comes; none for what comes more often */
    private array $times;

    public function __construct(private Rule $rule, private int $start)
    {
        $this->firstDay = Days::quotient($start, self::DAY);
        [$this->year, $this->month, $day] = Days::civil($this->firstDay);
        $frequency = $rule->frequency;
        $by = $rule->by;
        $days = $rule->days;
        $named = $days !== []
            || array_intersect_key($by, ['BYWEEKNO' => 0, 'BYYEARDAY' => 0, 'BYMONTHDAY' => 0]) !== [];
        if (!$named && $frequency === Frequency::Yearly) {
            $by += ['BYMONTH' => [$this->month], 'BYMONTHDAY' => [$day]];
        } elseif (!$named && $frequency === Frequency::Monthly) {
            $by += ['BYMONTHDAY' => [$day]];
        } elseif (!$named && $frequency === Frequency::Weekly) {
            $days = [[null, Days::weekday($this->firstDay)]];
        }
        $ofDay = $start - $this->firstDay * self::DAY;
        $units = ['BYHOUR' => intdiv($ofDay, 3600), 'BYMINUTE' => intdiv($ofDay, 60) % 60, 'BYSECOND' => $ofDay % 60];
        $coarser = ['BYHOUR' => 3600, 'BYMINUTE' => 60, 'BYSECOND' => 1];
        foreach ($units as $unit => $own) {
            if (($frequency->seconds() ?? self::DAY) > $coarser[$unit]) {
                $by += [$unit => [$own]];
            }
        }
        $this->by = $by;
        $this->days = $days;
        $this->times = $frequency->seconds() === null ? self::combined($by) : [];
    }

    /**
     * The starts from one civil second to another, both included, in rising order.
     *
     * @param \Closure(int): int $instant civil seconds → seconds since 1970, UTC: for what ends at an instant
     *
     * @return \Generator<int, int>
     */
    public function between(int $from, int $until, \Closure $instant): \Generator
    {
        $count = $this->rule->count;
        $number = 0;
        foreach ($this->all($count === null ? max($from, $this->start) : $this->start, $until) as $at) {
            if ($at < $this->start) {
                continue;
            }
            if ($this->rule->untilS !== null && $instant($at) > $this->rule->untilS) {
                return;
            }
            if ($count !== null && ++$number > $count) {
                return;
            }
            if ($at > $until) {
                return;
            }
            if ($at >= $from) {
                yield $at;
            }
        }
    }

    /**
     * Those of all rounds that reach into a stretch; before it and behind it there may be some.
     *
     * @return \Generator<int, int>
     */
    private function all(int $from, int $until): \Generator
    {
        return $this->rule->frequency->seconds() === null
            ? $this->byDays(Days::quotient($from, self::DAY), Days::quotient($until, self::DAY))
            : $this->byUnits($this->rule->frequency->seconds(), $from, $until);
    }

    /** @return \Generator<int, int> */
    private function byDays(int $from, int $until): \Generator
    {
        foreach ($this->rounds($from, $until) as [$first, $last]) {
            $picks = isset($this->by['BYSETPOS']);
            $starts = [];
            for ($day = $picks ? $first : max($first, $from); $day <= ($picks ? $last : min($last, $until)); ++$day) {
                if ($this->has($day)) {
                    foreach ($this->times as $time) {
                        $starts[] = $day * self::DAY + $time;
                    }
                }
            }
            yield from $picks ? $this->picked($starts) : $starts;
        }
    }

    /** @return \Generator<int, array{int, int}> first and last day of each round that reaches into a stretch of days */
    private function rounds(int $from, int $until): \Generator
    {
        $interval = $this->rule->interval;
        [$fromYear, $fromMonth] = Days::civil($from);
        $index = match ($this->rule->frequency) {
            Frequency::Yearly => $fromYear - $this->year,
            Frequency::Monthly => ($fromYear - $this->year) * 12 + $fromMonth - $this->month,
            Frequency::Weekly => Days::quotient($from - $this->weekOf($this->firstDay), 7),
            default => $from - $this->firstDay,
        };
        for ($index = max(0, Days::quotient($index, $interval) * $interval);; $index += $interval) {
            $first = $this->roundFrom($index);
            if ($first > $until) {
                return;
            }
            yield [$first, $this->roundFrom($index + 1) - 1];
        }
    }

    /** The first day of a round. */
    private function roundFrom(int $index): int
    {
        $months = $this->month - 1 + $index;

        return match ($this->rule->frequency) {
            Frequency::Yearly => Days::of($this->year + $index, 1, 1),
            Frequency::Monthly => Days::of($this->year + intdiv($months, 12), $months % 12 + 1, 1),
            Frequency::Weekly => $this->weekOf($this->firstDay) + 7 * $index,
            default => $this->firstDay + $index,
        };
    }

    private function weekOf(int $day): int
    {
        return $day - Days::remainder(Days::weekday($day) - $this->rule->weekStart, 7);
    }

    /**
     * What comes by hours, minutes or seconds: from one that is due to the next, whole days, hours and minutes in which
     * none can be passed over at once.
     *
     * @return \Generator<int, int>
     */
    private function byUnits(int $seconds, int $from, int $until): \Generator
    {
        $step = $seconds * $this->rule->interval;
        $origin = Days::quotient($this->start, $seconds) * $seconds;
        $due = static fn (int $at): int => $origin + max(0, Days::quotient($at - $origin + $step - 1, $step)) * $step;
        $at = $due(Days::quotient($from, $seconds) * $seconds);
        $known = null;
        while ($at <= $until) {
            $day = Days::quotient($at, self::DAY);
            if ($known !== $day && !$this->has($day)) {
                $at = $due(($day + 1) * self::DAY);
                continue;
            }
            $known = $day;
            $ofDay = $at - $day * self::DAY;
            if (!self::allows($this->by['BYHOUR'] ?? null, intdiv($ofDay, 3600))) {
                $at = $due($at - Days::remainder($at, 3600) + 3600);
                continue;
            }
            if ($seconds < 3600 && !self::allows($this->by['BYMINUTE'] ?? null, intdiv($ofDay, 60) % 60)) {
                $at = $due($at - Days::remainder($at, 60) + 60);
                continue;
            }
            yield from $this->inUnit($seconds, $at);
            $at += $step;
        }
    }

    /** @return list<int> the starts within an hour, a minute or a second that is due */
    private function inUnit(int $seconds, int $at): array
    {
        $starts = [];
        foreach ($seconds === 3600 ? $this->by['BYMINUTE'] : [0] as $minute) {
            $own = $seconds === 1 && !self::allows($this->by['BYSECOND'] ?? null, Days::remainder($at, 60));
            foreach ($seconds === 1 ? ($own ? [] : [0]) : $this->by['BYSECOND'] as $second) {
                if ($second < 60) {
                    $starts[] = $at + 60 * $minute + $second;
                }
            }
        }

        return isset($this->by['BYSETPOS']) ? $this->picked($starts) : $starts;
    }

    /**
     * @param list<int> $starts of one round, rising
     *
     * @return list<int> those at the places that BYSETPOS names, rising
     */
    private function picked(array $starts): array
    {
        $picked = [];
        foreach ($this->by['BYSETPOS'] as $place) {
            $index = $place > 0 ? $place - 1 : count($starts) + $place;
            if (isset($starts[$index])) {
                $picked[$index] = $starts[$index];
            }
        }
        ksort($picked);

        return array_values($picked);
    }

    /** Whether the rule has a day, whatever round it lies in. */
    private function has(int $day): bool
    {
        [$year, $month, $ofMonth] = Days::civil($day);
        $inYear = $day - Days::of($year, 1, 1) + 1;

        return self::allows($this->by['BYMONTH'] ?? null, $month)
            && self::counted($this->by['BYMONTHDAY'] ?? null, $ofMonth, Days::monthLength($year, $month))
            && self::counted($this->by['BYYEARDAY'] ?? null, $inYear, Days::yearLength($year))
            && $this->hasWeek($day, $year)
            && $this->hasWeekday($day, $year, $month, $ofMonth, $inYear);
    }

    private function hasWeek(int $day, int $year): bool
    {
        return !isset($this->by['BYWEEKNO'])
            || self::counted($this->by['BYWEEKNO'], ...Days::week($day, $year, $this->rule->weekStart));
    }

    /** Numbers of weekdays count within the month where the rule is by months, else within the year. */
    private function hasWeekday(int $day, int $year, int $month, int $ofMonth, int $inYear): bool
    {
        if ($this->days === []) {
            return true;
        }
        $byMonth = $this->rule->frequency === Frequency::Monthly || isset($this->rule->by['BYMONTH']);
        [$place, $length] = $byMonth
            ? [$ofMonth, Days::monthLength($year, $month)]
            : [$inYear, Days::yearLength($year)];
        $weekday = Days::weekday($day);
        foreach ($this->days as [$number, $wanted]) {
            if (
                $wanted === $weekday
                && ($number === null
                    || ($number > 0 && intdiv($place - 1, 7) + 1 === $number)
                    || ($number < 0 && -intdiv($length - $place, 7) - 1 === $number))
            ) {
                return true;
            }
        }

        return false;
    }

    /** @param ?list<int> $list null allows all */
    private static function allows(?array $list, int $value): bool
    {
        return $list === null || in_array($value, $list, true);
    }

    /** @param ?list<int> $list counted from the beginning or, below zero, from the end of so many */
    private static function counted(?array $list, int $place, int $of): bool
    {
        return $list === null || in_array($place, $list, true) || in_array($place - $of - 1, $list, true);
    }

    /**
     * @param array<string, list<int>> $by
     *
     * @return list<int> seconds of the day, rising
     */
    private static function combined(array $by): array
    {
        $times = [];
        foreach ($by['BYHOUR'] as $hour) {
            foreach ($by['BYMINUTE'] as $minute) {
                foreach ($by['BYSECOND'] as $second) {
                    if ($second < 60) {
                        $times[] = 3600 * $hour + 60 * $minute + $second;
                    }
                }
            }
        }

        return $times;
    }
}
