<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Time;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Time\Edges;
use UpperPane\Core\Time\Midnights;
use UpperPane\Core\Time\Order;
use UpperPane\Core\Time\Orders;

/** Shuffled and random lists (model §6): the same everywhere, and nothing twice in a row. */
final class OrdersTest extends TestCase
{
    private const ENTRIES = ['e1', 'e2', 'e3', 'e4', 'e5'];
    private const DAY = 86_400_000;

    /** Python's hashlib: SHA-256 (hex, ascending) of `z-list/2026-12-01/e1` …, and with the number of the pass. */
    public function testFollowFromTheNamesAlone(): void
    {
        $first = self::ms('2026-12-01T00:00:00Z');
        $orders = fn (Order $order): array => self::orders($order)->toArray()['orders'];

        self::assertSame([[[4, 0, 2, 1, 3]], [[0, 1, 2, 4, 3]]], array_slice($orders(Order::Shuffled), 0, 2));
        self::assertSame([
            [0, 3, 2, 4, 1], [1, 0, 4, 3, 2], [4, 3, 2, 1, 0], [0, 4, 3, 1, 2],
            [3, 0, 1, 4, 2], [4, 1, 0, 2, 3], [3, 1, 4, 2, 0], [0, 3, 4, 1, 2],
        ], $orders(Order::Random)[0]);
        self::assertSame($first, self::orders(Order::Random)->toArray()['from_ms'][0]);
    }

    /** Over two days of passes of 25 s: each a permutation of those that are on, and none follows itself. */
    public function testNothingPlaysTwiceInARow(): void
    {
        $first = self::ms('2026-12-01T00:00:00Z');
        foreach ([[0, 1, 2, 3, 4], [1, 2, 4], [0, 3], [2]] as $set) {
            $last = null;
            $before = null;
            $pairs = [];
            for ($pass = 0; $pass < 6912; ++$pass) {
                $from = $first + 25_000 * $pass;
                $order = self::orders(Order::Random)->pass($set, $pass, $from, $before);
                $sorted = $order;
                sort($sorted);
                self::assertSame($set, $sorted);
                if (count($set) > 1) {
                    self::assertNotSame($last, $order[0], "pass $pass");
                }
                [$last, $before] = [$order[count($order) - 1], $from];
                $pairs[implode(',', $order)] = true;
            }
            self::assertGreaterThanOrEqual(count($set) < 3 ? 1 : 5, count($pairs));
        }
    }

    /** Walked from its beginning, entry by entry, and asked at any instant, it is the same; the day's change counts. */
    public function testAsksAsItPlays(): void
    {
        mt_srand(20261203);
        $ms = [7000, 11_000, 5000, 13_000, 9000];
        $first = self::ms('2026-12-01T00:00:00Z');
        foreach ([Order::Shuffled, Order::Random] as $order) {
            $on = [null, null, [['from_ms' => $first + 3_600_000, 'until_ms' => $first + 90_000_000]], null, null];
            $edges = Edges::over($ms, $on, array_fill(0, 5, false), $first)->ordered(self::orders($order));
            $began = $first + 1_234_567;
            [$at, $set, $runs, $pass, $before] = [$began, $edges->setAt($began), $began, 0, null];
            while ($at < $first + 2 * self::DAY) {
                $places = $edges->sets()[$set];
                foreach (self::orders($order)->pass($places, $pass, $at, $before) as $place) {
                    $instant = $at + mt_rand(0, $ms[$place] - 1);
                    $run = $edges->run($began, $edges->setAt($began), $instant);
                    self::assertSame(
                        ['index' => $place, 'since_ms' => $instant - $at, 'left_ms' => $at + $ms[$place] - $instant],
                        $edges->showing($run, $instant),
                    );
                    $at += $ms[$place];
                    if ($edges->setAt($at) !== $set) {
                        [$set, $runs, $pass, $before] = [$edges->setAt($at), $at, -1, null];
                        break;
                    }
                }
                $cycle = array_sum(array_map(static fn (int $place) => $ms[$place], $edges->sets()[$set]));
                $before = ++$pass === 0 ? null : $runs + ($pass - 1) * $cycle;
            }
        }
    }

    private static function orders(Order $order): Orders
    {
        static $known = [];
        $zone = new \DateTimeZone('Europe/London');
        $first = self::ms('2026-12-01T00:00:00Z');
        $days = Midnights::over($zone, $first, $first + 8 * self::DAY);

        return $known[$order->value] ??= Orders::by($order, 'z-list', self::ENTRIES, $days, $zone);
    }

    private static function ms(string $instant): int
    {
        return 1000 * (int) strtotime($instant);
    }
}
