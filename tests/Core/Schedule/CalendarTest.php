<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Schedule;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Schedule\Calendar;
use UpperPane\Core\Schedule\Windows;
use UpperPane\Core\Schedule\ZoneTime;

/** Calendars of exceptions (model §8): what counts is the civil day on which an occurrence starts. */
final class CalendarTest extends TestCase
{
    /**
     * Every night from 23:00 to 01:00 in Berlin, 22 to 27 December: what begins on the 24th also holds on the 25th.
     *
     * @param list<list<string>> $only
     * @param list<list<string>> $not
     * @param list<int>          $nights
     */
    #[TestWith([[], [], [22, 23, 24, 25, 26]])]
    #[TestWith([[], [['2026-12-24', '2026-12-25']], [22, 23, 26]])]
    #[TestWith([[['2026-12-24'], ['2026-12-26', '2026-12-31']], [], [24, 26]])]
    #[TestWith([[['2026-12-24', '2026-12-25', '2026-12-26']], [['2026-12-25']], [24, 26]])]
    #[TestWith([[['2026-01-01']], [], []])]
    public function testEntriesAreOnOrNotByTheDayTheyBeginOn(array $only, array $not, array $nights): void
    {
        $windows = Windows::parse(Input::of([
            'start' => '2026-12-22T23:00',
            'end' => '01:00',
            'rrule' => 'FREQ=DAILY;COUNT=5',
        ]))->on(array_map(self::calendar(...), $only), array_map(self::calendar(...), $not));
        $zone = ZoneTime::named(Input::of('Europe/Berlin'));
        $found = [];
        foreach ($windows->over(1_766_000_000, 1_800_000_000, $zone) as ['from_s' => $from, 'until_s' => $until]) {
            self::assertSame(7200, $until - $from);
            // 23:00 in Berlin's winter is 22:00 UTC of the same day.
            $found[] = (int) gmdate('j', $from);
        }

        self::assertSame($nights, $found);
    }

    public function testDaysAreKeptInOrderAndOnce(): void
    {
        self::assertSame(
            ['2026-12-24', '2027-01-01'],
            self::calendar(['2027-01-01', '2026-12-24', '2027-01-01'])->toArray()['days'],
        );
    }

    #[TestWith(['2026-02-29'])]
    #[TestWith(['24-12-2026'])]
    #[TestWith(['2026-1-1'])]
    public function testWhatIsNoDayIsRefused(string $day): void
    {
        try {
            self::calendar(['2026-12-24', $day]);
            self::fail("$day was taken.");
        } catch (Refusal $refusal) {
            self::assertSame(['time.civil', '/days/1'], [$refusal->refusalCode, $refusal->path]);
        }
    }

    /** @param list<string> $days */
    private static function calendar(array $days): Calendar
    {
        return Calendar::parse(Input::of(['id' => 'c-1', 'name' => 'Holidays', 'days' => $days]));
    }
}
