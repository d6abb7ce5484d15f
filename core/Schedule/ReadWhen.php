<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** Reads when something is on from a sentence, as {@see SaidWhen} says it or shorter: “mon-fri 6-9”. */
final class ReadWhen
{
    private const DATE = '(\d{4}-\d\d-\d\d|\d{1,2} [a-z]+ \d{4})';
    private const TIME = '(\d{1,2}(?::\d\d){0,2})';

    private function __construct(private readonly Input $input, private string $rest)
    {
    }

    /**
     * @param int $today civil seconds of the beginning of a day: what says no first day begins with it
     *
     * @throws Refusal `when.words` with what was not understood, `when.times`, `when.never`
     */
    public static function of(Input $input, int $today, ZoneTime $zone): When
    {
        $text = strtolower((string) preg_replace('/\s+/', ' ', trim($input->asText(300))));

        return (new self($input, $text))->read($today, $zone);
    }

    private function read(int $today, ZoneTime $zone): When
    {
        $from = $this->date($this->take('from '.self::DATE));
        $until = $this->date($this->take('until '.self::DATE));
        $count = $this->take('(\d{1,5}) times');
        $days = $this->take('(\d{1,2}) days? later');
        [$start, $end] = $this->times();
        $which = trim($this->rest, ', ');
        $rule = $this->rule($which);
        if ($rule === null) {
            $day = EnglishNames::readDate((string) preg_replace('/^on /', '', $which));
            if ($day === null || $from !== null || $until !== null || $count !== null) {
                throw $this->unread($which);
            }

            return new When($day + $start, $end, $days === null ? null : (int) $days[0], null);
        }
        if ($until !== null) {
            $rule .= ';UNTIL='.gmdate('Ymd\THis\Z', $zone->instant($until + 86_399));
        }
        $rule .= $count === null ? '' : ";COUNT={$count[0]}";
        $first = Recurrence::firstOf(
            Rule::parse(Input::of($rule)),
            ($from ?? $today) + $start,
        ) ?? throw Refusal::because('when.never', $this->input->path, ['words' => $which]);

        return new When($first, $end, $days === null ? null : (int) $days[0], $rule);
    }

    /** @return ?string of RFC 5545, without its end; null where it is no rule */
    private function rule(string $which): ?string
    {
        $text = (string) preg_replace('/^every other /', 'every 2 ', $which);
        if (preg_match('/^(?:every (?:(\d{1,3}) )?(day|week|month|year)s?|(daily))(?: on (.+))?$/D', $text, $found)) {
            $interval = ($found[1] ?? '') === '' || $found[1] === '1' ? '' : ";INTERVAL=$found[1]";
            $on = $found[4] ?? '';

            return match (($found[3] ?? '') === 'daily' ? 'day' : $found[2] ?? '') {
                'day' => $on === '' ? "FREQ=DAILY$interval" : throw $this->unread($on),
                'week' => "FREQ=WEEKLY$interval".$this->weekdays($on),
                'month' => "FREQ=MONTHLY$interval".$this->inMonth((string) preg_replace('/^the /', '', $on)),
                'year' => "FREQ=YEARLY$interval".$this->inYear((string) preg_replace('/^the /', '', $on)),
                default => throw $this->unread($which),
            };
        }
        $bare = (string) preg_replace('/^every /', '', $text);
        $days = EnglishNames::readWeekdays($bare);
        if ($days !== null) {
            return 'FREQ=WEEKLY'.self::byDay($days);
        }
        $placed = $this->placed($bare);

        return $placed === null ? null : "FREQ=MONTHLY;BYDAY=$placed";
    }

    private function weekdays(string $on): string
    {
        return self::byDay(EnglishNames::readWeekdays($on) ?? throw $this->unread($on));
    }

    private function inMonth(string $on): string
    {
        $placed = $this->placed($on);
        if ($placed !== null) {
            return ";BYDAY=$placed";
        }
        $days = array_map(
            fn (string $day) => EnglishNames::readDayOfMonth($day) ?? throw $this->unread($on),
            self::items($on),
        );

        return $days === [] ? throw $this->unread($on) : ';BYMONTHDAY='.implode(',', $days);
    }

    private function inYear(string $on): string
    {
        if (preg_match('/^(\d{1,2}) ([a-z]+)$/D', $on, $found) === 1) {
            $month = EnglishNames::readMonth($found[2]) ?? throw $this->unread($on);

            return ";BYMONTH=$month;BYMONTHDAY=$found[1]";
        }
        $isPlaced = preg_match('/^(.+) of ([a-z]+)$/D', $on, $found) === 1;
        $month = EnglishNames::readMonth($found[2] ?? '');
        $placed = $isPlaced ? $this->placed($found[1]) : null;

        return $month === null || $placed === null ? throw $this->unread($on) : ";BYMONTH=$month;BYDAY=$placed";
    }

    /** @return ?string “first and third monday” as `1MO,3MO` */
    private function placed(string $text): ?string
    {
        $space = strrpos($text, ' ');
        $days = $space === false ? null : EnglishNames::readWeekdays(substr($text, $space + 1));
        $names = $space === false ? [] : self::items(substr($text, 0, $space));
        $places = array_map(EnglishNames::readPlace(...), $names);
        if ($days === null || count($days) !== 1 || $places === [] || in_array(null, $places, true)) {
            return null;
        }

        return implode(',', array_map(static fn (int $place) => $place.Rule::WEEKDAYS[$days[0]], $places));
    }

    /** @return array{int, string} seconds of the day, and the end as it is written */
    private function times(): array
    {
        if ($this->take('all day') !== null) {
            return [0, '24:00'];
        }
        $times = $this->take(self::TIME.' ?(?:-|–|to) ?'.self::TIME.'(?![\d:])');
        if ($times === null) {
            throw Refusal::because('when.times', $this->input->path);
        }
        [$start, $end] = array_map(static function (string $time): array {
            return [...array_map(intval(...), explode(':', $time)), 0, 0];
        }, $times);
        $isTime = static fn (array $time) => $time[0] <= 23 && $time[1] <= 59 && $time[2] <= 59;
        if (!$isTime($start) || (!$isTime($end) && array_slice($end, 0, 3) !== [24, 0, 0])) {
            throw $this->unread(implode(' to ', $times));
        }

        return [
            3600 * $start[0] + 60 * $start[1] + $start[2],
            sprintf('%02d:%02d', $end[0], $end[1]).($end[2] === 0 ? '' : sprintf(':%02d', $end[2])),
        ];
    }

    /** @return ?list<string> the parts of what matched, which is not in the rest any more */
    private function take(string $pattern): ?array
    {
        if (preg_match("/(?:^|[ ,])$pattern(?=$|[ ,])/", $this->rest, $found) !== 1) {
            return null;
        }
        $this->rest = trim(str_replace($found[0], ' ', $this->rest), ', ');

        return array_slice(array_values($found), 1);
    }

    /** @param ?list<string> $found */
    private function date(?array $found): ?int
    {
        return $found === null ? null : EnglishNames::readDate($found[0]) ?? throw $this->unread($found[0]);
    }

    /** @return list<string> */
    private static function items(string $text): array
    {
        return preg_split('/\s*(?:,|\band\b)\s*/', $text, -1, \PREG_SPLIT_NO_EMPTY) ?: [];
    }

    /** @param list<int> $days */
    private static function byDay(array $days): string
    {
        return ';BYDAY='.implode(',', array_map(static fn (int $day) => Rule::WEEKDAYS[$day], $days));
    }

    private function unread(string $part): Refusal
    {
        return Refusal::because('when.words', $this->input->path, ['part' => mb_substr($part, 0, 60)]);
    }
}
