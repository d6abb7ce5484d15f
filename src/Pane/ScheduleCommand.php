<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Schedule\Instant;
use UpperPane\Core\Schedule\Windows;
use UpperPane\Core\Schedule\ZoneTime;

/** Entries with civil times and recurrence rules → the windows in which they hold (model §8). */
final class ScheduleCommand implements Command
{
    public const MOST_ENTRIES = 10_000;
    private const MOST_WINDOWS = 10_000;
    private const MOST_DATES = 5000;

    public function name(): string
    {
        return 'schedule';
    }

    public function about(): string
    {
        return 'Civil times and recurrence rules of entries (RFC 5545): the windows in which they hold, in UTC.';
    }

    public function schema(): array
    {
        $civil = ['type' => 'string', 'pattern' => '^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2})?$'];
        $dates = ['type' => 'array', 'items' => $civil, 'maxItems' => self::MOST_DATES];
        $instant = [
            'type' => 'string',
            'description' => 'RFC 3339, whole seconds, from 1970 to 2400; `until` comes after `from`.',
            'pattern' => '^\d{4}-\d{2}-\d{2}[Tt]\d{2}:\d{2}:\d{2}([Zz]|[+-]\d{2}:\d{2})$',
        ];
        $entry = Schema::object([
            'id' => Schema::id(),
            'start' => $civil + ['description' => 'Civil; the rule has it.'],
            'end' => [
                'type' => 'string',
                'description' => 'Civil time of day, the next day’s when it is not after the start’s; 24:00 too.',
                'pattern' => '^(([01]\d|2[0-3]):[0-5]\d(:[0-5]\d)?|24:00(:00)?)$',
            ],
            'days' => Schema::whole(0, 31) + ['description' => 'So many days later; with 0 the end is after the start.'],
            'rrule' => [
                'type' => ['string', 'null'],
                'maxLength' => 2000,
                'pattern' => '^[A-Za-z]+=[^;]+(;[A-Za-z]+=[^;]+)*$',
                'description' => 'RFC 5545 §3.3.10; UNTIL in UTC with time, and not with COUNT.',
            ],
            'rdate' => $dates,
            'exdate' => $dates,
        ], ['id', 'start', 'end']);

        return Schema::object([
            'zone' => [
                'type' => 'string',
                'maxLength' => 60,
                'description' => 'A name of the tz database, such as Europe/London.',
            ],
            'from' => $instant,
            'until' => $instant,
            'entries' => ['type' => 'array', 'items' => $entry, 'maxItems' => self::MOST_ENTRIES],
        ], ['zone', 'from', 'until', 'entries']);
    }

    public function run(Input $input): array
    {
        $input->keys(['zone', 'from', 'until', 'entries']);
        $zone = ZoneTime::named($input->child('zone'));
        [$from, $until] = [Instant::parse($input->child('from')), Instant::parse($input->child('until'))];
        if ($until <= $from) {
            throw Refusal::because('schedule.until_before', $input->pathTo('until'));
        }
        $seen = [];
        $found = [];
        foreach ($input->list('entries', self::MOST_ENTRIES) as $entry) {
            $entry->keys(['id', 'start', 'end', 'days', 'rrule', 'rdate', 'exdate']);
            $id = $entry->id('id');
            if (isset($seen[$id])) {
                throw Refusal::because('schedule.entry_twice', $entry->pathTo('id'), ['id' => $id]);
            }
            $seen[$id] = true;
            $taken = 0;
            foreach (Windows::parse($entry)->over($from, $until, $zone) as $window) {
                $found[] = ['entry' => $id] + $window;
                // Nobody gets more than so many, of one entry or of all.
                if (++$taken > self::MOST_WINDOWS) {
                    break;
                }
            }
        }
        usort($found, static fn (array $a, array $b) => $a['from_s'] <=> $b['from_s']);

        return [
            'windows' => array_map(static fn (array $window) => [
                'entry' => $window['entry'],
                'from' => Instant::written($window['from_s']),
                'until' => Instant::written($window['until_s']),
            ], array_slice($found, 0, self::MOST_WINDOWS)),
            'truncated' => count($found) > self::MOST_WINDOWS,
        ];
    }
}
