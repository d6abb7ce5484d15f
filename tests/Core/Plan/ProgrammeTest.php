<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Plan\Interval;
use UpperPane\Core\Plan\PlanRef;
use UpperPane\Core\Plan\Programme;

/** What holds when, and what goes on from programme to programme (model §6, §8). */
final class ProgrammeTest extends TestCase
{
    /** tests/cases/programme.json, which the player's own lookup is held to as well. */
    public function testFindsWhatHolds(): void
    {
        $file = (string) file_get_contents(\dirname(__DIR__, 2).'/cases/programme.json');
        /** @var array{intervals: list<array<string, mixed>>, at: list<array{int, string, int}>} $cases */
        $cases = json_decode($file, true, 16, \JSON_THROW_ON_ERROR);
        $programme = self::programme(array_map(
            static fn (array $one) => [$one['from_ms'], $one['until_ms'], $one['plan'], $one['start_ms']],
            $cases['intervals'],
        ));

        foreach ($cases['at'] as [$atMs, $plan, $startMs]) {
            $held = $programme->at($atMs);
            self::assertSame([$plan, $startMs], [$held->plan->name ?? 'idle', $held->startMs ?? 0], "at $atMs ms");
        }
        self::assertEquals($programme, Programme::read($programme->toArray()));
    }

    /** Against the plain search from the front, over 500 random programmes. */
    public function testHalvingFindsWhatASearchFinds(): void
    {
        mt_srand(20261130);
        for ($round = 0; $round < 500; ++$round) {
            $at = 0;
            $intervals = [];
            for ($count = mt_rand(0, 12); $count > 0; --$count) {
                $from = $at + mt_rand(0, 3);
                $intervals[] = [$from, $at = $from + mt_rand(1, 4), "p$count"];
            }
            $programme = self::programme($intervals);
            for ($instant = 0; $instant <= $at + 1; ++$instant) {
                $holding = array_filter(
                    $intervals,
                    static fn (array $one) => $one[0] <= $instant && $instant < $one[1],
                );
                self::assertSame(array_values($holding)[0][2] ?? null, $programme->at($instant)?->plan->name);
            }
        }
    }

    public function testTheSamePlanGoesOnAndAnotherBegins(): void
    {
        $first = Programme::ofRelease('hall', 1, self::ref('a'), self::ref('idle'), 1000, null, 1000);
        $again = Programme::ofRelease('hall', 2, self::ref('a'), self::ref('idle'), 5000, $first, 5000);
        $third = Programme::ofRelease('hall', 3, self::ref('a'), self::ref('idle'), 9000, $again, 9000);
        $other = Programme::ofRelease('hall', 4, self::ref('b'), self::ref('idle'), 9000, $again, 9000);
        $early = Programme::ofRelease('hall', 2, self::ref('a'), self::ref('idle'), 500, $first, 500);

        self::assertSame([1000, 1000, 9000, 500], array_map(
            static fn (Programme $programme) => $programme->intervals[0]->startMs,
            [$again, $third, $other, $early],
        ));
    }

    /**
     * Model §8: a hand-off at an instant changes the intervals from there on, so two that wait are one programme; what
     * shows already is no part of it, and what would have come later is gone.
     */
    public function testTwoThatWaitAreOneProgramme(): void
    {
        $shows = Programme::ofRelease('hall', 1, self::ref('a'), self::ref('idle'), 1000, null, 0);
        $waits = Programme::ofRelease('hall', 2, self::ref('b'), self::ref('idle'), 6000, $shows, 1500);
        $both = Programme::ofRelease('hall', 3, self::ref('b'), self::ref('idle'), 8000, $waits, 3000);
        $instead = Programme::ofRelease('hall', 4, self::ref('c'), self::ref('idle'), 5000, $both, 4000);
        $said = static fn (Programme $programme): array => array_map(
            static fn (Interval $one) => [$one->plan->name, $one->fromMs, $one->untilMs, $one->startMs],
            $programme->intervals,
        );

        self::assertSame([['b', 6000, null, 6000]], $said($waits));
        self::assertSame([['b', 6000, 8000, 6000], ['b', 8000, null, 6000]], $said($both), 'the same goes on');
        self::assertSame([['c', 5000, null, 5000]], $said($instead));
    }

    /** Version 1, as it lies in databases of before: no idle card. */
    public function testReadsTheVersionBefore(): void
    {
        $stored = ['programme' => 1] + self::programme([[100, null, 'a']])->toArray();
        unset($stored['idle']);
        $read = Programme::read($stored);

        self::assertSame([null, 'a', null], [$read->idle, $read->at(100)?->plan->name, $read->at(0)]);
    }

    /** @param list<array{0: int, 1: ?int, 2: string, 3?: int}> $intervals */
    private static function programme(array $intervals): Programme
    {
        return Programme::read([
            'programme' => 2,
            'surface' => 'hall',
            'number' => 1,
            'intervals' => array_map(static fn (array $one) => [
                'from_ms' => $one[0],
                'until_ms' => $one[1],
                'plan' => self::ref($one[2])->toArray(),
                'shows' => 'round',
                'start_ms' => $one[3] ?? $one[0],
                'why' => [],
            ], $intervals),
            'idle' => self::ref('idle')->toArray(),
        ]);
    }

    private static function ref(string $name): PlanRef
    {
        return new PlanRef($name === 'idle' ? null : 1, 1, $name, hash('sha256', $name), "/released/$name/");
    }
}
