<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Plan\Almanac;

/** The days and clocks ahead of a site: London's summer time began on 29 March 2026 at 01:00 UTC (docs/checks.md). */
final class AlmanacTest extends TestCase
{
    public function testKnowsTheClocksOfTheDaysAhead(): void
    {
        $almanac = self::almanac('2026-03-01T09:30:00Z')->toArray();
        $ms = static fn (string $instant): int => 1000 * (int) strtotime($instant);

        self::assertSame([$ms('2026-03-01T00:00:00Z'), $ms('2026-04-05T00:00:00Z')], [
            $almanac['from_ms'],
            $almanac['until_ms'],
        ]);
        self::assertSame([
            ['from_ms' => $ms('2026-03-01T00:00:00Z'), 'offset_s' => 0],
            ['from_ms' => $ms('2026-03-29T01:00:00Z'), 'offset_s' => 3600],
        ], $almanac['offsets']);
        self::assertSame($ms('2026-03-29T00:00:00Z'), $almanac['days'][28]);
        self::assertSame($ms('2026-03-29T23:00:00Z'), $almanac['days'][29], 'a day of 23 hours');
    }

    public function testIsTheSameAllDayAndAnotherOnTheNext(): void
    {
        $morning = self::almanac('2026-03-28T00:00:00Z')->sha256();
        self::assertSame($morning, self::almanac('2026-03-28T23:59:59Z')->sha256());
        self::assertNotSame($morning, self::almanac('2026-03-29T00:00:00Z')->sha256());
        [$first, $last] = [self::almanac('2026-03-29T00:00:00Z'), self::almanac('2026-03-29T22:59:59Z')];
        self::assertSame($first->sha256(), $last->sha256());
    }

    /** Both changes of a year, to the second, and the day that they make longer or shorter. */
    #[DataProvider('changes')]
    public function testKnowsEveryChange(string $zone, string $change, int $before, int $after): void
    {
        $at = 1000 * (int) strtotime($change);
        $almanac = self::almanac(gmdate('c', intdiv($at, 1000) - 86_400), $zone)->toArray();
        ['days' => $days, 'offsets' => $offsets] = $almanac;
        $holds = static fn (int $ms): int => array_reverse(
            array_filter($offsets, static fn (array $one) => $one['from_ms'] <= $ms),
        )[0]['offset_s'];
        $day = array_values(array_filter([0, 1, 2], static fn (int $day) => $days[$day + 1] > $at))[0];

        self::assertSame([$before, $after], [$holds($at - 1), $holds($at)]);
        self::assertSame(86_400 + $before - $after, intdiv($days[$day + 1] - $days[$day], 1000));
    }

    /** @return iterable<string, array{string, string, int, int}> tz database, as in docs/checks.md */
    public static function changes(): iterable
    {
        yield 'London in spring' => ['Europe/London', '2026-03-29T01:00:00Z', 0, 3600];
        yield 'London in autumn' => ['Europe/London', '2026-10-25T01:00:00Z', 3600, 0];
        yield 'New York in spring' => ['America/New_York', '2026-03-08T07:00:00Z', -18_000, -14_400];
        yield 'New York in autumn' => ['America/New_York', '2026-11-01T06:00:00Z', -14_400, -18_000];
        yield 'Lord Howe in spring' => ['Australia/Lord_Howe', '2026-10-03T15:30:00Z', 37_800, 39_600];
        yield 'Lord Howe in autumn' => ['Australia/Lord_Howe', '2026-04-04T15:00:00Z', 39_600, 37_800];
    }

    private static function almanac(string $instant, string $zone = 'Europe/London'): Almanac
    {
        return Almanac::of(new \DateTimeZone($zone), 1000 * (int) strtotime($instant));
    }
}
