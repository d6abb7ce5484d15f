<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Schedule\ICalendar;
use UpperPane\Core\Schedule\Instant;
use UpperPane\Core\Schedule\Windows;
use UpperPane\Core\Schedule\ZoneTime;

/** Entries with civil times and recurrence rules → an iCalendar object (RFC 5545). */
final class IcalendarCommand implements Command
{
    public function name(): string
    {
        return 'icalendar';
    }

    public function about(): string
    {
        return 'Civil times and recurrence rules of entries, as an iCalendar object (RFC 5545) that other calendars read.';
    }

    public function schema(): array
    {
        ['zone' => $zone, 'from' => $instant, 'entries' => $entries] = (new ScheduleCommand())->schema()['properties'];
        $entries['items']['properties']['name'] = ['type' => 'string', 'maxLength' => 200];
        $entries['items']['required'][] = 'name';

        return Schema::object(
            ['zone' => $zone, 'at' => ['description' => 'When it is written.'] + $instant, 'entries' => $entries],
            ['zone', 'at', 'entries'],
        );
    }

    public function run(Input $input): array
    {
        $input->keys(['zone', 'at', 'entries']);
        ZoneTime::named($input->child('zone'));
        $entries = [];
        foreach ($input->list('entries', ScheduleCommand::MOST_ENTRIES) as $entry) {
            $entry->keys(['id', 'name', 'start', 'end', 'days', 'rrule', 'rdate', 'exdate']);
            $id = $entry->id('id');
            if (isset($entries[$id])) {
                throw Refusal::because('schedule.entry_twice', $entry->pathTo('id'), ['id' => $id]);
            }
            $entries[$id] = ['id' => $id, 'name' => $entry->text('name', 200), 'windows' => Windows::parse($entry)];
        }
        $zone = new \DateTimeZone($input->text('zone', 60));

        return ['text' => (new ICalendar($zone, Instant::parse($input->child('at'))))->of(array_values($entries))];
    }
}
