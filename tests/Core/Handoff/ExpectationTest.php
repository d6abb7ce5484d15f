<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Handoff;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Act\Act;
use UpperPane\Core\Act\ActKind;
use UpperPane\Core\Act\Acts;
use UpperPane\Core\Act\Target;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Handoff\Expectation;
use UpperPane\Core\Handoff\PlayerState;
use UpperPane\Core\Handoff\Proof;
use UpperPane\Core\Handoff\ReleasedPlan;
use UpperPane\Core\Plan\PlanRef;
use UpperPane\Core\Plan\Programme;

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
        $proof = self::proof($at, $zones, $scene === null ? [] : ['scene' => $scene]);
        $expectation = self::expecting(7);

        self::assertSame($different, $expectation->differences($proof));
        self::assertSame($different === [], $expectation->proves($proof));
        self::assertFalse(self::expecting(8)->proves($proof));
    }

    /** Before a programme begins, and after its last stretch, the idle card is what should show. */
    public function testWhereNothingHoldsTheIdleCardIsExpected(): void
    {
        $expectation = self::expecting(7);
        $idle = ['programme' => self::programme(7)->sha256(), 'plan' => str_repeat('b', 64), 'release' => null];
        $plan = ['programme' => self::programme(7)->sha256(), 'plan' => str_repeat('a', 64)];

        self::assertTrue($expectation->proves(self::proof(-5000, ['idle' => null], ['scene' => 's-idle'] + $idle)));
        self::assertFalse($expectation->proves(self::proof(5000, ['idle' => null], ['scene' => 's-idle'] + $idle)));
        self::assertTrue($expectation->proves(self::proof(-500, ['a' => 'x'], ['scene' => 'first'] + $plan)));
        self::assertFalse($expectation->proves(self::proof(-1500, ['a' => 'x'], ['scene' => 'first'] + $plan)));
        $other = ['programme' => str_repeat('c', 64)] + $plan;
        self::assertFalse($expectation->isMeantBy(self::proof(0, ['a' => 'x'], $other)));
    }

    /** @param list<PlayerState> $players */
    #[TestWith([[PlayerState::Proven, PlayerState::Silent, PlayerState::Waiting], PlayerState::Silent])]
    #[TestWith([[PlayerState::Proven, PlayerState::Waiting], PlayerState::Waiting])]
    #[TestWith([[PlayerState::Silent, PlayerState::Different], PlayerState::Different])]
    #[TestWith([[PlayerState::Proven, PlayerState::Proven], PlayerState::Proven])]
    #[TestWith([[PlayerState::Empty], PlayerState::Empty])]
    public function testASurfaceIsAsItsWorstPlayer(array $players, PlayerState $surface): void
    {
        self::assertSame($surface, PlayerState::worst($players));
    }

    /** What runs on counts from the last midnight of the site, whenever the round began. */
    public function testWhatRunsOnCountsFromMidnight(): void
    {
        $plan = self::plan([0, 1_002_000], true);
        $entry = static fn (int $at) => $plan->at(self::START + $at, self::START)['a']['entry'];

        self::assertSame(['x', 'x', 'y', 'x'], array_map($entry, [0, 2000, 7000, 31_999 + 1]));
    }

    /** From 10 s on an act wants standby; for 5 s, until it has arrived, and after its end, both are believed. */
    #[TestWith([9_000, false, true])]
    #[TestWith([10_000, true, true])]
    #[TestWith([14_999, false, true])]
    #[TestWith([15_000, false, false])]
    #[TestWith([40_000, true, true])]
    #[TestWith([40_000, false, true])]
    #[TestWith([45_000, true, false])]
    #[TestWith([9_999, true, false])]
    public function testAnActIsExpectedInsteadOfTheProgramme(int $at, bool $follows, bool $proves): void
    {
        $id = '10000000-0000-4000-8000-000000000000';
        $from = self::START + 10_000;
        $targets = [Target::read(Input::of('surface:hall'))];
        $acts = Acts::of([new Act($id, ActKind::Standby, $targets, $from, $from + 30_000, false)]);
        $said = $follows
            ? ['act' => $id, 'plan' => str_repeat('b', 64), 'release' => null, 'scene' => 's-idle']
            : ['plan' => str_repeat('a', 64)];
        // The round is 30 s long.
        $zones = match (true) {
            $follows => ['idle' => null],
            $at % 30_000 < 5000 => ['a' => 'x'],
            $at % 30_000 < 10_000 => ['a' => 'y'],
            default => ['b' => null],
        };
        $proof = self::proof($at, $zones, $said + ['programme' => self::programme(7)->sha256()]);

        self::assertSame(
            $proves,
            self::expecting(7, $acts, Target::namesOf('hall-1', 'hall', []))->proves($proof),
        );
    }

    #[TestWith([null, 'p', true, 0, PlayerState::Empty])]
    #[TestWith(['p', 'q', true, 0, PlayerState::Waiting])]
    #[TestWith(['p', null, false, null, PlayerState::Waiting])]
    #[TestWith(['p', 'p', false, 0, PlayerState::Different])]
    #[TestWith(['p', 'p', true, 150_000, PlayerState::Proven])]
    #[TestWith(['p', 'p', true, 150_001, PlayerState::Silent])]
    #[TestWith(['p', 'p', true, null, PlayerState::Silent])]
    public function testSaysHowFarAPlayerIs(
        ?string $ordered,
        ?string $shown,
        bool $proven,
        ?int $age,
        PlayerState $is,
    ): void {
        self::assertSame($is, PlayerState::of($ordered, $shown, $proven, $age));
    }

    /**
     * @param array<string, ?string> $zones
     * @param array<string, mixed>   $more
     */
    private static function proof(int $at, array $zones, array $more): Proof
    {
        return Proof::parse(Input::of($more + [
            'release' => 7,
            'at_ms' => self::START + $at,
            'offset_ms' => 0,
            'stepped' => false,
            'zones' => $zones,
        ]));
    }

    private static function programme(int $release): Programme
    {
        $ref = static fn (?int $release, string $sign) => new PlanRef($release, 1, 'Test', str_repeat($sign, 64), '/');

        return Programme::ofRelease('hall', 1, $ref($release, 'a'), $ref(null, 'b'), self::START, null, 0);
    }

    /** @param list<string> $names */
    private static function expecting(int $release, ?Acts $acts = null, array $names = []): Expectation
    {
        $idle = ReleasedPlan::read([
            'plan' => 2,
            'scenes' => ['s-idle' => ['zones' => [['id' => 'idle', 'letter' => 'A', 'cycle_ms' => null]]]],
            'round' => ['scenes' => [['scene' => 's-idle', 'ms' => null]]],
            'days' => [0],
        ]);

        return new Expectation(
            self::programme($release),
            static fn (PlanRef $ref) => $ref->release === null ? $idle : self::plan(),
            $acts,
            $names,
        );
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
