<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Schedule;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Schedule\ReadWhen;
use UpperPane\Core\Schedule\Rule;
use UpperPane\Core\Schedule\SaidWhen;
use UpperPane\Core\Schedule\When;
use UpperPane\Core\Schedule\Windows;
use UpperPane\Core\Schedule\ZoneTime;

/** Our own sentences, both ways: what is said is read again as the same windows (RFC 5545 gives the rules' meaning). */
final class WhenTest extends TestCase
{
    /** Today is Tuesday, 1 December 2026. */
    #[TestWith(['every first Monday, 05:40 to 01:15', '2026-12-07T05:40:00', '01:15', 'FREQ=MONTHLY;BYDAY=1MO'])]
    #[TestWith(['mon-fri 6-9', '2026-12-01T06:00:00', '09:00', 'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR'])]
    #[TestWith(['Sat to Mon 9:30 - 24', '2026-12-05T09:30:00', '24:00', 'FREQ=WEEKLY;BYDAY=MO,SA,SU'])]
    #[TestWith(['every day, all day', '2026-12-01T00:00:00', '24:00', 'FREQ=DAILY'])]
    #[TestWith(['daily 22:00-02:00', '2026-12-01T22:00:00', '02:00', 'FREQ=DAILY'])]
    #[TestWith(['every other day 8-9 from 2027-01-05', '2027-01-05T08:00:00', '09:00', 'FREQ=DAILY;INTERVAL=2'])]
    #[TestWith(['every 2 weeks on tuesday and thursday 8-9', '2026-12-01T08:00:00', '09:00',
        'FREQ=WEEKLY;INTERVAL=2;BYDAY=TU,TH'])]
    #[TestWith(['every month on the 1st, 15th and last day, 8:05 to 8:10', '2026-12-01T08:05:00', '08:10',
        'FREQ=MONTHLY;BYMONTHDAY=1,15,-1'])]
    #[TestWith(['every second and last friday, 20:00 to 2:00, 10 times', '2026-12-11T20:00:00', '02:00',
        'FREQ=MONTHLY;BYDAY=2FR,-1FR;COUNT=10'])]
    #[TestWith(['every year on 24 december, 18:00 to 23:00', '2026-12-24T18:00:00', '23:00',
        'FREQ=YEARLY;BYMONTH=12;BYMONTHDAY=24'])]
    #[TestWith(['every year on the last sunday of october 0-3', '2027-10-31T00:00:00', '03:00',
        'FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU'])]
    #[TestWith(['every wednesday 9-17, until 30 June 2027', '2026-12-02T09:00:00', '17:00',
        'FREQ=WEEKLY;BYDAY=WE;UNTIL=20270630T225959Z'])]
    #[TestWith(['on 2 March 2027, 8:00 to 8:00, 3 days later', '2027-03-02T08:00:00', '08:00', null])]
    public function testReadsWhatPeopleWrite(string $words, string $start, string $end, ?string $rrule): void
    {
        $read = self::read($words)->toArray();

        self::assertSame([$start, $end, $rrule], [$read['start'], $read['end'], $read['rrule'] ?? null]);
    }

    /** 400 random ones: what is said, read again, holds in the same windows and is said alike. */
    public function testWhatIsSaidIsReadAgainAsTheSame(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $pick = static fn (array $of) => $of[$random->getInt(0, count($of) - 1)];
        for ($i = 0; $i < 400; ++$i) {
            $days = array_values(array_filter(Rule::WEEKDAYS, static fn () => $random->getInt(0, 2) === 0)) ?: ['TU'];
            $places = $pick([[1], [-1], [2, 4], [1, 3, -1], [5], [-2]]);
            $interval = $pick(['', '', ';INTERVAL=2', ';INTERVAL=3']);
            $day = $days[0];
            $rule = $pick([
                null,
                "FREQ=DAILY$interval",
                "FREQ=WEEKLY$interval;BYDAY=".implode(',', $days),
                "FREQ=WEEKLY$interval",
                "FREQ=MONTHLY$interval;BYDAY=".implode(',', array_map(static fn (int $place) => $place.$day, $places)),
                "FREQ=MONTHLY$interval;BYMONTHDAY=".$pick(['1', '1,15', '-1', '31', '2,3,12,22,-1']),
                "FREQ=MONTHLY$interval",
                'FREQ=YEARLY;BYMONTH='.$random->getInt(1, 12).';BYMONTHDAY='.$random->getInt(1, 28),
                'FREQ=YEARLY;BYMONTH='.$random->getInt(1, 12).";BYDAY=-1$day",
                'FREQ=YEARLY',
            ]).'';
            $rule .= $rule === '' ? '' : $pick(['', '', ';COUNT=7', ';UNTIL=20290315T235959Z']);
            $at = sprintf('%02d:%02d', $random->getInt(0, 23), 5 * $random->getInt(0, 11));
            $entry = ['start' => sprintf('2026-%02d-%02dT%s', $random->getInt(1, 12), $random->getInt(1, 28), $at)]
                + ['end' => $pick(['05:40', '24:00', '23:59:30', '00:10'])]
                + ($rule === '' ? [] : ['rrule' => $rule])
                + ($random->getInt(0, 5) === 0 ? ['days' => 2] : []);
            try {
                $when = When::parse(Input::of($entry));
            } catch (Refusal $refusal) {
                self::assertSame('recurrence.start', $refusal->refusalCode, $rule);
                $entry['start'] = (string) $refusal->params['first'];
                $when = When::parse(Input::of($entry));
            }
            $said = SaidWhen::of($when, self::zone());
            self::assertIsString($said, $rule);
            $read = ReadWhen::of(Input::of($said), 0, self::zone());

            self::assertSame(self::windows($entry), self::windows($read->toArray()), "$said: $rule");
            self::assertSame($said, SaidWhen::of($read, self::zone()));
        }
    }

    #[TestWith(['FREQ=HOURLY'])]
    #[TestWith(['FREQ=MONTHLY;BYDAY=MO,TU,WE;BYSETPOS=-1'])]
    #[TestWith(['FREQ=WEEKLY;INTERVAL=2;WKST=SU;BYDAY=MO'])]
    #[TestWith(['FREQ=YEARLY;BYMONTH=6'])]
    #[TestWith(['FREQ=YEARLY;BYMONTHDAY=1'])]
    #[TestWith(['FREQ=YEARLY;BYDAY=1MO'])]
    #[TestWith(['FREQ=DAILY;UNTIL=20270101T120000Z'])]
    #[TestWith(['FREQ=MONTHLY;BYMONTHDAY=-3'])]
    public function testWhatNoSentenceSaysIsNotSaid(string $rule): void
    {
        self::assertNull(SaidWhen::of(new When(1_780_272_000, '24:00', null, $rule), self::zone()));
    }

    #[TestWith(['every blue moon, 8 to 9', 'when.words'])]
    #[TestWith(['every first Monday', 'when.times'])]
    #[TestWith(['mon-fri 6-25', 'when.words'])]
    #[TestWith(['mon-fri 24-6', 'when.words'])]
    #[TestWith(['every month on the second Mon-Fri, 8-9', 'when.words'])]
    #[TestWith(['every year on 30 February, 8-9', 'when.never'])]
    #[TestWith(['on 31 June 2027, 8-9', 'when.words'])]
    #[TestWith(['8-9', 'when.words'])]
    #[TestWith(['every day on Monday, 8-9', 'when.words'])]
    public function testSaysWhatItDoesNotUnderstand(string $words, string $code): void
    {
        try {
            self::read($words);
            self::fail("$words was read.");
        } catch (Refusal $refusal) {
            self::assertSame($code, $refusal->refusalCode);
        }
    }

    private static function read(string $words): When
    {
        return ReadWhen::of(Input::of($words), 1_796_083_200, self::zone());
    }

    private static function zone(): ZoneTime
    {
        return ZoneTime::named(Input::of('Europe/London'));
    }

    /**
     * @param array<string, mixed> $entry
     *
     * @return list<array{from_s: int, until_s: int}> over five years
     */
    private static function windows(array $entry): array
    {
        return iterator_to_array(
            Windows::parse(Input::of($entry))->over(1_767_225_600, 1_924_992_000, self::zone()),
            false,
        );
    }
}
