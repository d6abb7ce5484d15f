<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

final class CommandTest extends TestCase
{
    public function testSplitsTheBoardExactly(): void
    {
        $design = Build::board();
        $panes = Build::panes($design);

        self::assertSame(
            [[0, 0, 1320, 880], [1320, 0, 600, 880], [0, 880, 1920, 200]],
            [$panes['a']->toArray(), $panes['b']->toArray(), $panes['c']->toArray()],
        );
        self::assertSame(
            ['A', 'C', 'B'],
            array_map(static fn (string $zone) => $design->zone($zone)->letter(), ['a', 'b', 'c']),
        );
    }

    /** Only the two neighbours of a moved line change (model §3). */
    public function testMovesAMullion(): void
    {
        $design = Build::apply(Build::board(), Sketch::split('b', 'columns', 1600, 'd'))->after;
        $moved = Build::apply($design, [
            'do' => 'mullion.move',
            'scene' => 's-rest',
            'layout' => 'own',
            'after' => ['b'],
            'at' => 1400,
        ])->after;
        $panes = Build::panes($moved);

        self::assertSame([1400, 200, 320], [$panes['a']->width, $panes['b']->width, $panes['d']->width]);
        $parts = array_filter(
            Build::apply($moved, [
                'do' => 'mullion.move',
                'scene' => 's-rest',
                'layout' => 'own',
                'after' => ['b'],
                'at' => 1410,
            ])->writes->toArray(),
            static fn (string $scope) => str_contains($scope, '/part/'),
        );
        self::assertSame(
            ['scenes/s-rest/own/part/a', 'scenes/s-rest/own/part/b'],
            array_values($parts),
            'the third part is left to others',
        );
        $this->expectExceptionMessage('Keep it between');
        try {
            Build::apply($design, [
                'do' => 'mullion.move',
                'scene' => 's-rest',
                'layout' => 'own',
                'after' => ['b'],
                'at' => 1600,
            ]);
        } catch (Refusal $refusal) {
            throw new \RuntimeException($refusal->mend());
        }
    }

    public function testATypedSizeIsTakenByTheSharesOrTheNeighbour(): void
    {
        $design = Build::board();
        $wide = Build::apply($design, Sketch::size('b', '500px'), Sketch::size('a', '1400px'))->after;
        $panes = Build::panes($wide);

        self::assertSame(
            [1400, 520],
            [$panes['a']->width, $panes['b']->width],
            'the last typed wins, its neighbour gives way',
        );
        foreach (
            [
                '2000px' => 'glaze.too_large',
                '0' => 'glaze.size',
                '-3px' => 'glaze.size',
                'NaN' => 'arithmetic.text',
                '1/0' => 'arithmetic.zero',
                '1fr+1px' => 'arithmetic.mixed',
            ] as $typed => $code
        ) {
            try {
                Build::apply($design, Sketch::size('a', (string) $typed));
                self::fail("$typed was taken");
            } catch (Refusal $refusal) {
                self::assertSame([$code, '/commands/0/size'], [$refusal->refusalCode, $refusal->path]);
            }
        }
    }

    /** Two people: different zones do not meet, the same zone does, and a gone zone is refused. */
    public function testKnowsWhatMeets(): void
    {
        $design = Build::board();
        $fillA = Build::apply($design, Sketch::fill('a', Sketch::colour('#000000')));
        $fillB = Build::apply($design, Sketch::fill('b', Sketch::colour('#FFFFFF')));
        $merge = Build::apply($design, [
            'do' => 'pane.merge',
            'scene' => 's-rest',
            'layout' => 'own',
            'pane' => 'b',
            'into' => 'a',
        ]);

        self::assertFalse($fillA->touched()->meets($fillB->writes));
        self::assertTrue($fillB->touched()->meets($merge->writes));
        self::assertTrue($fillA->touched()->meets($fillA->writes));
        $this->expectException(Refusal::class);
        Build::apply($merge->after, Sketch::fill('b', Sketch::colour('#FFFFFF')));
    }

    /**
     * Shares and % stay; px measured the other axis, and become shares in the same proportion.
     *
     * @param list<string> $sizes
     * @param list<string> $turned
     * @param list<int>    $heights
     */
    #[TestWith([['1320px', '1fr'], ['1320fr', '600fr'], [743, 337]])]
    #[TestWith([['2fr', '1fr'], ['2fr', '1fr'], [720, 360]])]
    #[TestWith([['25%', '1fr'], ['25%', '1fr'], [270, 810]])]
    #[TestWith([['25%', '400px', '1fr'], ['25%', '400fr', '1040fr'], [270, 225, 585]])]
    public function testColumnsBecomeRowsInProportion(array $sizes, array $turned, array $heights): void
    {
        $zones = ['a', 'b', 'c'];
        $parts = $new = [];
        foreach ($sizes as $index => $size) {
            $parts[] = ['size' => $size, 'pane' => $zones[$index]];
            $new += $index === 0 ? [] : [$zones[$index] => ['name' => '', 'fill' => ['kind' => 'empty']]];
        }
        $here = ['scene' => 's-rest', 'layout' => 'own'];
        $tree = ['id' => 'g', 'split' => 'columns', 'gutter' => 0, 'parts' => $parts];
        $put = ['do' => 'glazing.put', 'part' => 'a', 'size' => '1fr', 'tree' => $tree, 'zones' => $new] + $here;
        $design = Build::apply(Build::design(), $put)->after;
        $outcome = Build::apply($design, ['do' => 'split.turn', 'split' => 'g'] + $here);
        $split = LayoutAt::of($outcome->after, 's-rest', false)->tree()->toArray();

        self::assertSame(['rows', $turned], [$split['split'], array_column($split['parts'], 'size')]);
        $panes = Build::panes($outcome->after);
        self::assertSame($heights, array_values(array_map(static fn ($rect) => $rect->height, $panes)));
    }
}
