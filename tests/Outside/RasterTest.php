<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use Facebook\WebDriver\Remote\RemoteWebDriver;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Output\Slice;
use UpperPane\Core\Output\TestCard;
use UpperPane\Core\Output\Wiring;
use UpperPane\Core\Surface\SurfaceReader;
use UpperPane\Tests\Support\Chromium;

/** What leaves an output, as Debian's Chromium draws it: the slices' matrices and the test card, px by px. */
final class RasterTest extends TestCase
{
    private static ?RemoteWebDriver $browser = null;

    public static function tearDownAfterClass(): void
    {
        self::$browser?->quit();
        self::$browser = null;
    }

    /**
     * A canvas pixel drawn through a slice's CSS matrix lands on the raster pixel that the core names: all turns,
     * mirrored or not, sized or not.
     */
    public function testChromiumPutsEveryPixelWhereTheCoreSays(): void
    {
        foreach ([0, 90, 180, 270] as $turn) {
            foreach ([false, true] as $mirror) {
                foreach ([1, 3] as $scale) {
                    $size = $turn % 180 === 0 ? [5 * $scale, 3 * $scale] : [3 * $scale, 5 * $scale];
                    $slice = Slice::of(
                        '1',
                        Rect::of(40, 20, 5, 3),
                        Rect::of(60, 30, $size[0], $size[1]),
                        $turn,
                        $mirror,
                    );
                    /** @var list<array{float, float}> $centres */
                    $centres = $this->browser()->executeScript(
                        <<<'JS'
                        const [matrix, x0, y0] = arguments
                        document.body.innerHTML = '<div style="position:absolute;left:0;top:0;width:100px;height:60px;transform-origin:0 0"></div>'
                        const root = document.body.firstChild
                        root.style.transform = `matrix(${matrix.join(',')})`
                        const centres = []
                        for (let y = 0; y < 3; y++) for (let x = 0; x < 5; x++) {
                          const dot = root.appendChild(document.createElement('i'))
                          dot.style.cssText = `position:absolute;left:${x0 + x}px;top:${y0 + y}px;width:1px;height:1px`
                          const box = dot.getBoundingClientRect()
                          centres.push([box.left + box.width / 2, box.top + box.height / 2])
                        }
                        return centres
                        JS
                        ,
                        [$slice->matrix(), 40, 20],
                    );
                    foreach ($centres as $index => [$x, $y]) {
                        self::assertSame(
                            $slice->rasterPixel(40 + ($index % 5), 20 + intdiv($index, 5)),
                            [(int) floor($x), (int) floor($y)],
                            "{$turn}°, mirror ".($mirror ? 'yes' : 'no').", × $scale",
                        );
                    }
                }
            }
        }
    }

    /**
     * The border is one pixel wide on all sides, the greys rise in equal steps, the circle is as wide as it is high.
     */
    public function testTheTestCardAsItIsDrawn(): void
    {
        $surface = SurfaceReader::read(Input::of(['panels' => [['native' => [640, 360], 'active_mm' => [640, 360]]]]));
        $pixel = $this->drawn(TestCard::svg(Wiring::onePerOutput($surface, ['p' => 1])->outputs[0], $surface));
        $ink = [0xF4, 0xF1, 0xEA];

        foreach ([[0, 180], [639, 180], [250, 0], [250, 359]] as [$x, $y]) {
            self::assertSame($ink, $pixel($x, $y), "the border at $x, $y");
        }
        self::assertNotSame($ink, $pixel(638, 165));
        $greys = array_map(static fn (int $step) => $pixel(intdiv(640 * (2 * $step + 1), 22), 345), range(0, 10));
        self::assertSame(
            array_map(static fn (int $step) => array_fill(0, 3, intdiv(255 * $step, 10)), range(0, 10)),
            $greys,
        );

        // From the circle's centre outwards until its line is met: left, right, up and down are equally far.
        [$centreX, $centreY] = [320, (int) round(360 * 0.46)];
        $reach = static function (int $stepX, int $stepY) use ($pixel, $centreX, $centreY): int {
            for ($far = 145; $far > 100; --$far) {
                if ($pixel($centreX + $stepX * $far, $centreY + $stepY * $far)[0] > 150) {
                    return $far;
                }
            }

            return 0;
        };
        $far = [$reach(-1, 0), $reach(1, 0), $reach(0, -1), $reach(0, 1)];
        self::assertEqualsWithDelta(144, $far[0], 2);
        self::assertLessThanOrEqual(2, max($far) - min($far), 'within its line: '.implode(', ', $far));
    }

    /** @return \Closure(int, int): array{int, int, int} the red, green and blue of a pixel of a screenshot */
    private function drawn(string $svg): \Closure
    {
        $this->browser()->executeScript(
            'document.body.innerHTML = arguments[0]; document.body.style.margin = 0; document.body.firstChild.style.display = "block"',
            [$svg],
        );
        $image = imagecreatefromstring($this->browser()->takeScreenshot());
        self::assertNotFalse($image);

        return static function (int $x, int $y) use ($image): array {
            $colour = (int) imagecolorat($image, $x, $y);

            return [($colour >> 16) & 255, ($colour >> 8) & 255, $colour & 255];
        };
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
