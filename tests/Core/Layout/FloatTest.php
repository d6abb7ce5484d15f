<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Layout;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Outline;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Anchor;
use UpperPane\Core\Layout\FloatPlace;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\Placed;
use UpperPane\Core\Layout\Placing;

/** Zones placed freely (model §3, Floats). The model's worked example stands in PaneTest. */
final class FloatTest extends TestCase
{
    /** @return iterable<string, array{Anchor, float, float}> the point, as a share of width and of height */
    public static function anchors(): iterable
    {
        $across = ['left' => 0.0, 'right' => 1.0];
        $down = ['top' => 0.0, 'bottom' => 1.0];
        foreach (Anchor::cases() as $anchor) {
            $words = explode('-', $anchor->value);
            $x = array_values(array_intersect_key($across, array_flip($words)))[0] ?? 0.5;
            $y = array_values(array_intersect_key($down, array_flip($words)))[0] ?? 0.5;
            yield $anchor->value => [$anchor, $x, $y];
        }
    }

    /** The same point of frame and float lie on each other, plus the offset: by the words of the anchor. */
    #[DataProvider('anchors')]
    public function testTheAnchorIsOnePointOfBoth(Anchor $anchor, float $x, float $y): void
    {
        $frame = Rect::of(100, 40, 800, 600);
        $float = self::float($anchor->value, ['12px', '-7px'], ['200px', '10%']);
        $rect = $float->rect($frame);

        self::assertSame([200, 60], [$rect->width, $rect->height]);
        self::assertEqualsWithDelta(100 + $x * 800 + 12, $rect->x + $x * 200, 0.5);
        self::assertEqualsWithDelta(40 + $y * 600 - 7, $rect->y + $y * 60, 0.5);
    }

    /** Held to any point of any frame, a rectangle lies where it lay, to the px; also through text and back. */
    #[DataProvider('anchors')]
    public function testHeldElsewhereItStaysWhereItIs(Anchor $anchor): void
    {
        $random = new Randomizer(new Mt19937(31));
        for ($try = 0; $try < 50; ++$try) {
            $any = static fn (int $least) => Rect::of(
                $random->getInt(-300, 900),
                $random->getInt(-300, 900),
                $random->getInt($least, 700),
                $random->getInt($least, 700),
            );
            [$frame, $rect] = [$any(1), $any(1)];
            $held = FloatPlace::held('f', 'canvas', $frame, $anchor, $rect, 0);

            self::assertSame($rect->toArray(), $held->rect($frame)->toArray());
            self::assertSame($rect->toArray(), FloatPlace::parse(Input::of($held->toArray()))->rect($frame)->toArray());
        }
    }

    /** Neighbours in % share their edge: edges are rounded, not sizes; what is thinner than a px keeps one. */
    public function testEdgesAreRoundedNotSizes(): void
    {
        foreach ([1366, 1919, 97] as $width) {
            $frame = Rect::of(0, 0, $width, 10);
            $left = self::float('top-left', ['0px', '0px'], ['33.333%', '1px'])->rect($frame);
            $right = self::float('top-left', ['33.333%', '0px'], ['33.333%', '1px'])->rect($frame);
            self::assertSame($left->right(), $right->x);
        }
        self::assertSame(
            1,
            self::float('centre', ['0px', '0px'], ['0.001%', '1px'])->rect(Rect::of(0, 0, 9, 9))->width,
        );
    }

    /** px of the design take the scale of the surface, % the frame's own length there (model §3, Reflow). */
    public function testPxAreScaledAndPercentAreNot(): void
    {
        $float = self::float('top-left', ['10px', '10%'], ['30px', '50%']);

        self::assertSame([25, 20, 75, 100], $float->rect(Rect::of(0, 0, 400, 200), Rational::of(5, 2))->toArray());
    }

    /** Corners by the rotation matrix, clockwise with y down; 22.5° by half-angle formulas, exact to a thousandth. */
    public function testTurnsClockwiseAboutTheCentre(): void
    {
        $rect = Rect::of(10, 20, 40, 20);
        self::assertSame(
            [[40_000, 10_000], [40_000, 50_000], [20_000, 50_000], [20_000, 10_000]],
            Outline::of($rect, 9000)->corners,
        );
        self::assertSame(Outline::of($rect, 27_000)->corners, Outline::of($rect, -9000)->corners);
        self::assertSame(Outline::of($rect, 0)->corners, Outline::of($rect, 36_000)->corners);
        self::assertSame(
            [[50_000, 40_000], [10_000, 40_000], [10_000, 20_000], [50_000, 20_000]],
            Outline::of($rect, 18_000)->corners,
        );
        [$cosine, $sine] = [sqrt(2 + sqrt(2)) / 2, sqrt(2 - sqrt(2)) / 2];
        self::assertSame(
            [
                (int) round(1000 * (30 - 20 * $cosine + 10 * $sine)),
                (int) round(1000 * (30 - 20 * $sine - 10 * $cosine)),
            ],
            Outline::of($rect, 2250)->corners[0],
        );
        self::assertSame([20, 10, 20, 40], Outline::of($rect, 9000)->box()->toArray());
        self::assertSame([10, 20, 1, 1], Outline::of(Rect::of(10, 20, 0, 0), 0)->box()->toArray(), 'never nothing');
    }

    /**
     * Within, meeting and apart, by brute force: an outline meets a rectangle when a point of a fine grid lies in both.
     */
    public function testMeetsWhatItCovers(): void
    {
        $random = new Randomizer(new Mt19937(5));
        $canvas = Rect::of(0, 0, 100, 100);
        $met = $within = 0;
        for ($try = 0; $try < 300; ++$try) {
            $rect = Rect::of(
                $random->getInt(-90, 110),
                $random->getInt(-90, 110),
                $random->getInt(1, 90),
                $random->getInt(1, 90),
            );
            $turn = $random->getInt(0, 359) * 100;
            $outline = Outline::of($rect, $turn);
            [$sine, $cosine] = [sin(deg2rad($turn / 100)), cos(deg2rad($turn / 100))];
            $point = static fn (float $across, float $down) => [
                $rect->x + $rect->width / 2 + $across * $rect->width * $cosine - $down * $rect->height * $sine,
                $rect->y + $rect->height / 2 + $across * $rect->width * $sine + $down * $rect->height * $cosine,
            ];
            $in = static fn (array $point, float $slack) => min($point) > -$slack && max($point) < 100 + $slack;
            $inside = 0;
            for ($i = 1; $i < 40; ++$i) {
                for ($j = 1; $j < 40; ++$j) {
                    $inside += $in($point($i / 40 - 0.5, $j / 40 - 0.5), 0) ? 1 : 0;
                }
            }
            $corners = [$point(-0.5, -0.5), $point(0.5, -0.5), $point(0.5, 0.5), $point(-0.5, 0.5)];
            $all = static fn (float $slack) => array_filter($corners, static fn ($one) => !$in($one, $slack)) === [];
            if ($inside > 0) {
                ++$met;
                self::assertTrue($outline->meets($canvas), "$turn ".implode(',', $rect->toArray()));
            }
            if ($all(0.01) === $all(-0.01)) {
                self::assertSame($all(0), $outline->liesWithin($canvas), "$turn ".implode(',', $rect->toArray()));
            }
            $within += $outline->liesWithin($canvas) ? 1 : 0;
        }
        self::assertGreaterThan(10, min($met, $within), 'the cases are of both kinds');

        self::assertFalse(Outline::of(Rect::of(100, 0, 10, 10), 0)->meets($canvas), 'an edge is not enough');
        self::assertFalse(Outline::of(Rect::of(0, -10, 10, 10), 0)->meets($canvas));
        self::assertTrue(Outline::of(Rect::of(0, 0, 100, 100), 0)->liesWithin($canvas), 'its own edges are within');
        self::assertFalse(Outline::of(Rect::of(0, 0, 101, 100), 0)->liesWithin($canvas));
        self::assertFalse(Outline::of(Rect::of(0, 0, 100, 101), 0)->liesWithin($canvas));
        self::assertFalse(Outline::of(Rect::of(-1, 0, 50, 50), 0)->liesWithin($canvas));
        self::assertFalse(Outline::of(Rect::of(0, -1, 50, 50), 0)->liesWithin($canvas));
        self::assertFalse(
            Outline::of(Rect::of(95, 95, 20, 20), 4500)->meets(Rect::of(0, 0, 92, 92)),
            'their boxes meet, they do not',
        );
        // Squares standing on a corner beside each corner of the canvas, 8√2 − 10 px away from it: 108 − 10√2 < 100.
        foreach ([[98, 98], [-18, 98], [98, -18], [-18, -18]] as [$x, $y]) {
            self::assertFalse(Outline::of(Rect::of($x, $y, 20, 20), 4500)->meets($canvas), "apart at $x, $y");
            $nearer = Rect::of($x + 2 * ($x <=> 40) * -1, $y + 2 * ($y <=> 40) * -1, 20, 20);
            self::assertTrue(Outline::of($nearer, 4500)->meets($canvas), "2 px nearer than $x, $y");
        }
    }

    /** Panes first, floats over them in their order; what lies beyond the canvas, or lost its frame, is found. */
    public function testPlacesBackToFrontAndFindsWhatIsWrong(): void
    {
        $glazing = Glazing::ofPanes(['a' => Rect::of(0, 0, 100, 50), 'b' => Rect::of(0, 50, 100, 50)]);
        $float = static fn (string $zone, string $frame, array $offset, ?string $was = null) => FloatPlace::parse(
            Input::of(
                ['zone' => $zone, 'frame' => $frame, 'anchor' => 'top-left', 'offset' => $offset] + [
                    'size' => ['20px', '20px'],
                    'turn' => 0,
                ] +
                    ($was === null ? [] : ['was' => $was]),
            ),
        );
        $placing = Placing::of(
            $glazing,
            [
                $float('in', 'pane:b', ['0px', '0px']),
                $float('edge', 'canvas', ['90px', '0px']),
                $float('out', 'canvas', ['100px', '0px']),
                $float('lost', 'pane:gone', ['0px', '0px']),
                $float('moved', 'canvas', ['0px', '0px'], 'pane:gone'),
                $float('hung', 'panel:B', ['1px', '2px']),
            ],
            Size::of(100, 100),
            ['B' => Rect::of(50, 0, 50, 100)],
        );

        self::assertSame(
            ['a' => 0, 'b' => 0, 'in' => 1, 'edge' => 2, 'out' => 3, 'lost' => 4, 'moved' => 5, 'hung' => 6],
            array_map(static fn (Placed $one) => $one->layer, $placing->placed),
        );
        self::assertSame([0, 50, 20, 20], $placing->placed['in']->rect->toArray());
        self::assertSame([51, 2, 20, 20], $placing->placed['hung']->rect->toArray());
        self::assertSame([0, 0, 20, 20], $placing->placed['lost']->rect->toArray(), 'it falls back to the canvas');
        self::assertSame(
            [
                ['float.partly_outside', 'caution', 'edge'],
                ['float.outside', 'stop', 'out'],
                ['float.frame_gone', 'note', 'lost'],
                ['float.frame_gone', 'note', 'moved'],
            ],
            array_map(
                static fn (Finding $finding) => [$finding->code, $finding->severity->value, $finding->params['zone']],
                $placing->findings,
            ),
        );
    }

    /**
     * @param array{string, string} $offset
     * @param array{string, string} $size
     */
    private static function float(string $anchor, array $offset, array $size): FloatPlace
    {
        return FloatPlace::parse(
            Input::of(
                ['zone' => 'f', 'frame' => 'canvas', 'anchor' => $anchor] + ['offset' => $offset, 'size' => $size],
            ),
        );
    }
}
