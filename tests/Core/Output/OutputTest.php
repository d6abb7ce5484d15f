<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Output;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Output\Output;
use UpperPane\Core\Output\OutputMap;
use UpperPane\Core\Output\Slice;
use UpperPane\Core\Output\TestCard;
use UpperPane\Core\Output\Wiring;
use UpperPane\Core\Output\WiringCheck;
use UpperPane\Core\Surface\Surface;
use UpperPane\Core\Surface\SurfaceReader;

/** From canvas to signal and back (model §2, output map). */
final class OutputTest extends TestCase
{
    /** @return iterable<string, array{int, bool}> */
    public static function turnsAndMirrors(): iterable
    {
        foreach ([0, 90, 180, 270] as $turn) {
            yield "$turn degrees" => [$turn, false];
            yield "$turn degrees, mirrored" => [$turn, true];
        }
    }

    /** A native pixel, the canvas pixel it shows and the raster pixel that carries it are the same picture point. */
    #[DataProvider('turnsAndMirrors')]
    public function testEveryNativePixelFindsItsRasterPixelAndBack(int $turn, bool $mirror): void
    {
        $surface = $this->wall(2, 1, $turn);
        $map = Wiring::onePerOutput($surface, ['p' => 2])->mirrored($mirror);
        $size = $surface->panels[0]->panel->native;
        $seen = [];
        foreach ($surface->panels as $index => $panel) {
            $slice = $map->outputs[$index]->slices[0];
            for ($u = 0; $u < $size->width; ++$u) {
                for ($v = 0; $v < $size->height; ++$v) {
                    [$x, $y] = $panel->canvasPixel($u, $v);
                    self::assertSame([$mirror ? $size->width - 1 - $u : $u, $v], $slice->rasterPixel($x, $y));
                    self::assertSame([$x, $y], $slice->canvasPixel(...$slice->rasterPixel($x, $y)));
                    $seen["$x,$y"] = true;
                }
            }
        }
        self::assertCount(2 * $size->width * $size->height, $seen, 'all panels together, each canvas px once');
    }

    /** The matrix for CSS and SVG puts the centre of a canvas pixel on the centre of its raster pixel. */
    #[DataProvider('turnsAndMirrors')]
    public function testTheMatrixSaysTheSame(int $turn, bool $mirror): void
    {
        $slice = Slice::of(
            '1',
            Rect::of(30, 10, 8, 6),
            Rect::of(5, 7, $turn % 180 === 0 ? 8 : 6, $turn % 180 === 0 ? 6 : 8),
            $turn,
            $mirror,
        );
        [$a, $b, $c, $d, $e, $f] = array_map(floatval(...), $slice->matrix());
        for ($x = 30; $x < 38; ++$x) {
            for ($y = 10; $y < 16; ++$y) {
                self::assertSame($slice->rasterPixel($x, $y), [
                    (int) floor($a * ($x + 0.5) + $c * ($y + 0.5) + $e),
                    (int) floor($b * ($x + 0.5) + $d * ($y + 0.5) + $f),
                ]);
            }
        }
    }

    public function testTheReadyWaysToWire(): void
    {
        $wall = $this->wall(2, 2, 0, [1920, 1080]);
        $shared = Wiring::onOneSignal($wall, 'p', 1, Size::of(3840, 2160))->outputs[0];
        self::assertSame(
            [[0, 0, 1920, 1080], [1920, 0, 1920, 1080], [0, 1080, 1920, 1080], [1920, 1080, 1920, 1080]],
            $this->rasters($shared),
        );
        self::assertSame([], WiringCheck::of(OutputMap::of([$shared]), $wall, ['p' => 1]));

        $half = Wiring::onOneSignal($wall, 'p', 1, Size::of(1920, 1080));
        self::assertSame([960, 0, 960, 540], $this->rasters($half->outputs[0])[1]);
        self::assertSame(['output.scaled'], array_unique($this->codes(WiringCheck::of($half, $wall, ['p' => 1]))));

        // Three beside each other are too wide natively, so each takes a third; so do three below each other.
        $three = Wiring::onOneSignal($this->wall(3, 1, 0, [1920, 1080]), 'p', 1, Size::of(3840, 2160));
        self::assertSame([2560, 0, 1280, 2160], $this->rasters($three->outputs[0])[2]);
        $tower = Wiring::onOneSignal($this->wall(1, 3, 0, [1920, 1080]), 'p', 1, Size::of(3840, 2160));
        self::assertSame([0, 1440, 3840, 720], $this->rasters($tower->outputs[0])[2]);

        $ribbon = SurfaceReader::read(Input::of(['panels' => [['native' => [960, 96], 'active_mm' => [5760, 576]]]]));
        $corner = Wiring::onOneSignal($ribbon, 'r', 1, Size::of(1920, 1080));
        self::assertSame([[0, 0, 960, 96]], $this->rasters($corner->outputs[0]));
        $finding = WiringCheck::of($corner, $ribbon, ['r' => 1])[0];
        self::assertSame(['output.uncovered', 1920 * 1080 - 960 * 96], [$finding->code, $finding->params['px']]);

        $folded = Wiring::folded($ribbon, 'r', 1, Size::of(640, 480), 400)->outputs[0];
        self::assertSame([[0, 0, 400, 96], [0, 96, 400, 96], [0, 192, 160, 96]], $this->rasters($folded));
        self::assertSame(
            [[0, 0, 400, 96], [400, 0, 400, 96], [800, 0, 160, 96]],
            array_map(static fn (Slice $slice) => $slice->canvas->toArray(), $folded->slices),
        );
        self::assertSame(
            ['output.uncovered'],
            $this->codes(WiringCheck::of(OutputMap::of([$folded]), $ribbon, ['r' => 1])),
        );
    }

    /**
     * Wiring in another order gives each place another panel: nothing is lost, nothing doubled, and back again is as
     * before.
     */
    public function testRenumberingIsAPermutation(): void
    {
        $surface = $this->wall(3, 2, 90);
        $map = Wiring::onePerOutput($surface, ['left' => 4, 'right' => 2]);
        $panels = static fn (OutputMap $map) => array_map(
            static fn (Output $output) => $output->slices[0]->panel,
            $map->outputs,
        );
        mt_srand(7);
        for ($round = 0; $round < 20; ++$round) {
            $order = ['1', '2', '3', '4', '5', '6'];
            shuffle($order);
            $rewired = $map->rewired($order, $surface);
            self::assertSame($order, $panels($rewired));
            self::assertSame($map->toArray(), $rewired->rewired($panels($map), $surface)->toArray());
            self::assertSame([], WiringCheck::of($rewired, $surface, ['left' => 4, 'right' => 2]));
        }
        self::assertSame(
            ['left · 1', 'left · 2', 'left · 3', 'left · 4', 'right · 1', 'right · 2'],
            array_map(static fn (Output $output) => $output->name(), $map->outputs),
        );
        foreach (
            [['1', '2', '3', '4', '5'], ['1', '1', '2', '3', '4', '5'], ['1', '2', '3', '4', '5', '7']] as $wrong
        ) {
            try {
                $map->rewired($wrong, $surface);
                self::fail('an incomplete order went through');
            } catch (Refusal $refusal) {
                self::assertSame('output.order_incomplete', $refusal->refusalCode);
            }
        }
    }

    public function testFindsWhatIsWrong(): void
    {
        $surface = $this->wall(2, 1, 0, [100, 50]);
        $slice = static fn (string $panel, array $canvas, array $raster) => [
            'panel' => $panel,
            'canvas' => $canvas,
            'raster' => $raster,
            'turn' => 0,
            'mirror' => false,
        ];
        $output = static fn (int $number, array ...$slices) => [
            'player' => 'p',
            'number' => $number,
            'px' => [100, 50],
            'millihertz' => 60_000,
            'slices' => $slices,
        ];
        $left = $slice('1', [0, 0, 100, 50], [0, 0, 100, 50]);
        $right = $slice('2', [101, 0, 100, 50], [0, 0, 100, 50]);
        $cases = [
            [[$output(1, $left), $output(2, $right)], []],
            [[$output(1, $left), $output(1, $right)], ['output.used_twice']],
            [[$output(1, $left), $output(3, $right)], ['output.beyond_player']],
            [[$output(1, $left), ['player' => 'q'] + $output(1, $right)], ['output.player_unknown']],
            [[$output(1, $left)], ['output.panel_unwired']],
            [[$output(1, $left, $right)], ['output.slices_overlap']],
            [
                [$output(1, $left), $output(2, $slice('2', [101, 0, 99, 50], [0, 0, 99, 50]))],
                ['output.panel_partly', 'output.uncovered'],
            ],
            [
                [$output(1, $left), $output(2, $slice('2', [101, 0, 100, 50], [1, 0, 100, 50]))],
                ['output.beyond_raster', 'output.uncovered'],
            ],
            [
                [$output(1, $left), $output(2, $slice('3', [101, 0, 100, 50], [0, 0, 100, 50]))],
                ['output.panel_gone', 'output.panel_unwired'],
            ],
            [
                [$output(1, $left), $output(2, $slice('2', [101, 0, 101, 50], [0, 0, 100, 50]))],
                ['output.beyond_canvas', 'output.scaled'],
            ],
        ];
        foreach ($cases as [$outputs, $codes]) {
            self::assertSame(
                $codes,
                $this->codes(WiringCheck::of(OutputMap::parse(Input::of($outputs)), $surface, ['p' => 2])),
            );
        }
    }

    /** The card is exactly the raster, well-formed, and says panel, number, player and output. */
    public function testTheTestCardIsExactlyTheRaster(): void
    {
        $surface = $this->wall(3, 2, 0, [1920, 1080]);
        $output = Wiring::onePerOutput($surface, ['hall & co' => 6])->outputs[4];
        $svg = simplexml_load_string(TestCard::svg($output, $surface));

        self::assertNotFalse($svg);
        self::assertSame(['1920', '1080'], [(string) $svg['width'], (string) $svg['height']]);
        $svg->registerXPathNamespace('s', 'http://www.w3.org/2000/svg');
        $words = array_map(strval(...), (array) $svg->xpath('//s:text'));
        self::assertContains('E 5', $words);
        self::assertContains('hall & co · 5', $words);
    }

    /**
     * Numbers stand at every 100 px, where a letter of a 90th of the lesser side is legible: 8 px and more.
     *
     * @param array{int, int} $native
     */
    #[TestWith([[1280, 720], 12 + 7])]
    #[TestWith([[1280, 719], 0])]
    #[TestWith([[740, 740], 7 + 7])]
    #[TestWith([[732, 740], 6 + 7])]
    public function testTheRulerHasNumbersWhereTheyCanBeRead(array $native, int $numbers): void
    {
        $surface = $this->wall(1, 1, 0, $native);
        $svg = TestCard::svg(Wiring::onePerOutput($surface, ['p' => 1])->outputs[0], $surface);
        preg_match_all('/>(\d+00)<\/text>/', $svg, $found);

        self::assertCount($numbers, $found[1]);
    }

    /**
     * The drawing itself, as it was looked at and found good (tests/cases/test-card.svg opens in a browser): a panel
     * with a bezel beside it, mounted upside down.
     */
    public function testTheTestCardIsAsItWasFoundGood(): void
    {
        $surface = $this->wall(2, 1, 180, [640, 480]);
        $output = Wiring::onePerOutput($surface, ['hall' => 2])->outputs[1];

        self::assertXmlStringEqualsXmlFile(
            \dirname(__DIR__, 2).'/cases/test-card.svg',
            TestCard::svg($output, $surface),
        );
    }

    /**
     * @param array{int, int} $native
     */
    private function wall(int $columns, int $rows, int $rotation, array $native = [7, 4]): Surface
    {
        $panel = [
            'native' => $native,
            'active_mm' => $native,
            'bezel_mm' => [0.5, 0.5, 0.5, 0.5],
            'rotation' => $rotation,
        ];

        return SurfaceReader::read(Input::of(['grid' => ['columns' => $columns, 'rows' => $rows, 'panel' => $panel]]));
    }

    /** @return list<array{int, int, int, int}> */
    private function rasters(Output $output): array
    {
        return array_map(static fn (Slice $slice) => $slice->raster->toArray(), $output->slices);
    }

    /**
     * @param list<Finding> $findings
     *
     * @return list<string>
     */
    private function codes(array $findings): array
    {
        return array_map(static fn (Finding $finding) => $finding->code, $findings);
    }
}
