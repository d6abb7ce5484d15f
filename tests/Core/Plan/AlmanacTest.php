<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan;

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

    private static function almanac(string $instant): Almanac
    {
        return Almanac::of(new \DateTimeZone('Europe/London'), 1000 * (int) strtotime($instant));
    }
}
