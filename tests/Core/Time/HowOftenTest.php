<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Time;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Time\HowOften;

/** How often entries begin in an hour (model §6, Frequency), held to counting them one by one. */
final class HowOftenTest extends TestCase
{
    /** 300 random lists, over as many scenes as fill whole hours: by brute force every beginning is counted. */
    public function testIsWhatCountingFinds(): void
    {
        mt_srand(20261203);
        for ($round = 0; $round < 300; ++$round) {
            $turns = array_map(
                static fn () => ['place' => mt_rand(0, 3) ?: null, 'ms' => 1000 * mt_rand(1, 9)],
                range(1, mt_rand(1, 7)),
            );
            // A scene that ends after endMs and comes again after againMs, so that an hour holds a whole number.
            $againMs = [60_000, 120_000, 90_000][mt_rand(0, 2)];
            $endMs = mt_rand(1, intdiv($againMs, 1000)) * 1000;
            $counted = [];
            for ($start = 0; $start < 3_600_000; $start += $againMs) {
                for ($at = $start, $step = 0; $at < $start + $endMs; $at += $turn['ms'], ++$step) {
                    $turn = $turns[$step % count($turns)];
                    if ($turn['place'] !== null) {
                        $counted[$turn['place']] = ($counted[$turn['place']] ?? 0) + 1;
                    }
                }
            }
            $found = array_filter(array_map(
                static fn ($times) => (int) $times->plain(4),
                HowOften::perHour($turns, $endMs, $againMs),
            ));
            ksort($counted);
            ksort($found);
            self::assertSame($counted, $found, "round $round");
        }
    }

    public function testAListThatGoesOnIsCountedOverItsPass(): void
    {
        $turns = [['place' => 0, 'ms' => 7000], ['place' => 1, 'ms' => 7000]];
        self::assertSame('257.1429', HowOften::perHour($turns)[0]->plain(4));
    }
}
