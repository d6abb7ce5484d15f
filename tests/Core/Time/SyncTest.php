<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Time;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Time\Sync;
use UpperPane\Core\Time\Unequal;

/** Zones that step with one that leads (model §6), held to a count by hand. */
final class SyncTest extends TestCase
{
    /** Model §6: the joint cycle is the leader's × lcm(counts) ÷ its count when wrapping. */
    public function testWrappingMeetsWhenEveryCountIsThrough(): void
    {
        $sync = Sync::of([5000, 3000], ['B' => 3, 'C' => 4], Unequal::Wrap);

        self::assertSame([12, 48_000], [$sync->periodSteps(), $sync->cycleMs()]);
        self::assertSame(
            [0, 1, 2, 0, 1, 2, 0, 1, 2, 0, 1, 2],
            array_column(array_column($sync->steps(), 'followers'), 'B'),
        );
    }

    /**
     * With pointers that go on by one at each step: for 300 random groups the joint cycle is the first step at which
     * all stand at their beginning again, and what no pointer came to is never shown.
     */
    public function testIsWhatPointersCount(): void
    {
        mt_srand(20261201);
        for ($round = 0; $round < 300; ++$round) {
            $leader = array_map(static fn () => mt_rand(1, 9) * 500, range(1, mt_rand(1, 6)));
            $followers = ['B' => mt_rand(0, 7), 'C' => mt_rand(0, 7)];
            $unequal = Unequal::cases()[mt_rand(0, 2)];
            $sync = Sync::of($leader, $followers, $unequal);
            $steps = $sync->steps();
            $reached = ['B' => [], 'C' => []];
            [$at, $step, $wrapped] = [0, 0, ['B' => 0, 'C' => 0]];
            do {
                $place = $step % count($leader);
                $wanted = ['at_ms' => $at, 'leader' => $place, 'followers' => []];
                foreach ($followers as $name => $count) {
                    $entry = match ($unequal) {
                        Unequal::Wrap => $wrapped[$name],
                        Unequal::Hold => $place < $count ? $place : $count - 1,
                        Unequal::Clear => $place < $count ? $place : null,
                    };
                    $entry = $count === 0 ? null : $entry;
                    $wanted['followers'][$name] = $entry;
                    $reached[$name] += $entry === null ? [] : [$entry => true];
                    $wrapped[$name] = $count === 0 ? 0 : ($wrapped[$name] + 1) % $count;
                }
                self::assertSame($wanted, $steps[$step]);
                $at += $leader[$place];
                $again = ++$step % count($leader) === 0
                    && ($unequal !== Unequal::Wrap || array_sum($wrapped) === 0);
            } while (!$again);

            self::assertSame([$step, $at, $step], [$sync->periodSteps(), $sync->cycleMs(), count($steps)]);
            $never = [];
            foreach ($followers as $name => $count) {
                for ($entry = 0; $entry < $count; ++$entry) {
                    $never = [...$never, ...isset($reached[$name][$entry])
                        ? []
                        : [['follower' => $name, 'entry' => $entry]]];
                }
            }
            self::assertSame($never, $sync->neverShown());
        }
    }

    public function testAtMostSoManyStepsAreListed(): void
    {
        $sync = Sync::of(array_fill(0, 101, 1000), ['B' => 103], Unequal::Wrap);

        self::assertCount(Sync::LONGEST, $sync->steps());
        self::assertSame(101 * 103 * 1000, $sync->cycleMs());
        self::assertSame([], $sync->neverShown());
    }
}
