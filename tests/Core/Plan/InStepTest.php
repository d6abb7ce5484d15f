<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Handoff\Moment;
use UpperPane\Core\Handoff\ReleasedPlan;
use UpperPane\Core\Plan\ContentTime;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Preflight\Preflight;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** Zones in step with one that leads, and lists with entries between (model §6, Sync and Interleave). */
final class InStepTest extends TestCase
{
    public function testAFollowerStepsWithItsLeader(): void
    {
        $plan = self::plan(self::led(['unequal' => 'wrap']));
        // The leader's pass × lcm(2, 3) ÷ 2.
        self::assertSame(24_000, self::zone($plan, 'b')['cycle_ms']);
        $shown = self::shown($plan);
        self::assertSame(
            ['e1', 'e1', 'e2', 'e3', 'e1', 'e2', 'e3', 'e1'],
            array_map($shown, [0, 4999, 5000, 8000, 13_000, 16_000, 21_000, 24_000]),
        );
        self::assertSame(['e1', 'e2', 'e1'], array_map(self::shown(self::plan(self::led(['unequal' => 'hold']))), [
            0,
            5000,
            8000,
        ]));
    }

    /** One entry for two steps: it wraps and is held alike, and is gone at the second where it is to clear. */
    public function testWhereNoEntryStandsAtAStepNothingShows(): void
    {
        $one = Build::apply(
            self::led(['unequal' => 'clear']),
            ['do' => 'entry.remove', 'zone' => 'b', 'entry' => 'e2'],
            ['do' => 'entry.remove', 'zone' => 'b', 'entry' => 'e3'],
        )->after;
        self::assertSame(['e1', null, 'e1'], array_map(self::shown(self::plan($one)), [4999, 5000, 8000]));
        $moment = Moment::after(self::plan($one)->toArray(), new \DateTimeZone('Europe/London'), 0, 6000)->toArray();
        self::assertSame('no_step', $moment['zones'][1]['why']);
    }

    /** Whoever follows one that follows is in step with the one that leads both; a circle is refused. */
    public function testWhoFollowsAFollowerHasItsLeader(): void
    {
        $design = Build::apply(
            self::led(['unequal' => 'wrap']),
            Sketch::fill('c', self::listed(3)),
            ['do' => 'zone.follow', 'zone' => 'c', 'follows' => ['zone' => 'b', 'unequal' => 'wrap']],
        )->after;
        self::assertSame('a', self::zone(self::plan($design), 'c')['follows']['zone']);
        $this->expectExceptionObject(Refusal::because('sync.circle', '/commands/0/follows/zone', [
            'letter' => 'A',
            'leader' => 'B',
        ]));
        Build::apply($design, ['do' => 'zone.follow', 'zone' => 'a', 'follows' => ['zone' => 'c']]);
    }

    public function testSaysWhatDoesNotMeet(): void
    {
        self::assertSame([], self::found(self::led(['unequal' => 'wrap'])));
        // The scene ends with one pass of its leader: the third is never reached.
        $ending = ['do' => 'scene.length', 'scene' => 's-rest', 'length' => ['kind' => 'leader', 'zone' => 'a']];
        $design = self::led(['unequal' => 'wrap']);
        self::assertSame(['sync.entry_not_reached'], self::found(Build::apply($design, $ending)->after));
        self::assertSame(['sync.entry_not_reached'], self::found(self::led(['unequal' => 'hold'])));
        // A leader that shows no list leads nobody.
        self::assertSame(['sync.no_leader'], self::found(
            Build::filled($design, 'a', Sketch::colour('#112233')),
        ));
        $film = Build::filled($design, 'b', Sketch::playlist([[Sketch::video('v'), null]]));
        self::assertSame(['video.longer_than_slot'], self::found($film), '12 s in steps of 5 and 3 s');
    }

    /** What lies between takes its turn in the plan, in lengths and in what shows (the model's own example). */
    public function testSomeLieBetweenTheOthers(): void
    {
        $list = self::listed(7, 1000);
        foreach ([5, 6] as $between) {
            $list['entries'][$between] += ['between' => true];
        }
        $design = Build::filled(Build::board(), 'a', ['after' => 2] + $list);
        $plan = self::plan($design);
        self::assertSame(30_000, self::zone($plan, 'a')['cycle_ms']);
        $shown = self::shown($plan, 'a');
        self::assertSame(
            'e1 e2 e6 e3 e4 e7 e5 e1 e6 e2 e3 e7 e4 e5',
            implode(' ', array_map($shown, array_map(static fn (int $step) => 1000 * $step, range(0, 13)))),
        );
        $lanes = (new ContentTime(Build::context()->media))->lanes($design, $design->restScene());
        self::assertCount(30, $lanes['a']);

        $alone = Build::filled(Build::board(), 'a', Sketch::playlist([[Sketch::colour('#112233'), 1000]]));
        $only = $alone->zone('a')->fill()->toArray();
        $only['entries'] = [['between' => true] + $only['entries'][0]];
        self::assertContains('playlist.nothing_between', self::found(Build::filled($alone, 'a', $only)));
    }

    /**
     * B in step with A, whose steps are 5 and 3 s; B has three entries.
     *
     * @param array{unequal: string} $how
     */
    private static function led(array $how): Design
    {
        return Build::apply(
            Build::board(),
            Sketch::fill('a', Sketch::playlist([[Sketch::colour('#112233'), 5000], [Sketch::colour('#223344'), 3000]])),
            Sketch::fill('b', self::listed(3)),
            Sketch::fill('c', Sketch::colour('#334455')),
            ['do' => 'zone.follow', 'zone' => 'b', 'follows' => ['zone' => 'a'] + $how],
        )->after;
    }

    /** @return array<string, mixed> */
    private static function listed(int $count, int $ms = 60_000): array
    {
        return Sketch::playlist(array_fill(0, $count, [Sketch::colour('#445566'), $ms]));
    }

    private static function plan(Design $design): Plan
    {
        $panel = Panel::of($design->canvas, $design->canvas->width * 630, $design->canvas->height * 630);

        return PlanCompiler::compile(
            $design,
            Surface::ofPanel($panel),
            Build::context(Build::video('v', 1280, 720, 12_000)),
        );
    }

    /** @return array<string, mixed> */
    private static function zone(Plan $plan, string $id): array
    {
        return array_column($plan->toArray()['scenes']['s-rest']['zones'], null, 'id')[$id];
    }

    /** @return \Closure(int): ?string the entry that shows so many ms after the start */
    private static function shown(Plan $plan, string $zone = 'b'): \Closure
    {
        $released = ReleasedPlan::read($plan->toArray(), [0]);

        return static fn (int $t) => $released->at($t, 0)[$zone]['entry'];
    }

    /** @return list<string> */
    private static function found(Design $design): array
    {
        $codes = array_map(
            static fn (Finding $finding) => $finding->code,
            Preflight::standard()->plan(self::plan($design)),
        );

        return array_values(array_filter(
            $codes,
            static fn (string $code) => preg_match('/^(sync|video|playlist)/', $code) === 1,
        ));
    }
}
