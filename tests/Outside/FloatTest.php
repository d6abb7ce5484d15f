<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use Facebook\WebDriver\Remote\RemoteWebDriver;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Outline;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Anchor;
use UpperPane\Core\Layout\FloatPlace;
use UpperPane\Core\Layout\Placed;
use UpperPane\Core\Layout\Placing;
use UpperPane\Tests\Support\Chromium;

/** Floats, anchored and turned, against Chromium's layout; what lies within and what is covered, against shapely. */
final class FloatTest extends TestCase
{
    private static ?RemoteWebDriver $browser = null;

    public static function tearDownAfterClass(): void
    {
        self::$browser?->quit();
        self::$browser = null;
    }

    /** An anchor is a point of the frame and the same point of the float: `left` and a shift back by its share. */
    public function testLiesWhereChromiumsAbsoluteLayoutPutsIt(): void
    {
        $random = new Randomizer(new Mt19937(5));
        $frame = Rect::of(120, 80, 777, 333);
        $floats = $ours = [];
        for ($number = 0; $number < 150; ++$number) {
            $anchor = Anchor::cases()[$number % count(Anchor::cases())];
            $length = static fn (int $least, int $most) => $random->getInt(0, 1) === 0
                ? $random->getInt($least, $most).'px'
                : intdiv($random->getInt($least, $most), 10).'.5%';
            [$offset, $size] = [[$length(-90, 90), $length(-90, 90)], [$length(20, 400), $length(20, 300)]];
            $rect = FloatPlace::parse(
                Input::of([
                    'zone' => 'f',
                    'frame' => 'canvas',
                    'anchor' => $anchor->value,
                    'offset' => $offset,
                    'size' => $size,
                ]),
            )->rect($frame);
            $share = static fn (Axis $axis) => 50 * $anchor->halves($axis);
            $floats[] = "left:calc({$share(Axis::X)}% + {$offset[0]});top:calc({$share(Axis::Y)}% + {$offset[1]});".
                "width:{$size[0]};height:{$size[1]};translate:-{$share(Axis::X)}% -{$share(Axis::Y)}%";
            $ours[] = [$rect->x, $rect->y, $rect->right(), $rect->bottom()];
        }
        $theirs = $this->browser()->executeScript(
            <<<'JS'
            const [floats, [x, y, width, height]] = arguments
            document.body.innerHTML = `<div style="position:absolute;left:${x}px;top:${y}px;width:${width}px;height:${height}px"></div>`
            return floats.map((css) => {
              const float = document.body.firstChild.appendChild(document.createElement('i'))
              float.style.cssText = 'position:absolute;' + css
              const box = float.getBoundingClientRect()
              return [box.left, box.top, box.right, box.bottom]
            })
            JS
            ,
            [$floats, $frame->toArray()],
        );
        foreach ($ours as $index => $edges) {
            foreach ($edges as $edge => $px) {
                // Edges are rounded one by one; the browser's own units are a sixty-fourth of a px.
                self::assertEqualsWithDelta($theirs[$index][$edge], $px, 0.5 + 2 / 64, "{$floats[$index]}, edge $edge");
            }
        }
    }

    public function testCornersOfTurnedFloatsLieWhereChromiumDrawsThem(): void
    {
        $random = new Randomizer(new Mt19937(6));
        $turned = [[100, 50, 301, 77, 3325], [10, 10, 5, 500, 9000], [-40, 20, 64, 64, -4500]];
        for ($number = 0; $number < 100; ++$number) {
            $size = [$random->getInt(1, 900), $random->getInt(1, 900)];
            $place = [$random->getInt(-99, 900), $random->getInt(-99, 900)];
            $turned[] = [...$place, ...$size, $random->getInt(-35_999, 35_999)];
        }
        $theirs = $this->browser()->executeScript(
            <<<'JS'
            document.body.innerHTML = '<svg width="2000" height="2000" style="position:absolute;left:0;top:0"></svg>'
            return arguments[0].map(([x, y, width, height, turn]) => {
              const group = document.body.firstChild.appendChild(document.createElementNS('http://www.w3.org/2000/svg', 'g'))
              group.setAttribute('transform', `rotate(${turn / 100} ${x + width / 2} ${y + height / 2})`)
              const matrix = group.getScreenCTM()
              return [[x, y], [x + width, y], [x + width, y + height], [x, y + height]]
                .map((corner) => new DOMPoint(...corner).matrixTransform(matrix)).map((point) => [point.x, point.y])
            })
            JS
            ,
            [$turned],
        );
        foreach ($turned as $index => [$x, $y, $width, $height, $turn]) {
            foreach (Outline::of(Rect::of($x, $y, $width, $height), $turn)->corners as $corner => $point) {
                // SVG reckons in single precision.
                foreach ([0, 1] as $axis) {
                    $there = $theirs[$index][$corner][$axis];
                    self::assertEqualsWithDelta($there, $point[$axis] / 1000, 0.01, "float $index");
                }
            }
        }
    }

    /** Within the canvas, partly beyond it, wholly beyond it; and what covers what. */
    public function testWhatIsOutsideAndCoveredAgreesWithShapely(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $canvas = Size::of(640, 360);
        $floats = [];
        for ($number = 0; $number < 300; ++$number) {
            $size = [$random->getInt(1, 300), $random->getInt(1, 300)];
            $turn = $number % 3 === 0 ? 0 : $random->getInt(-35_999, 35_999);
            $floats[] = [$random->getInt(-350, 700), $random->getInt(-350, 400), ...$size, $turn];
        }
        $outlines = array_map(
            static fn (array $one) => Outline::of(Rect::of($one[0], $one[1], $one[2], $one[3]), $one[4]),
            $floats,
        );
        // Debian's own interpreter: that is where its packages are.
        $shapely = new Process(['/usr/bin/python3', '-c', <<<'PY'
            import sys, json
            from shapely.geometry import Polygon, box
            floats, pairs = json.load(sys.stdin)
            shapes = [Polygon([(x / 1000, y / 1000) for x, y in one]) for one in floats]
            canvas = box(0, 0, 640, 360)
            print(json.dumps([
                ['within' if canvas.covers(one) else 'partly' if canvas.intersection(one).area > 1e-9 else 'outside' for one in shapes],
                [shapes[a].covers(shapes[b]) for a, b in pairs],
            ]))
            PY, ]);
        $pairs = [];
        foreach ($floats as $over => $one) {
            foreach ($floats as $under => $other) {
                if ($over !== $under && $one[4] === 0 && count($pairs) < 30_000) {
                    $pairs[] = [$over, $under];
                }
            }
        }
        $corners = array_map(static fn (Outline $one) => $one->corners, $outlines);
        $shapely->setInput((string) json_encode([$corners, $pairs]));
        $shapely->mustRun();
        [$beyond, $covers] = json_decode($shapely->getOutput(), true);
        $codes = ['float.partly_outside' => 'partly', 'float.outside' => 'outside'];
        foreach ($floats as $index => [$x, $y, $width, $height, $turn]) {
            $placed = new Placed('f', Rect::of($x, $y, $width, $height), $turn, 1, true);
            $found = Placing::beyond($placed, $canvas);
            self::assertSame(
                $beyond[$index],
                $found === [] ? 'within' : $codes[$found[0]->code],
                json_encode($floats[$index]) ?: '',
            );
        }
        self::assertGreaterThan(10, count(array_filter($covers)), 'some cover others');
        foreach ($pairs as $index => [$over, $under]) {
            [$x, $y, $width, $height] = $floats[$over];
            // The box of a turned one is rounded outwards: what covers it covers the outline.
            $says = Rect::of($x, $y, $width, $height)->contains($outlines[$under]->box());
            self::assertTrue(!$says || $covers[$index], 'nothing is called hidden that can be seen');
            if ($floats[$under][4] === 0) {
                self::assertSame($covers[$index], $says);
            }
        }
    }

    private function browser(): RemoteWebDriver
    {
        if (self::$browser === null) {
            self::$browser = Chromium::open();
            self::$browser->get('about:blank');
        }

        return self::$browser;
    }
}
