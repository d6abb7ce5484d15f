<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Handoff;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Handoff\Expectation;
use UpperPane\Core\Handoff\PlayerState;
use UpperPane\Core\Handoff\Proof;
use UpperPane\Core\Handoff\ReleasedPlan;

/**
 * A round of `first` (10 s) and `second` (20 s), each with a zone of its own; in `first` the entries change at 5 s.
 * Within a second of a change either side is believed (model §11), not longer.
 */
final class ExpectationTest extends TestCase
{
    private const START = 1_000_000;

    /**
     * @param array<string, ?string> $zones     what the proof says, entries by zone
     * @param list<string>           $different the letters that differ
     */
    #[TestWith([4000, 'first', ['a' => 'x'], []])]
    #[TestWith([5999, 'first', ['a' => 'x'], []])]
    #[TestWith([6001, 'first', ['a' => 'x'], ['A']])]
    #[TestWith([4000, 'first', ['a' => 'y'], []])]
    #[TestWith([3999, 'first', ['a' => 'y'], ['A']])]
    #[TestWith([9500, 'second', ['b' => null], []], 'half a second early in the next scene')]
    #[TestWith([10_500, 'first', ['a' => 'y'], []], 'half a second late in the last one')]
    #[TestWith([29_500, 'first', ['a' => 'x'], []], 'the round begins again')]
    #[TestWith([30_500, 'second', ['b' => null], []])]
    #[TestWith([12_000, 'first', ['a' => 'y'], ['B']], 'two seconds late is another scene')]
    #[TestWith([8000, 'second', ['b' => null], ['A']])]
    #[TestWith([20_000, 'second', [], ['B']], 'a zone left out')]
    #[TestWith([20_000, 'first', ['a' => 'x', 'b' => null], ['B']], 'the right zone in the wrong scene')]
    #[TestWith([20_000, null, ['b' => null], []], 'players of the version before name no scene')]
    public function testBelievesASecondAroundEachChange(int $at, ?string $scene, array $zones, array $different): void
    {
        $proof = Proof::parse(Input::of([
            'release' => 7,
            'at_ms' => self::START + $at,
            'offset_ms' => 0,
            'stepped' => false,
            'zones' => $zones,
        ] + ($scene === null ? [] : ['scene' => $scene])));
        $expectation = new Expectation(7, self::plan(), self::START);

        self::assertSame($different, $expectation->differences($proof));
        self::assertSame($different === [], $expectation->proves($proof));
        self::assertFalse((new Expectation(8, self::plan(), self::START))->proves($proof));
    }

    /** What runs on counts from the last midnight of the site, whenever the round began. */
    public function testWhatRunsOnCountsFromMidnight(): void
    {
        $plan = self::plan([0, 1_002_000], true);
        $entry = static fn (int $at) => $plan->at(self::START + $at, self::START)['a']['entry'];

        self::assertSame(['x', 'x', 'y', 'x'], array_map($entry, [0, 2000, 7000, 31_999 + 1]));
    }

    #[TestWith([null, 7, true, 0, PlayerState::Empty])]
    #[TestWith([7, 6, true, 0, PlayerState::Waiting])]
    #[TestWith([7, null, false, null, PlayerState::Waiting])]
    #[TestWith([7, 7, false, 0, PlayerState::Different])]
    #[TestWith([7, 7, true, 30_000, PlayerState::Proven])]
    #[TestWith([7, 7, true, 30_001, PlayerState::Silent])]
    #[TestWith([7, 7, true, null, PlayerState::Silent])]
    public function testSaysHowFarAPlayerIs(?int $ordered, ?int $shown, bool $proven, ?int $age, PlayerState $is): void
    {
        self::assertSame($is, PlayerState::of($ordered, $shown, $proven, $age));
    }

    /** @param list<int> $days */
    private static function plan(array $days = [0], bool $runsOn = false): ReleasedPlan
    {
        $entries = [['entry' => 'x', 'ms' => 5000], ['entry' => 'y', 'ms' => 5000]];

        $zone = static fn (string $id, string $letter, ?int $cycle, array $items) => [
            'id' => $id,
            'letter' => $letter,
            'cycle_ms' => $cycle,
            'items' => $items,
        ];

        return ReleasedPlan::read([
            'plan' => 2,
            'scenes' => [
                'first' => ['zones' => [$zone('a', 'A', 10_000, $entries) + ['runs_on' => $runsOn]]],
                'second' => ['zones' => [$zone('b', 'B', null, [])]],
            ],
            'round' => ['scenes' => [['scene' => 'first', 'ms' => 10_000], ['scene' => 'second', 'ms' => 20_000]]],
            'days' => $days,
        ]);
    }
}
