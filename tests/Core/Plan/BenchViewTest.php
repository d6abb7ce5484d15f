<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\ReadingOrder;
use UpperPane\Core\Layout\Starters;
use UpperPane\Core\Plan\BenchView;
use UpperPane\Core\Surface\Ground;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\PanelGrid;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** What the bench is told, so that it computes no rule: linked lines, limits, neighbours, reading order (model §3). */
final class BenchViewTest extends TestCase
{
    /** Snap order: seams, lattice, centre, thirds, other lines (model §3); guides count as much as seams. */
    public function testKnowsTheOrderOfSnapLines(): void
    {
        $design = Build::apply(
            Build::board(),
            ['do' => 'design.lattice', 'lattice' => [4, 2]],
            ['do' => 'guide.put', 'guide' => 'i', 'layout' => 'own', 'axis' => 'x', 'at' => 333],
        )->after;
        $view = BenchView::of(LayoutAt::of($design, 's-rest', false), null, Rect::of(10, 10, 1900, 1060));
        $ranks = array_column($view['snaps']['x'], 'rank', 'kind');
        asort($ranks);

        self::assertSame(
            ['guide' => 0, 'lattice' => 1, 'centre' => 2, 'third' => 3],
            array_slice($ranks, 0, 4),
        );
        self::assertSame([4], array_values(array_unique(array_slice($ranks, 4))));
        self::assertSame([0, 480, 960, 1440, 1920], $view['lattice']['x'] ?? null);
        self::assertSame([['id' => 'i', 'layout' => 'own', 'axis' => 'x', 'at' => 333]], $view['guides']);
    }

    /** Two rows split at the same px: their lines meet end to end and move together; one moved away stands alone. */
    public function testLinesThatMeetEndToEndAreLinked(): void
    {
        $quad = Build::apply(
            Build::design(),
            Sketch::split('a', 'rows', 540, 'c'),
            Sketch::split('a', 'columns', 960, 'b'),
            Sketch::split('c', 'columns', 960, 'd'),
        )->after;
        $apart = Build::apply($quad, [
            'do' => 'mullion.move',
            'scene' => 's-rest',
            'layout' => 'own',
            'after' => ['d'],
            'at' => 900,
        ])->after;

        self::assertEqualsCanonicalizing(['b', 'd'], self::lines($quad)['b']['linked']);
        self::assertSame(['g-d'], self::lines($quad)['g-d']['linked']);
        self::assertSame(['b'], self::lines($apart)['b']['linked']);
    }

    /** Linked lines may go only where all of them may; and a command at either limit is taken, one px beyond is not. */
    public function testLimitsAreThoseOfTheCommand(): void
    {
        $design = Build::apply(Build::board(), Sketch::split('b', 'columns', 1700, 'd'))->after;
        [$least, $most] = self::lines($design)['b']['range'];
        self::assertSame([1, 1699], [$least, $most]);
        foreach ([$least, $most] as $at) {
            Build::apply($design, [
                'do' => 'mullion.move',
                'scene' => 's-rest',
                'layout' => 'own',
                'after' => ['b'],
                'at' => $at,
            ]);
        }
        $this->expectException(\UpperPane\Core\Base\Refusal::class);
        Build::apply($design, [
            'do' => 'mullion.move',
            'scene' => 's-rest',
            'layout' => 'own',
            'after' => ['b'],
            'at' => $most + 1,
        ]);
    }

    /**
     * On a wall the seams' edges come before centre and thirds, and only in the direction in which they divide; a joint
     * without width is one line.
     */
    public function testSnapsToSeamsFirst(): void
    {
        $snaps = static function (bool $butted): array {
            $wall = Surface::ofGrid(
                PanelGrid::of(
                    Panel::of(Size::of(640, 540), 640_000, 540_000, [2000, 2000, 2000, 2000]),
                    3,
                    2,
                    0,
                    0,
                    !$butted,
                ),
            );
            return BenchView::of(
                LayoutAt::of(Build::design($wall->canvas->width, $wall->canvas->height), 's-rest', false),
                Ground::of($wall),
            )['snaps'];
        };
        self::assertSame([640, 644, 1284, 1288, 964, 643, 1285, 0, 1928], array_column($snaps(false)['x'], 'at'));
        self::assertSame(
            ['seam', 'seam', 'centre', 'third', 'third', 'edge', 'edge'],
            array_column($snaps(false)['y'], 'kind'),
        );
        self::assertSame(
            [640, 1280],
            array_column(array_filter($snaps(true)['x'], static fn (array $line) => $line['kind'] === 'seam'), 'at'),
        );
    }

    public function testNamesNeighboursBySide(): void
    {
        $parts = (array) self::view(Build::board())['parts'];

        self::assertSame([['part' => 'b', 'side' => 'right', 'letters' => ['C']]], $parts['a']['neighbours']);
        self::assertSame(
            ['above', ['A', 'C']],
            [$parts['c']['neighbours'][0]['side'], $parts['c']['neighbours'][0]['letters']],
        );
        self::assertSame(['200px', 200], [$parts['c']['size'], $parts['c']['px']], 'as written and as resolved');
        self::assertSame(['at' => 660, 'gutter' => 0], $parts['a']['halves']['x']);
    }

    public function testReadsRowsThenColumns(): void
    {
        $order = ReadingOrder::of([
            'low' => Rect::of(0, 200, 50, 50),
            'right' => Rect::of(100, 10, 50, 100),
            'left' => Rect::of(0, 0, 50, 100),
            'far' => Rect::of(200, 60, 10, 100),
        ]);

        self::assertSame(['left', 'right', 'far', 'low'], [$order[0], $order[1], $order[2], $order[3]]);
        self::assertSame(
            ['beside', 'tall'],
            ReadingOrder::of(['tall' => Rect::of(10, 0, 10, 100), 'beside' => Rect::of(0, 40, 10, 20)]),
            'the lower one lies within the row of the tall one',
        );
    }

    /** @return array<string, array<string, mixed>> by the part after the line */
    private static function lines(Design $design): array
    {
        return array_column(self::view($design)['mullions'], null, 'after');
    }

    /** @return array<string, mixed> */
    private static function view(Design $design): array
    {
        return BenchView::of(LayoutAt::of($design, 's-rest', false), null);
    }

    /** A whole canvas is begun with a starter, on several panels with one for walls; what is divided is not. */
    public function testOffersStartersToAWholeCanvasAlone(): void
    {
        $at = static fn (Design $design) => LayoutAt::of($design, 's-rest', false);
        $whole = Build::design(1920, 1080);
        $first = static fn (?Ground $ground): string => Starters::kinds()[
            BenchView::of($at($whole), $ground)['starters'][0]['name']
        ];

        self::assertSame('landscape', $first(null));
        $panel = Panel::of(Size::of(960, 1080), 960_000, 1_080_000, [0, 0, 0, 0]);
        self::assertSame('landscape', $first(Ground::of(Surface::ofPanel($panel))));
        self::assertSame('wall', $first(Ground::of(Surface::ofGrid(PanelGrid::of($panel, 2, 1, 0, 0, true)))));
        self::assertSame([], BenchView::of($at(Build::board()), null)['starters']);
    }

    /** A float's edges and middle are lines to snap to, its own among them, and how it is held is said as written. */
    public function testFloatsAreLinesToSnapToAndSaidAsWritten(): void
    {
        $float = [
            'zone' => 'f',
            'frame' => 'canvas',
            'anchor' => 'top-left',
            'offset' => ['101px', '10%'],
            'size' => ['200px', '33px'],
            'turn' => 0,
        ];
        $place = ['do' => 'float.place', 'scene' => 's-rest', 'layout' => 'own', 'float' => $float, 'before' => null];
        $design = Build::apply(Build::design(), $place)->after;
        $view = BenchView::of(LayoutAt::of($design, 's-rest', false), null, Rect::of(50, 60, 1800, 900));
        $lines = static fn (string $axis, string $kind): array => array_column(
            array_filter($view['snaps'][$axis], static fn (array $line) => $line['kind'] === $kind),
            'at',
        );

        self::assertEquals((object) ['f' => $float], $view['floats']);
        self::assertSame([[101, 201, 301], [108, 124, 141]], [$lines('x', 'float'), $lines('y', 'float')]);
        self::assertSame([[50, 1850], [60, 960]], [$lines('x', 'safe'), $lines('y', 'safe')]);
        self::assertSame([[0, 1920], [0, 1080]], [$lines('x', 'edge'), $lines('y', 'edge')]);
        self::assertSame('f', array_column($view['snaps']['x'], 'after', 'at')[101]);
    }
}
