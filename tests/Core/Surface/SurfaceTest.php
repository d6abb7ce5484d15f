<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Surface;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\PanelGrid;
use UpperPane\Core\Surface\Surface;
use UpperPane\Core\Surface\SurfaceReader;

final class SurfaceTest extends TestCase
{
    /** Wall sizes of common practice, and the model's own check values for bezel compensation (model §2). */
    public function testResolvesWalls(): void
    {
        $panel = static fn (int $bezelUm) => Panel::of(Size::of(1920, 1080), 1_209_600, 680_400, [
            $bezelUm,
            $bezelUm,
            $bezelUm,
            $bezelUm,
        ]);
        $wall = Surface::ofGrid(PanelGrid::of($panel(1890), 3, 2));
        $narrow = Surface::ofGrid(PanelGrid::of($panel(1750), 3, 1));

        self::assertSame([5772, 2166], $wall->canvas->toArray());
        self::assertSame(
            [[1920, 0, 6, 2166], [3846, 0, 6, 2166], [0, 1080, 1920, 6], [1926, 1080, 1920, 6], [3852, 1080, 1920, 6]],
            array_map(static fn (Rect $seam) => $seam->toArray(), $wall->seams),
        );
        self::assertSame(
            [0, 1926, 3851],
            array_map(static fn ($placed) => $placed->rect->x, $narrow->panels),
            'a seam of 3.5 mm is rounded once per position',
        );
        self::assertSame([3840, 2160], PanelGrid::of($panel(1890), 2, 2, compensated: false)->canvas()->toArray());
        self::assertSame([5760, 1080], PanelGrid::of($panel(1890), 3, 1, compensated: false)->canvas()->toArray());
        self::assertCount(
            2,
            PanelGrid::of($panel(1890), 3, 1, compensated: false)->seams(),
            'butted joints are listed too',
        );
    }

    /** @return iterable<string, array{int}> */
    public static function turns(): iterable
    {
        foreach ([0, 90, 180, 270] as $turn) {
            yield "$turn degrees" => [$turn];
        }
    }

    #[DataProvider('turns')]
    public function testEveryNativePixelHasOneCanvasPlaceAndBack(int $turn): void
    {
        $placed = Surface::ofPanel(Panel::of(Size::of(7, 4), 700, 400, rotation: $turn))->panels[0];
        $seen = [];
        for ($u = 0; $u < 7; ++$u) {
            for ($v = 0; $v < 4; ++$v) {
                [$x, $y] = $placed->canvasPixel($u, $v);
                self::assertSame([$u, $v], $placed->nativePixel($x, $y));
                self::assertTrue($x >= 0 && $y >= 0 && $x < $placed->rect->width && $y < $placed->rect->height);
                $seen["$x,$y"] = true;
            }
        }
        self::assertCount(28, $seen);
        self::assertSame((360 - $turn) % 360, $placed->panel->signalTurn());
    }

    /** The edge that lies left before a clockwise quarter turn is on top after it. */
    public function testTurnsBezelsWithThePanel(): void
    {
        $bezels = array_map(
            static fn (int $turn) => Panel::of(Size::of(2, 1), 2, 1, [1, 2, 3, 4], $turn)->mounted()->bezelUm,
            [90, 180, 270],
        );

        self::assertSame([[4, 1, 2, 3], [3, 4, 1, 2], [2, 3, 4, 1]], $bezels);
    }

    public function testPanelsAndSeamsTileTheCanvas(): void
    {
        foreach (
            [[3, 2, 1890, 0], [4, 3, 777, 501], [1, 5, 90, 1], [10, 1, 3333, 7]] as [$columns, $rows, $bezelUm, $gapUm]
        ) {
            foreach ([0, 90] as $turn) {
                $grid = PanelGrid::of(
                    Panel::of(Size::of(192, 108), 120_960, 68_040, [$bezelUm, $bezelUm, 0, $bezelUm], $turn),
                    $columns,
                    $rows,
                    $gapUm,
                    $gapUm,
                );
                $area =
                    array_sum(
                        array_map(static fn ($placed) => $placed->rect->width * $placed->rect->height, $grid->panels()),
                    ) + array_sum(array_map(static fn (Rect $seam) => $seam->width * $seam->height, $grid->seams()));
                self::assertSame($grid->canvas()->width * $grid->canvas()->height, $area);
            }
        }
    }

    public function testRefusesWhatIsNoSurface(): void
    {
        $panel = ['native' => [1920, 1080], 'active_mm' => [100, 50]];
        $wrong = [
            'input.range' => ['panels' => [['native' => [0, 1080]] + $panel]],
            'input.type' => ['panels' => [['native' => ['1920', 1080]] + $panel]],
            'surface.grid_or_panels' => [],
            'surface.blends_in_grid' => [
                'grid' => ['columns' => 2, 'rows' => 1, 'panel' => $panel],
                'blends' => [['1', '2']],
            ],
            'input.unknown_key' => ['panels' => [$panel + ['colour' => 1]]],
            'input.choice' => ['panels' => [$panel + ['rotation' => 45]]],
        ];
        foreach ($wrong as $code => $input) {
            try {
                SurfaceReader::read(Input::of($input));
                self::fail("$code went through");
            } catch (Refusal $refusal) {
                self::assertSame($code, $refusal->refusalCode);
            }
        }
    }
}
