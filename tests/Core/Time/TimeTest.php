<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Time;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Plan\RoundPlan;
use UpperPane\Core\Time\CivilTime;
use UpperPane\Core\Time\ClockNames;
use UpperPane\Core\Time\ClockPattern;
use UpperPane\Core\Time\CountPattern;
use UpperPane\Core\Time\Cycles;
use UpperPane\Core\Time\OffsetTable;
use UpperPane\Core\Time\Playlist;

final class TimeTest extends TestCase
{
    /** The model's check (§6): N = 2, a b c d e with x y; joint period 30 entries. */
    public function testInterleaves(): void
    {
        $playlist = Playlist::of(self::entries('abcde', 1000), self::entries('xy', 10), 2);

        self::assertSame('abxcdyeaxbcydex', implode('', array_slice($playlist->sequence(), 0, 15)));
        self::assertSame(30, $playlist->periodEntries());
        self::assertSame(20 * 1000 + 10 * 10, $playlist->periodMs());
    }

    /** An entry holds from its start up to, not including, its end, in every round. */
    public function testFindsWhatShowsAtAnInstant(): void
    {
        $playlist = Playlist::of([['id' => 'a', 'ms' => 10_000], ['id' => 'b', 'ms' => 5000]]);
        foreach (
            [
                [0, 'a', 10_000],
                [9999, 'a', 1],
                [10_000, 'b', 5000],
                [14_999, 'b', 1],
                [15_000 * 7 + 3, 'a', 9997],
            ] as [$t, $entry, $left]
        ) {
            self::assertSame([$entry, $left], [$playlist->at($t)['entry'], $playlist->at($t)['left_ms']]);
        }
        self::assertNull(Playlist::of([])->at(5)['entry']);
    }

    /** The sequence walked step by step says the same as asking for the instant. */
    public function testSequenceAndInstantAgree(): void
    {
        $playlist = Playlist::of(
            [['id' => 'a', 'ms' => 7], ['id' => 'b', 'ms' => 3], ['id' => 'c', 'ms' => 5]],
            [['id' => 'x', 'ms' => 2]],
            2,
        );
        $ms = ['a' => 7, 'b' => 3, 'c' => 5, 'x' => 2];
        $t = 0;
        foreach ($playlist->sequence() as $entry) {
            self::assertSame($entry, $playlist->at($t)['entry']);
            $t += $ms[$entry];
        }
        self::assertSame($t, $playlist->periodMs());
    }

    /**
     * A period beyond 64 bits is not said, and what shows is found all the same: where all entries are of one length d,
     * the entry at t is the one of step ⌊t ÷ d⌋.
     */
    public function testFindsWhatShowsInAPeriodBeyond64Bits(): void
    {
        $week = 604_800_000;
        $list = static fn (string $name, int $count) => array_map(
            static fn (int $i) => ['id' => "$name$i", 'ms' => $week],
            range(0, $count - 1),
        );
        $playlist = Playlist::of($list('a', 9973), $list('b', 9967), 9949);

        self::assertNull($playlist->periodMs());
        self::assertSame($week * 9973, $playlist->cycleMs());
        foreach ([0, 9948, 9949, 9950, 123_456_789, 15_000_000_000] as $step) {
            $round = intdiv($step, 9950);
            $expected = $step % 9950 === 9949 ? 'b'.$round % 9967 : 'a'.($round * 9949 + ($step % 9950)) % 9973;
            self::assertSame(
                ['entry' => $expected, 'since_ms' => 5, 'left_ms' => $week - 5],
                $playlist->at($step * $week + 5),
            );
        }
    }

    /** What is found by halving is what walking from the start finds, on random lists. */
    public function testFindsWhatWalkingFinds(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $list = static fn (string $name, int $most) => array_map(
            static fn (int $i) => ['id' => "$name$i", 'ms' => $random->getInt(1, 90)],
            range(1, $random->getInt(1, $most)),
        );
        for ($try = 0; $try < 40; ++$try) {
            $playlist = Playlist::of($list('a', 7), $try % 4 === 0 ? [] : $list('b', 4), $random->getInt(1, 5));
            $t = 0;
            foreach ($playlist->sequence() as $entry) {
                $now = $playlist->at($t);
                self::assertSame([$entry, 0], [$now['entry'], $now['since_ms']]);
                $later = $playlist->at($t + $now['left_ms'] - 1);
                self::assertSame([$entry, 1], [$later['entry'], $later['left_ms']]);
                $t += $now['left_ms'];
            }
            self::assertSame($t, $playlist->periodMs());
        }
    }

    /** tests/cases/phase.json, which the player's own search is held to as well. */
    public function testAgreesWithThePlayerOnPhase(): void
    {
        foreach (self::cases('phase') as $case) {
            $entries = array_map(
                static fn (int $i, int $ms) => ['id' => "e$i", 'ms' => $ms],
                array_keys($case['ms']),
                $case['ms'],
            );
            $now = Playlist::of($entries)->at($case['t_ms']);
            self::assertSame(
                ["e{$case['index']}", $case['since_ms'], $case['left_ms']],
                [$now['entry'], $now['since_ms'], $now['left_ms']],
            );
            $scene = RoundPlan::of(
                array_map(static fn (array $entry) => ['scene' => $entry['id'], 'ms' => $entry['ms']], $entries),
            )->at($case['t_ms']);
            self::assertSame(
                [$case['index'], $case['since_ms'], $case['left_ms']],
                [$scene['index'], $scene['since_ms'], $scene['left_ms']],
            );
        }
    }

    /**
     * tests/cases/clocks.json: what the plan carries of a clock; the player's text from it is held to the same cases.
     */
    public function testAgreesWithThePlayerOnClocks(): void
    {
        foreach (self::cases('clocks') as $case) {
            self::assertSame($case['tokens'], ClockPattern::parse(Input::of($case['pattern']))->tokens);
            $offsets = OffsetTable::over(new \DateTimeZone($case['zone']), $case['now_ms'], $case['now_ms'] + 1000);
            self::assertSame($case['offset_s'], $offsets[0]['offset_s'] ?? null, "{$case['zone']} {$case['now_ms']}");
        }
    }

    /** tests/cases/counts.json, written by Python's divmod: the core's text; the player's is held to the same cases. */
    public function testAgreesWithThePlayerOnCounts(): void
    {
        foreach (self::cases('counts') as $case) {
            $pattern = CountPattern::parse(Input::of($case['pattern']));
            self::assertSame($case['tokens'], $pattern->tokens);
            self::assertSame($case['text'], $pattern->text($case['seconds']), $case['pattern']);
            self::assertGreaterThanOrEqual(
                strlen($case['text']),
                strlen($pattern->candidates($case['seconds'])[0]),
                'it is measured as long as it gets',
            );
        }
    }

    /** What comes twice is the first, what never comes is as before the change (RFC 5545 §3.3.5; checks.md). */
    public function testCivilTimesAreInstants(): void
    {
        foreach (
            [
                ['Europe/Berlin', '2026-03-29T02:30', '2026-03-29T01:30:00Z'],
                ['Europe/Berlin', '2026-10-25T02:30', '2026-10-25T00:30:00Z'],
                ['America/New_York', '2007-11-04T01:30:00', '2007-11-04T05:30:00Z'],
                ['Australia/Lord_Howe', '2026-10-04T02:15', '2026-10-03T15:45:00Z'],
                ['Europe/London', '2026-07-01T12:00', '2026-07-01T11:00:00Z'],
            ] as [$zone, $civil, $instant]
        ) {
            self::assertSame(
                (new \DateTimeImmutable($instant))->getTimestamp() * 1000,
                CivilTime::parse(Input::of($civil))->instantMs(new \DateTimeZone($zone)),
                "$civil in $zone",
            );
        }
        foreach (['2026-02-30T10:00', '2026-12-24', '2026-12-24T24:00', '24 December'] as $none) {
            try {
                CivilTime::parse(Input::of($none));
                self::fail($none);
            } catch (Refusal $refusal) {
                self::assertSame('time.civil', $refusal->refusalCode);
            }
        }
    }

    /** Quoted texts as ICU reads them (IntlDateFormatter). */
    public function testReadsQuotesAsIcuDoes(): void
    {
        $at = new \DateTimeImmutable('2026-03-14T09:05:00Z');
        foreach (["HH '0'mm", "''''HH", "'0'HH", "HH''mm", "'It''s' HH", "'''tis' HH", "HH 'o''clock'"] as $pattern) {
            $written = implode(
                '',
                array_map(
                    static fn (array $token) => $token['text'] ?? ['HH' => '09', 'mm' => '05'][$token['field']],
                    ClockPattern::parse(Input::of($pattern))->tokens,
                ),
            );
            self::assertSame(
                \IntlDateFormatter::create('en_GB', -1, -1, 'UTC', null, $pattern)?->format($at),
                $written,
                $pattern,
            );
        }
    }

    public function testFindsWhenCyclesMeetAndWhatASceneCuts(): void
    {
        self::assertSame(120_000, Cycles::periodMs([15_000, 40_000]));
        self::assertNull(Cycles::periodMs([604_799_999, 604_799_998]), 'longer than seven days');
        self::assertSame(
            [['zone' => 'B', 'entry' => 0, 'entry_left_ms' => 20_000, 'cycle_left_ms' => 20_000]],
            Cycles::cutAt(['A' => [5000, 5000, 5000], 'B' => [40_000]], 60_000),
        );
        self::assertSame([], Cycles::cutAt(['A' => [3000, 5000]], 11_000), 'the first entry ends with the scene');
    }

    /** The texts among which the widest is sought hold every value that each field can show. */
    public function testTriesEveryValueOfAClock(): void
    {
        $shown = static fn (string $pattern) => ClockPattern::parse(Input::of($pattern))->candidates();
        $digits = array_map(strval(...), range(0, 9));
        $days = ClockNames::WEEKDAYS;

        self::assertSame(array_map(static fn (string $digit) => "$digit$digit", $digits), $shown('HH'));
        self::assertSame(array_map(static fn (string $digit) => str_repeat($digit, 4), $digits), $shown('yyyy'));
        self::assertSame($days, $shown('EEEE'));
        self::assertSame(ClockNames::WEEKDAYS_SHORT, $shown('EEE'));
        self::assertSame(ClockNames::MONTHS, $shown('MMMM'));
        self::assertSame(ClockNames::MONTHS_SHORT, $shown('MMM'));
        self::assertSame(['am', 'pm'], $shown('a'));
        self::assertCount(7 * 10, $shown("EEEE 'at' HH"));
        self::assertContains('Wednesday at 88', $shown("EEEE 'at' HH"));
    }

    public function testReadsClockPatterns(): void
    {
        self::assertSame(
            [
                ['field' => 'EEEE'],
                ['text' => ' '],
                ['field' => 'HH'],
                ['text' => ':'],
                ['field' => 'mm'],
                ['text' => ' '],
                ['text' => "o'clock"],
            ],
            ClockPattern::parse(Input::of("EEEE HH:mm 'o''clock'"))->tokens,
        );
        $this->expectException(Refusal::class);
        ClockPattern::parse(Input::of('HH:QQ'));
    }

    /**
     * Summer time in London begins on 29 March 2026, 01:00 UTC (EU rule, Directive 2000/84/EC; PHP's own zone data).
     */
    public function testListsOffsetChanges(): void
    {
        $from = (int) gmmktime(0, 0, 0, 3, 20, 2026) * 1000;

        self::assertSame(
            [
                ['from_ms' => $from, 'offset_s' => 0],
                ['from_ms' => (int) gmmktime(1, 0, 0, 3, 29, 2026) * 1000, 'offset_s' => 3600],
            ],
            OffsetTable::over(new \DateTimeZone('Europe/London'), $from, $from + 14 * 86_400_000),
        );
    }

    /** Names that PHP's own zone data answers nothing for: as ICU has them, in summer and winter. */
    public function testKnowsZonesThatAreAbbreviations(): void
    {
        foreach (['CET', 'EET', 'MET', 'WET', 'EST', 'MST', 'HST', 'GMT', 'UCT', 'UTC'] as $name) {
            foreach (['2026-01-15', '2026-07-15'] as $day) {
                $ms = (int) strtotime("$day 12:00 UTC") * 1000;
                \IntlTimeZone::createTimeZone($name)?->getOffset((float) $ms, false, $raw, $summer);
                self::assertSame(
                    intdiv($raw + $summer, 1000),
                    OffsetTable::over(new \DateTimeZone($name), $ms, $ms + 60_000)[0]['offset_s'] ?? null,
                    "$name, $day",
                );
            }
        }
    }

    /** @return list<array<string, mixed>> */
    private static function cases(string $name): array
    {
        return json_decode(
            (string) file_get_contents(\dirname(__DIR__, 2)."/cases/$name.json"),
            true,
            16,
            \JSON_THROW_ON_ERROR,
        )['cases'];
    }

    /** @return list<array{id: string, ms: int}> */
    private static function entries(string $ids, int $ms): array
    {
        return array_map(static fn (string $id) => ['id' => $id, 'ms' => $ms], str_split($ids));
    }
}
