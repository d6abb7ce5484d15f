<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Time;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Time\Edges;
use UpperPane\Core\Time\Orders;
use UpperPane\Core\Time\Timeline;

/** Lists with hours (model §6): walking the edges finds what stepping from entry to entry finds. */
final class EdgesTest extends TestCase
{
    /**
     * 600 random lists with hours, at every instant of a stretch: by brute force an entry is played to its end, and
     * there the next of the same set follows, or the first of another.
     */
    public function testIsWhatSteppingFinds(): void
    {
        mt_srand(20261202);
        for ($round = 0; $round < 600; ++$round) {
            [$ms, $on, $alone] = self::random();
            $edges = Edges::over($ms, $on, $alone, 0);
            $startMs = mt_rand(0, 40);
            $isOn = static fn (int $place, int $at): bool => $on[$place] === null || array_filter(
                $on[$place],
                static fn (array $stretch) => $stretch['from_ms'] <= $at && $at < $stretch['until_ms'],
            ) !== [];
            $setAt = static function (int $at) use ($ms, $alone, $isOn): array {
                $set = array_values(array_filter(array_keys($ms), static fn (int $place) => $isOn($place, $at)));
                $only = array_values(array_filter($set, static fn (int $place) => $alone[$place]));

                return $only === [] ? $set : $only;
            };
            $played = self::stepped($ms, $setAt, $startMs, 160);
            foreach ($played as $at => $wanted) {
                $run = $edges->run($startMs, $edges->setAt($startMs), $at);
                self::assertSame($wanted, $edges->showing($run, $at), "round $round at $at");
            }
            // As an almanac that begins later knows it: what plays there, and the edges from there on.
            $from = $startMs + 50;
            $later = Edges::of($ms, $edges->sets(), self::cut($edges, $from));
            $held = $edges->run($startMs, $edges->setAt($startMs), $from);
            foreach ([50, 51, 60, 99, 159] as $after) {
                $run = $later->run($held['from_ms'], $held['set'], $startMs + $after, $from);
                self::assertSame($played[$startMs + $after], $later->showing($run, $startMs + $after), "round $round");
            }
        }
    }

    /** tests/cases/edges.json, written by stepping, which the player's own walk is held to as well. */
    public function testFindsWhatTheCasesSay(): void
    {
        $file = (string) file_get_contents(\dirname(__DIR__, 2).'/cases/edges.json');
        foreach (json_decode($file, true, 16, \JSON_THROW_ON_ERROR)['cases'] as $case) {
            $hours = $case['hours'];
            $edges = Edges::of($case['ms'], $hours['sets'], Timeline::of(array_map(
                static fn (int $from, int $set) => ['from_ms' => $from, 'value' => $set],
                $hours['from_ms'],
                $hours['set'],
            )))->ordered(
                isset($hours['orders']) ? Orders::of($hours['orders']['from_ms'], $hours['orders']['orders']) : null,
            );
            foreach ($case['at'] as [$at, $index, $since, $left]) {
                $run = $edges->run($case['began_ms'], $edges->setAt($case['began_ms']), $at);
                self::assertSame(
                    $index === null ? null : ['index' => $index, 'since_ms' => $since, 'left_ms' => $left],
                    $edges->showing($run, $at),
                );
            }
        }
    }

    public function testAnEntryIsPlayedToItsEnd(): void
    {
        $edges = Edges::over([10, 10, 4], [null, null, [['from_ms' => 13, 'until_ms' => 40]]], [false, false, true], 0);

        $at = static function (int $at) use ($edges): ?array {
            return $edges->showing($edges->run(0, $edges->setAt(0), $at), $at);
        };
        self::assertSame(['index' => 1, 'since_ms' => 9, 'left_ms' => 1], $at(19), 'the running one ends');
        self::assertSame(['index' => 2, 'since_ms' => 0, 'left_ms' => 4], $at(20), 'then the alert alone');
        self::assertSame(['index' => 2, 'since_ms' => 3, 'left_ms' => 1], $at(39));
        self::assertSame(['index' => 0, 'since_ms' => 0, 'left_ms' => 10], $at(40), 'the others from the first');
        self::assertSame(
            ['from_ms' => 20, 'set' => $edges->setAt(20)],
            $edges->run(0, $edges->setAt(0), 40)['before'],
        );
    }

    /**
     * @return array{list<int>, list<?list<array{from_ms: int, until_ms: int}>>, list<bool>}
     */
    private static function random(): array
    {
        $ms = $on = $alone = [];
        for ($count = mt_rand(1, 4); $count > 0; --$count) {
            $ms[] = mt_rand(1, 12);
            $alone[] = mt_rand(0, 5) === 0;
            $stretches = [];
            for ($more = mt_rand(0, 4), $at = 0; $more > 0; --$more) {
                $from = $at + mt_rand(0, 30);
                $stretches[] = ['from_ms' => $from, 'until_ms' => $at = $from + mt_rand(1, 40)];
            }
            $on[] = mt_rand(0, 2) === 0 ? null : $stretches;
        }

        return [$ms, $on, $alone];
    }

    /**
     * @param list<int>                $ms
     * @param callable(int): list<int> $setAt
     *
     * @return array<int, ?array{index: int, since_ms: int, left_ms: int}> by instant
     */
    private static function stepped(array $ms, callable $setAt, int $startMs, int $forMs): array
    {
        $played = [];
        $set = null;
        $turn = 0;
        for ($at = $startMs; $at < $startMs + $forMs;) {
            $now = $setAt($at);
            [$turn, $set] = $now === $set ? [($turn + 1) % max(1, count($set)), $set] : [0, $now];
            if ($set === []) {
                $played[$at++] = null;
                continue;
            }
            $index = $set[$turn];
            for ($since = 0; $since < $ms[$index]; ++$since) {
                $played[$at++] = ['index' => $index, 'since_ms' => $since, 'left_ms' => $ms[$index] - $since];
            }
        }

        return array_filter($played, static fn (int $at) => $at < $startMs + $forMs, \ARRAY_FILTER_USE_KEY);
    }

    /** @return Timeline<int> */
    private static function cut(Edges $edges, int $fromMs): Timeline
    {
        return Timeline::of([
            ['from_ms' => $fromMs, 'value' => $edges->setAt($fromMs)],
            ...array_values(array_filter(
                $edges->timeline()->steps(),
                static fn (array $step) => $step['from_ms'] > $fromMs,
            )),
        ]);
    }
}
