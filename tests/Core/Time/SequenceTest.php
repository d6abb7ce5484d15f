<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Time;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Time\Edges;
use UpperPane\Core\Time\Sequence;
use UpperPane\Core\Time\Timeline;
use UpperPane\Core\Time\Unequal;

/** Lists with entries between the others, and zones in step (model §6), held to stepping one by one. */
final class SequenceTest extends TestCase
{
    /** tests/cases/steps.json, written by stepping; the model's worked example is among them. */
    public function testComesAsSteppingFinds(): void
    {
        foreach (self::cases()['lists'] as $case) {
            ['ms' => $ms, 'between' => $between, 'after' => $after] = $case;
            $sequence = Sequence::of($ms, array_keys($ms), $between, $after);
            self::assertSame($case['count'], $sequence->count());
            // The same where it lasts at all hours, as it is walked by an almanac.
            $edges = Edges::of($ms, [array_keys($ms)], Timeline::of([['from_ms' => 0, 'value' => 0]]))
                ->interleaved($between, $after);
            foreach ($case['at'] as $wanted) {
                $turns = [$sequence->at($wanted[0]), $edges->turn(['from_ms' => 0, 'set' => 0], $wanted[0])];
                foreach ($turns as $turn) {
                    self::assertSame(
                        \array_slice($wanted, 1),
                        [$turn?->index, $turn?->sinceMs, $turn?->leftMs, $turn?->step],
                    );
                }
            }
        }
    }

    public function testAFollowerShowsWhatSteppingFinds(): void
    {
        foreach (self::cases()['steps'] as ['leader' => $leader, 'own' => $own, 'how' => $how, 'shows' => $shows]) {
            foreach ($shows as $step => $wanted) {
                self::assertSame($wanted, Unequal::from($how)->entryAt($step, $own, $leader), "$how $step");
            }
        }
    }

    /** In one joint period each of the first is shown as often as each other, and so is each of the second. */
    public function testCountsAreExactOverTheJointPeriod(): void
    {
        mt_srand(1912);
        for ($round = 0; $round < 300; ++$round) {
            $ms = array_map(static fn () => mt_rand(1, 99), range(1, mt_rand(1, 9)));
            $between = array_map(static fn () => mt_rand(0, 2) === 0, $ms);
            $after = mt_rand(1, 5);
            $sequence = Sequence::of($ms, array_keys($ms), $between, $after);
            $shown = [];
            for ($step = 0; $step < $sequence->count(); ++$step) {
                $shown[$sequence->place($step)] = ($shown[$sequence->place($step)] ?? 0) + 1;
            }
            foreach ([false, true] as $those) {
                $counts = array_intersect_key($shown, array_filter($between, static fn (bool $one) => $one === $those));
                self::assertLessThanOrEqual(1, count(array_unique($counts)));
            }
            self::assertSame($sequence->cycleMs(), array_sum(array_column($sequence->turns(), 'ms')));
        }
    }

    /** @return array{lists: list<array<string, mixed>>, steps: list<array<string, mixed>>} */
    private static function cases(): array
    {
        $file = (string) file_get_contents(\dirname(__DIR__, 2).'/cases/steps.json');

        return json_decode($file, true, 16, \JSON_THROW_ON_ERROR);
    }
}
