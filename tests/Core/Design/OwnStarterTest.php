<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Batch;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Design\Starters\OwnStarter;
use UpperPane\Core\Design\Starters\OwnStarters;
use UpperPane\Core\Design\Starters\StartersKind;
use UpperPane\Core\Geometry\Size;
use UpperPane\Tests\Support\Build;
use UpperPane\Tests\Support\RandomDesign;

/** Layouts kept to begin others with: the same on their own canvas, tiling any other. */
final class OwnStarterTest extends TestCase
{
    public function testAKeptLayoutIsTheSameOnItsCanvasAndTilesOthers(): void
    {
        $random = new RandomDesign(new Randomizer(new Mt19937(21)));
        $design = Build::board();
        for ($step = 0; $step < 150; ++$step) {
            try {
                $design = Build::apply($design, $random->command($design, "k-$step"))->after;
            } catch (Refusal) {
                continue;
            }
            $at = LayoutAt::of($design, $design->order[0], false);
            $starter = OwnStarter::of('Kept', $at);
            $wanted = array_map(static fn ($rect) => $rect->toArray(), array_values($at->glazing()->panes));

            self::assertSame($wanted, $starter->on($at->canvas()));
            self::assertSame(
                $starter->toArray(),
                OwnStarter::parse(Input::of($starter->toArray()))->toArray(),
                'read back as it is',
            );
        }
        $quad = OwnStarter::of('Quad', LayoutAt::of(Build::board(), 's-rest', false));
        $panes = $quad->on(Size::of(1080, 1921)) ?? [];
        self::assertSame(1080 * 1921, array_sum(array_map(static fn (array $rect) => $rect[2] * $rect[3], $panes)));
        self::assertNull($quad->on(Size::of(1, 1)), 'one pixel cannot be three panes');
    }

    public function testStartersArePutTakenAwayAndBroughtBack(): void
    {
        $kind = new StartersKind();
        $tree = ['split' => 'columns', 'parts' => [['size' => '1fr', 'pane' => 'l'], ['size' => '2fr', 'pane' => 'r']]];
        $put = static fn (?array $starter) => Batch::parse(
            Input::of([['do' => 'starter.put', 'id' => 'k1', 'starter' => $starter]]),
            $kind,
        );
        $one = $put(['name' => 'Third', 'tree' => $tree])->apply(OwnStarters::none());
        $none = $put(null)->apply($kind->stored($kind->parts($one->after)));

        self::assertSame(['1', '2'], array_column($one->after->starters['k1']->tree['parts'], 'pane'));
        self::assertSame([], $none->after->starters);
        self::assertEquals($one->after->toArray(), $none->inverse->apply($none->after)->after->toArray());
        $this->expectExceptionMessage('in shares only');
        $put(['name' => 'Px', 'tree' => ['parts' => [['size' => '9px', 'pane' => 'l']]] + $tree]);
    }
}
