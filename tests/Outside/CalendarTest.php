<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Symfony\Component\Process\Process;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Schedule\ICalendar;
use UpperPane\Core\Schedule\Windows;
use UpperPane\Core\Schedule\ZoneTime;

/** What is written as iCalendar, read by sabre/vobject, and by python3-icalendar with python3-dateutil. */
final class CalendarTest extends TestCase
{
    private const NAME = "Ferry to Ness; bikes, dogs \\ and “prams”\nÄußerste Vorsicht: 北京 🚢, und noch sehr viel mehr dazu";

    #[DataProvider('zones')]
    public function testOthersReadWhatIsWritten(string $name, string $stamp, string ...$changes): void
    {
        $zone = new \DateTimeZone($name);
        $entries = self::entries();
        $text = (new ICalendar($zone, (int) strtotime($stamp)))->of($entries);
        $until = (int) strtotime('2028-01-01T00:00:00Z');
        $instants = array_merge(...array_map(
            static fn (string $change) => [strtotime($change) - 1, (int) strtotime($change)],
            $changes,
        ));
        $python = new Process(['/usr/bin/python3', __DIR__.'/dates.py', (string) $until, ...$instants]);
        $read = json_decode($python->setInput($text)->mustRun()->getOutput(), true, flags: \JSON_THROW_ON_ERROR);

        self::assertSame(
            array_map(static fn (int $at) => $zone->getOffset(new \DateTimeImmutable("@$at")), $instants),
            $read['offsets'],
            'its own table of clock changes, a second before and at each',
        );
        self::assertSame(array_map(static fn (array $entry) => [
            'id' => $entry['id'],
            'name' => $entry['name'],
            'starts' => self::starts($entry['windows'], $until, $zone),
            'end' => (new ZoneTime($zone))->instant(
                $entry['windows']->span->endOf($entry['windows']->recurrence->start),
            ),
        ], $entries), $read['events']);

        $calendar = Reader::read($text);
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());
        foreach ($calendar->select('VEVENT') as $index => $event) {
            $first = $read['events'][$index];
            self::assertSame(
                [$first['name'], $first['starts'][0]],
                [(string) $event->SUMMARY, $event->DTSTART->getDateTime()->getTimestamp()],
            );
        }
    }

    /** @return iterable<string, list<string>> a zone, when it is written, changes of its clocks (tz database) */
    public static function zones(): iterable
    {
        yield 'London' => ['Europe/London', '2026-12-01T09:00:00Z', '2026-03-29T01:00:00Z', '2026-10-25T01:00:00Z'];
        yield 'half an hour' => ['Australia/Lord_Howe', '2026-12-01T09:00:00Z', '2026-10-03T15:30:00Z'];
        yield 'New York' => ['America/New_York', '2026-12-01T09:00:00Z', '2050-03-13T07:00:00Z'];
        yield 'no changes' => ['Asia/Tokyo', '2026-12-01T09:00:00Z', '2026-03-29T01:00:00Z'];
    }

    /** @return list<array{id: string, name: string, windows: Windows}> */
    private static function entries(): array
    {
        $entries = [
            ['start' => '2026-03-20T02:30', 'end' => '05:00', 'rrule' => 'FREQ=DAILY', 'rdate' => ['2026-03-28T12:00'],
                'exdate' => ['2026-03-29T02:30', '2026-10-25T02:30']],
            ['start' => '2026-12-07T05:40', 'end' => '01:15', 'rrule' => 'FREQ=MONTHLY;BYDAY=1MO;COUNT=9'],
            ['start' => '2026-12-24T16:00', 'end' => '24:00', 'days' => 2],
            ['start' => '2026-06-01T23:00', 'end' => '06:00', 'rrule' => 'FREQ=WEEKLY;WKST=SU;BYDAY=MO,SA'],
        ];

        return array_map(static fn (int $index, array $entry) => [
            'id' => "e-$index",
            'name' => self::NAME." $index",
            'windows' => Windows::parse(Input::of($entry)),
        ], array_keys($entries), $entries);
    }

    /** @return list<int> */
    private static function starts(Windows $windows, int $until, \DateTimeZone $zone): array
    {
        $time = new ZoneTime($zone);
        $civil = iterator_to_array($windows->recurrence->between(0, $time->civil($until), $time), false);

        return array_map($time->instant(...), $civil);
    }
}
