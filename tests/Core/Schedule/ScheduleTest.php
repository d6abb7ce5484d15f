<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Schedule;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Schedule\Days;
use UpperPane\Core\Schedule\Instant;
use UpperPane\Core\Schedule\Recurrence;
use UpperPane\Core\Schedule\Windows;
use UpperPane\Core\Schedule\ZoneTime;

/** Rules, civil times and windows: RFC 5545, and the table of clock changes in docs/checks.md. */
final class ScheduleTest extends TestCase
{
    /**
     * RFC 5545 §3.8.5.3, all of its examples (tests/cases/rfc5545-rrule.json), but for the one that is its own slip.
     * One that begins where its rule does not come is begun at the first date that the refusal names.
     */
    public function testRulesComeAsTheStandardSays(): void
    {
        $cases = json_decode(
            (string) file_get_contents(\dirname(__DIR__, 2).'/cases/rfc5545-rrule.json'),
            true,
            flags: \JSON_THROW_ON_ERROR,
        );
        $checked = 0;
        foreach ($cases as $case) {
            if (!$case['agrees_with_dateutil']) {
                continue;
            }
            $how = ['rrule' => $case['rrule'], 'exdate' => array_map(self::dashed(...), $case['exdate'])];
            try {
                $recurrence = Recurrence::parse(Input::of($how + ['start' => self::dashed($case['dtstart'])]));
            } catch (Refusal $refusal) {
                $recurrence = Recurrence::parse(Input::of($how + ['start' => $refusal->params['first'] ?? '']));
            }
            $zone = new ZoneTime(new \DateTimeZone($case['tzid']));
            $expected = $case['expected'] ?? $case['expected_prefix'];
            $civil = $utc = [];
            // Some rules come for ever, or were written down up to a later date than the last.
            foreach ($recurrence->between($recurrence->start, Days::of(2400, 1, 1) * 86_400, $zone) as $at) {
                $civil[] = gmdate('Ymd\THis', $at);
                $utc[] = gmdate('Ymd\THis\Z', $zone->instant($at));
                if (!$case['finite'] && count($civil) === count($expected)) {
                    break;
                }
            }
            self::assertSame([$expected, $case['utc']], [$civil, $utc], $case['rrule']);
            ++$checked;
        }
        self::assertSame(41, $checked);
    }

    /** @return iterable<string, array{string, string, string}> zone, civil time, instant (docs/checks.md) */
    public static function clocks(): iterable
    {
        yield 'a gap' => ['Europe/Berlin', '2026-03-29T02:30:00', '2026-03-29T01:30:00Z'];
        yield 'twice' => ['Europe/Berlin', '2026-10-25T02:30:00', '2026-10-25T00:30:00Z'];
        yield 'twice, west' => ['America/New_York', '2007-11-04T01:30:00', '2007-11-04T05:30:00Z'];
        yield 'half an hour' => ['Australia/Lord_Howe', '2026-10-04T02:15:00', '2026-10-03T15:45:00Z'];
        yield 'summer' => ['Europe/London', '2026-07-01T12:00:00', '2026-07-01T11:00:00Z'];
        yield 'no change ever' => ['UTC', '2026-07-01T12:00:00', '2026-07-01T12:00:00Z'];
    }

    /** At both ends of a window: what begins then, and what ends then. */
    #[DataProvider('clocks')]
    public function testCivilTimesAreInstants(string $zone, string $civil, string $instant): void
    {
        $entry = static fn (string $start, string $end): array => ['start' => $start, 'end' => $end, 'days' => 1];
        $day = substr($civil, 0, 10);
        $before = gmdate('Y-m-d', strtotime("$day UTC") - 86_400);
        $begins = self::windows($entry($civil, '23:00'), $zone, $day)[0];
        $ends = self::windows($entry("{$before}T00:00:00", substr($civil, 11)), $zone, $day)[0];

        self::assertSame([$instant, $instant], [$begins[0], $ends[1]]);
    }

    /** Whatever the zone: a second of the clock is shown at its instant, save what never comes. */
    public function testInstantsAndCivilTimesAreInverses(): void
    {
        foreach (['Europe/London', 'Australia/Lord_Howe', 'America/New_York', 'Asia/Kathmandu'] as $name) {
            $zone = new ZoneTime(new \DateTimeZone($name));
            $php = new \DateTimeZone($name);
            for ($at = Days::of(2026, 1, 1) * 86_400; $at < Days::of(2027, 1, 1) * 86_400; $at += 1799) {
                $civil = $zone->civil($at);
                self::assertSame($at + $php->getOffset(new \DateTimeImmutable("@$at")), $civil);
                $back = $zone->instant($civil);
                self::assertTrue($back === $at || ($back < $at && $zone->civil($back) === $civil), "$name $at");
            }
        }
    }

    /** Day by day against PHP's own calendar, over leap years and centuries; weeks against ISO 8601's. */
    public function testTheCalendarIsPhps(): void
    {
        for ($day = Days::of(1895, 1, 1), $end = Days::of(2105, 1, 1); $day < $end; $day += 3) {
            $date = new \DateTimeImmutable('@'.$day * 86_400);
            [$year, $month, $ofMonth] = Days::civil($day);
            [$week] = Days::week($day, $year, 0);
            self::assertSame(
                $date->format('Y n j N W t'),
                sprintf('%d %d %d %d %02d %d', $year, $month, $ofMonth, ...[
                    Days::weekday($day) + 1,
                    $week,
                    Days::monthLength($year, $month),
                ]),
            );
            self::assertSame($day, Days::of($year, $month, $ofMonth));
        }
    }

    public function testWindowsLastAsTheirCivilTimesSay(): void
    {
        $daily = ['start' => '2026-03-27T22:00', 'end' => '02:30', 'rrule' => 'FREQ=DAILY;COUNT=3'];
        self::assertSame([
            ['2026-03-27T21:00:00Z', '2026-03-28T01:30:00Z'],
            // It ends in the gap: 03:30 in summer time, an hour after 01:30 would have come.
            ['2026-03-28T21:00:00Z', '2026-03-29T01:30:00Z'],
            ['2026-03-29T20:00:00Z', '2026-03-30T00:30:00Z'],
        ], self::windows($daily, 'Europe/Berlin', '2026-03-27', 5));
        $whole = ['start' => '2026-10-25T00:00', 'end' => '24:00'];
        self::assertSame(
            [['2026-10-24T22:00:00Z', '2026-10-25T23:00:00Z']],
            self::windows($whole, 'Europe/Berlin', '2026-10-25'),
            'a day of 25 hours',
        );
        $gone = ['start' => '2026-03-29T02:00', 'end' => '03:00'];
        self::assertSame([], self::windows($gone, 'Europe/Berlin', '2026-03-29'), 'the hour that never comes');
        $more = ['2026-03-20T12:00', '2026-03-20T09:00'];
        $late = ['start' => '2026-03-20T09:00', 'end' => '10:00', 'rdate' => $more];
        self::assertSame([
            ['2026-03-20T09:00:00Z', '2026-03-20T10:00:00Z'],
            ['2026-03-20T12:00:00Z', '2026-03-21T10:00:00Z'],
        ], self::windows($late, 'UTC', '2026-03-20', 2), 'equal ones once, the next day where it would end before');
        $both = ['end' => '05:00', 'start' => '2026-03-29T02:30', 'rdate' => ['2026-03-29T03:00', '2026-03-29T03:30']];
        self::assertSame([
            ['2026-03-29T01:00:00Z', '2026-03-29T03:00:00Z'],
            ['2026-03-29T01:30:00Z', '2026-03-29T03:00:00Z'],
        ], self::windows($both, 'Europe/Berlin', '2026-03-29'), 'in the order of their instants, equal ones once');
        $long = ['start' => '2026-03-01T09:00', 'end' => '10:00', 'days' => 31];
        self::assertCount(1, self::windows($long, 'UTC', '2026-04-01'), 'it began a month before');
    }

    /** Where two of an entry overlap the later one wins and starts anew (model §8). */
    public function testTheLaterOfTwoWins(): void
    {
        $entry = ['start' => '2026-03-20T09:00', 'end' => '12:00', 'rrule' => 'FREQ=HOURLY;INTERVAL=2;COUNT=2'];
        $timeline = Windows::parse(Input::of($entry))->timeline(
            self::ms('2026-03-20T00:00:00Z'),
            self::ms('2026-03-21T00:00:00Z'),
            new ZoneTime(new \DateTimeZone('UTC')),
        );
        self::assertSame([
            ['from_ms' => self::ms('2026-03-20T09:00:00Z'), 'value' => self::ms('2026-03-20T09:00:00Z')],
            ['from_ms' => self::ms('2026-03-20T11:00:00Z'), 'value' => self::ms('2026-03-20T11:00:00Z')],
            ['from_ms' => self::ms('2026-03-20T12:00:00Z'), 'value' => null],
        ], $timeline->steps());
    }

    /** A rule of 1990 asked for 2060 is looked at there alone. */
    public function testOldRulesAreAskedWhereTheyAreAsked(): void
    {
        $rule = Recurrence::parse(Input::of(['start' => '1990-01-01T06:00', 'rrule' => 'FREQ=MINUTELY;INTERVAL=7']));
        $day = Days::of(2060, 6, 1) * 86_400;
        $found = iterator_to_array(
            $rule->between($day, $day + 86_399, new ZoneTime(new \DateTimeZone('UTC'))),
            false,
        );
        // Python: (datetime(2060, 6, 1) - datetime(1990, 1, 1, 6)).total_seconds() // 60 % 7 == 2, so 5 min later.
        self::assertSame([$day + 300, 205], [$found[0], count($found)]);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        $start = ['start' => '2026-03-20T09:00', 'end' => '10:00'];
        foreach (
            [
                'two ends' => ['FREQ=DAILY;COUNT=1;UNTIL=20270101T000000Z', 'recurrence.count_and_until'],
                'no step' => ['FREQ=DAILY;INTERVAL=0', 'recurrence.number'],
                'a number in a week' => ['FREQ=WEEKLY;BYDAY=1FR', 'recurrence.day_number'],
                'an end without time' => ['FREQ=DAILY;UNTIL=20270101', 'recurrence.until'],
                'never' => ['FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30', 'recurrence.never'],
                'twice' => ['FREQ=DAILY;FREQ=DAILY', 'recurrence.part'],
                'no frequency' => ['INTERVAL=2', 'recurrence.part'],
                'weeks of a month' => ['FREQ=MONTHLY;BYWEEKNO=2', 'recurrence.part'],
                'places of nothing' => ['FREQ=DAILY;BYSETPOS=1', 'recurrence.part'],
            ] as $what => [$rule, $code]
        ) {
            yield $what => [$start + ['rrule' => $rule], $code, '/rrule'];
        }
        yield 'another day' => [$start + ['rrule' => 'FREQ=WEEKLY;BYDAY=MO'], 'recurrence.start', '/start'];
        yield 'an end before' => [['end' => '09:00', 'days' => 0] + $start, 'schedule.end_before', '/end'];
        yield 'no time' => [['end' => '24:01'] + $start, 'time.of_day', '/end'];
        yield 'no day' => [['start' => '2026-02-30T09:00'] + $start, 'time.civil', '/start'];
    }

    /** @param array<string, mixed> $entry */
    #[DataProvider('wrong')]
    public function testSaysWhatIsWrong(array $entry, string $code, string $path): void
    {
        try {
            Windows::parse(Input::of($entry));
            self::fail('it was taken');
        } catch (Refusal $refusal) {
            self::assertSame([$code, $path], [$refusal->refusalCode, $refusal->path]);
        }
    }

    public function testNamesTheFirstDateThatTheRuleHas(): void
    {
        $this->expectExceptionMessage('2026-03-20T09:00:00');
        try {
            Recurrence::parse(Input::of(['start' => '2026-03-20T09:00', 'rrule' => 'FREQ=MONTHLY;BYDAY=-1FR']));
        } catch (Refusal $refusal) {
            self::assertStringContainsString('2026-03-27T09:00:00', $refusal->mend());
            throw $refusal;
        }
    }

    /**
     * @param array<string, mixed> $entry
     *
     * @return list<array{string, string}> those that overlap the days from one on, in that zone
     */
    private static function windows(array $entry, string $zone, string $day, int $days = 1): array
    {
        $zone = new ZoneTime(new \DateTimeZone($zone));
        $from = $zone->instant((int) strtotime("$day UTC"));
        $until = $zone->instant((int) strtotime("$day UTC") + $days * 86_400);
        $windows = iterator_to_array(Windows::parse(Input::of($entry))->over($from, $until, $zone), false);

        return array_map(
            static fn (array $one) => [Instant::written($one['from_s']), Instant::written($one['until_s'])],
            $windows,
        );
    }

    private static function ms(string $instant): int
    {
        return Instant::parse(Input::of($instant)) * 1000;
    }

    private static function dashed(string $basic): string
    {
        return (string) preg_replace('/^(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)(\d\d)$/', '$1-$2-$3T$4:$5:$6', $basic);
    }
}
