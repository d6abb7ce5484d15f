<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

use UpperPane\Core\Time\OffsetTable;

/**
 * Entries as an iCalendar object (RFC 5545): what other calendars read. Starts are civil times of the site's zone, with
 * its clock changes. An occurrence ends there so long after its start as the first one does (§3.8.5.3), which is an
 * hour beside our end where the clocks change in between.
 */
final readonly class ICalendar
{
    private const PRODUCT = '-//Upper Pane//Schedule//EN';
    /** What never ends has its clock changes for so long; a reader that knows the zone's name needs none. */
    private const CLOCKS_S = 30 * 366 * 86_400;
    /** §3.1: a line has at most so many octets without its end. */
    private const OCTETS = 75;
    private const CIVIL = 'Ymd\THis';

    /** @param int $stampS when it was written, seconds since 1970, UTC */
    public function __construct(private \DateTimeZone $zone, private int $stampS)
    {
    }

    /** @param list<array{id: string, name: string, windows: Windows}> $entries ids are unique */
    public function of(array $entries): string
    {
        $starts = array_map(static fn (array $entry) => $entry['windows']->recurrence->start, $entries);
        $lines = [
            'BEGIN:VCALENDAR',
            'VERSION:2.0',
            'PRODID:'.self::PRODUCT,
            ...$starts === [] ? [] : $this->clocks(min($starts), max($starts)),
            ...array_merge([], ...array_map($this->event(...), $entries)),
            'END:VCALENDAR',
        ];

        return implode('', array_map(static fn (string $line) => self::folded($line)."\r\n", $lines));
    }

    /**
     * @param array{id: string, name: string, windows: Windows} $entry
     *
     * @return list<string>
     */
    private function event(array $entry): array
    {
        $recurrence = $entry['windows']->recurrence;
        $at = ';TZID='.$this->zone->getName().':';

        return [
            'BEGIN:VEVENT',
            'UID:'.self::text($entry['id']),
            'DTSTAMP:'.gmdate(self::CIVIL, $this->stampS).'Z',
            'SUMMARY:'.self::text($entry['name']),
            'DTSTART'.$at.self::civil($recurrence->start),
            'DTEND'.$at.self::civil($entry['windows']->span->endOf($recurrence->start)),
            ...$recurrence->rule === null ? [] : ["RRULE:{$recurrence->rule->text}"],
            ...$recurrence->more === [] ? [] : ["RDATE$at".self::list($recurrence->more)],
            ...$recurrence->out === [] ? [] : ["EXDATE$at".self::list($recurrence->out)],
            'END:VEVENT',
        ];
    }

    /**
     * The zone (§3.6.5): one part for each pair of offsets, with the civil times, by the first of them, of its changes.
     *
     * @return list<string>
     */
    private function clocks(int $first, int $last): array
    {
        $from = $first - 366 * 86_400;
        $table = OffsetTable::over($this->zone, 1000 * $from, 1000 * (max($last, $this->stampS) + self::CLOCKS_S));
        $before = $table[0]['offset_s'];
        $changes = ["$before $before" => [$from]];
        foreach (array_slice($table, 1) as ['from_ms' => $ms, 'offset_s' => $offset]) {
            $changes["$before $offset"][] = intdiv($ms, 1000) + $before;
            $before = $offset;
        }
        $lines = [];
        foreach ($changes as $pair => $civil) {
            [$old, $new] = array_map(intval(...), explode(' ', $pair));
            $part = $new > $old ? 'DAYLIGHT' : 'STANDARD';
            $again = self::list(array_slice($civil, 1));
            $lines = [
                ...$lines,
                "BEGIN:$part",
                'DTSTART:'.self::civil($civil[0]),
                'TZOFFSETFROM:'.self::offset($old),
                'TZOFFSETTO:'.self::offset($new),
                ...$again === '' ? [] : ["RDATE:$again"],
                "END:$part",
            ];
        }

        return ['BEGIN:VTIMEZONE', 'TZID:'.$this->zone->getName(), ...$lines, 'END:VTIMEZONE'];
    }

    /** @param list<int> $civil */
    private static function list(array $civil): string
    {
        return implode(',', array_map(self::civil(...), $civil));
    }

    private static function civil(int $seconds): string
    {
        return gmdate(self::CIVIL, $seconds);
    }

    /** §3.3.14 */
    private static function offset(int $seconds): string
    {
        $size = abs($seconds);
        $odd = $size % 60 === 0 ? '' : sprintf('%02d', $size % 60);

        return ($seconds < 0 ? '-' : '+').sprintf('%02d%02d', intdiv($size, 3600), intdiv($size, 60) % 60).$odd;
    }

    /** §3.3.11 */
    private static function text(string $text): string
    {
        return str_replace("\n", '\n', addcslashes(str_replace("\r\n", "\n", $text), '\\;,'));
    }

    /** Never within a character. */
    private static function folded(string $line): string
    {
        $folded = '';
        for ($most = self::OCTETS; strlen($line) > $most; $most = self::OCTETS - 1) {
            $part = mb_strcut($line, 0, $most, 'UTF-8');
            $folded .= "$part\r\n ";
            $line = substr($line, strlen($part));
        }

        return $folded.$line;
    }
}
