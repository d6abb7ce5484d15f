<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Time;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Time\Timeline;

/** What holds at an instant, against a walk from instant to instant. */
final class TimelineTest extends TestCase
{
    private const FROM = -5;
    private const UNTIL = 60;

    /** tests/cases/timeline.json, which the browser's own lookup is held to as well. */
    public function testIsLookedUpAsTheBrowserDoes(): void
    {
        $cases = json_decode(
            (string) file_get_contents(\dirname(__DIR__, 2).'/cases/timeline.json'),
            true,
            flags: \JSON_THROW_ON_ERROR,
        )['cases'];
        foreach ($cases as ['from_ms' => $froms, 'at_ms' => $at, 'index' => $index, 'next_ms' => $next]) {
            $timeline = Timeline::of(array_map(
                static fn (int $from, int $value) => ['from_ms' => $from, 'value' => $value],
                $froms,
                array_keys($froms),
            ));
            self::assertSame(
                [$index === -1 ? null : $index, $froms[$index] ?? null, $next],
                [$timeline->at($at), $timeline->since($at), $timeline->next($at)],
            );
        }
    }

    public function testHoldsWhatAWalkFinds(): void
    {
        $random = new Randomizer(new Mt19937(18));
        for ($try = 0; $try < 60; ++$try) {
            $steps = self::random($random, $try % 12);
            $timeline = Timeline::of($steps);
            self::assertSame(self::walked($steps), self::values($timeline));
            self::assertSame(self::changes($steps), array_column($timeline->steps(), 'from_ms'), 'no more steps');
            for ($at = self::FROM; $at < self::UNTIL; ++$at) {
                $next = $timeline->next($at);
                $same = range($at, ($next ?? self::UNTIL) - 1);
                self::assertSame([$timeline->at($at)], array_unique(array_map($timeline->at(...), $same)));
            }
        }
    }

    public function testCutsAndRanks(): void
    {
        $random = new Randomizer(new Mt19937(19));
        for ($try = 0; $try < 60; ++$try) {
            $ranks = array_map(
                static fn () => Timeline::of(self::random($random, $random->getInt(0, 8))),
                range(1, $random->getInt(1, 4)),
            );
            $first = array_fill(self::FROM, self::UNTIL - self::FROM, null);
            foreach (array_reverse($ranks) as $rank) {
                foreach (self::values($rank) as $at => $value) {
                    $first[$at] = $value ?? $first[$at];
                }
            }
            $ranked = Timeline::ranked($ranks);
            self::assertSame($first, self::values($ranked));
            [$from, $until] = [$random->getInt(self::FROM, 50), $random->getInt(self::FROM, 50)];
            foreach ($first as $at => $value) {
                $first[$at] = $from <= $at && $at < $until ? $value : null;
            }
            self::assertSame($first, self::values($ranked->cut($from, $until)));
            self::assertEquals($ranked, Timeline::ranked([$ranked, ...$ranks]), 'ranked once more, nothing changes');
        }
    }

    public function testHoldsNothingBetweenStretches(): void
    {
        $timeline = Timeline::ofStretches([
            ['from_ms' => 3, 'until_ms' => 5, 'value' => 'a'],
            ['from_ms' => 5, 'until_ms' => 6, 'value' => 'b'],
            ['from_ms' => 9, 'until_ms' => null, 'value' => 'b'],
        ]);
        self::assertSame(
            [null, 'a', 'a', 'b', null, null, null, 'b'],
            array_map($timeline->at(...), [2, 3, 4, 5, 6, 7, 8, 9]),
        );
        self::assertNull($timeline->next(9));
    }

    /** @return list<array{from_ms: int, value: ?int}> in rising order, at instants of their own */
    private static function random(Randomizer $random, int $count): array
    {
        $instants = $count === 0 ? [] : $random->pickArrayKeys(array_flip(range(0, 50)), $count);

        return array_map(static function (int $at) use ($random) {
            $value = $random->getInt(0, 2);

            return ['from_ms' => $at, 'value' => $value === 0 ? null : $value];
        }, $instants);
    }

    /**
     * @param list<array{from_ms: int, value: ?int}> $steps
     *
     * @return array<int, ?int>
     */
    private static function walked(array $steps): array
    {
        $held = null;
        $values = [];
        for ($at = self::FROM; $at < self::UNTIL; ++$at) {
            foreach ($steps as $step) {
                $held = $step['from_ms'] === $at ? $step['value'] : $held;
            }
            $values[$at] = $held;
        }

        return $values;
    }

    /**
     * @param list<array{from_ms: int, value: ?int}> $steps
     *
     * @return list<int>
     */
    private static function changes(array $steps): array
    {
        $values = self::walked($steps);

        return array_values(array_filter(
            array_keys($values),
            static fn (int $at) => $at > self::FROM && $values[$at] !== $values[$at - 1],
        ));
    }

    /**
     * @param Timeline<?int> $timeline
     *
     * @return array<int, ?int>
     */
    private static function values(Timeline $timeline): array
    {
        $values = [];
        for ($at = self::FROM; $at < self::UNTIL; ++$at) {
            $values[$at] = $timeline->at($at);
        }

        return $values;
    }
}
