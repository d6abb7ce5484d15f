<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Plan\ListDates;

/** Lists with days and hours from almanac to almanac (model §6, §11). */
final class ListDatesTest extends TestCase
{
    private const DAY = 86_400_000;
    private const MS = [40_000, 25_000, 7000];

    /**
     * A film of 40 s and a picture of 25 s all day, a notice of 7 s from 09:00 to 17:00 on weekdays: in London, over
     * the change of the clocks on 29 March 2026, 01:00 UTC (docs/checks.md).
     */
    public function testChangesAtTheSitesOwnHours(): void
    {
        $list = self::dates('2026-03-27T00:00:00Z', [])['z'];
        $began = self::ms('2026-03-27T06:00:00Z');
        $at = static fn (string $instant): ?int => $list->showing($began, self::ms($instant))['index'] ?? null;

        // 09:00:00 is 3 h after 06:00, 10 s into the film of the cycle of 65 s; it is played to its end.
        self::assertSame([0, 0], [$at('2026-03-27T09:00:00Z'), $at('2026-03-27T09:00:29Z')]);
        self::assertSame([0, 1, 2, 0], array_map($at, [
            '2026-03-27T09:00:30Z',
            '2026-03-27T09:01:10Z',
            '2026-03-27T09:01:35Z',
            '2026-03-27T09:01:42Z',
        ]));
        $notices = static function (string $from, string $until) use ($list, $began): bool {
            for ($ms = self::ms($from); $ms < self::ms($until); $ms += 1000) {
                if (($list->showing($began, $ms)['index'] ?? null) === 2) {
                    return true;
                }
            }

            return false;
        };
        self::assertFalse($notices('2026-03-28T09:00:00Z', '2026-03-28T17:00:00Z'), 'a Saturday');
        self::assertTrue($notices('2026-03-30T08:00:00Z', '2026-03-30T08:03:00Z'), 'nine in summer time');
        self::assertFalse($notices('2026-03-30T16:02:00Z', '2026-03-30T17:00:00Z'));
    }

    /**
     * Renewed each day for a month, each from the one before, it plays what one almanac of all these days plays: also
     * what began long before, and though none of them looks back.
     */
    #[TestWith(['listed'])]
    #[TestWith(['shuffled'])]
    #[TestWith(['random'])]
    public function testARenewedOneGoesOn(string $order): void
    {
        $first = self::ms('2026-03-10T00:00:00Z');
        $began = $first - 3 * self::DAY - 12_345;
        $whole = self::dates('2026-03-10T00:00:00Z', [$began], [], $order)['z'];
        $list = $whole;
        for ($day = 1; $day < 30; ++$day) {
            $midnight = gmdate('c', intdiv($first + $day * self::DAY, 1000));
            $list = self::dates($midnight, [$began], ['z' => self::sealed($list, $order)], $order)['z'];
            foreach ([0, 7_000, 32_400_000, 32_417_000, 61_200_000, 61_230_000, self::DAY - 1] as $after) {
                $at = $first + $day * self::DAY + $after;
                self::assertSame($whole->showing($began, $at), $list->showing($began, $at), "day $day, $after");
            }
        }
    }

    /** Of a plan whose lists are on all day there is nothing to know, nor of one of before there were scenes. */
    public function testMostListsHaveNone(): void
    {
        $plan = self::plan();
        unset($plan['scenes']['s']['zones'][0]['items'][2]['when']);
        $zone = new \DateTimeZone('Europe/London');

        self::assertSame([], ListDates::ofPlan($plan, [], $zone, 0, self::DAY));
        self::assertSame([], ListDates::ofPlan(['plan' => 1], [], $zone, 0, self::DAY));
    }

    /** As it comes back from where it lies. */
    private static function sealed(ListDates $list, string $order): ListDates
    {
        return ListDates::sealed(self::plan($order), ListDates::all(['z' => $list]))['z'];
    }

    /**
     * @param list<int>                $showing
     * @param array<string, ListDates> $before
     *
     * @return array<string, ListDates>
     */
    private static function dates(string $from, array $showing, array $before = [], string $order = 'listed'): array
    {
        $fromMs = self::ms($from);

        return ListDates::ofPlan(
            self::plan($order),
            $showing,
            new \DateTimeZone('Europe/London'),
            $fromMs,
            $fromMs + 35 * self::DAY,
            $before,
        );
    }

    /** @return array<string, mixed> */
    private static function plan(string $order = 'listed'): array
    {
        $when = ['start' => '2026-03-02T09:00:00', 'end' => '17:00', 'rrule' => 'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR'];
        $items = array_map(static fn (int $ms) => ['entry' => "e$ms", 'ms' => $ms], self::MS);
        $items[2] += ['when' => $when];

        return [
            'plan' => 2,
            'scenes' => ['s' => ['zones' => [
                ['id' => 'z', 'runs_on' => false, 'cycle_ms' => 72_000, 'order' => $order, 'items' => $items],
            ]]],
            'round' => ['scenes' => [['scene' => 's', 'ms' => null]], 'cycle_ms' => null],
        ];
    }

    private static function ms(string $instant): int
    {
        return 1000 * (int) strtotime($instant);
    }
}
