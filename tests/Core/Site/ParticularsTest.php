<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Site;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Area;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Site\NamedArea;
use UpperPane\Core\Site\NamedId;
use UpperPane\Core\Site\SlipGuard;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Core\Surface\Legibility;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\PanelFigures;

final class ParticularsTest extends TestCase
{
    public function testAPixelIsDrawnUnderTheAngleItHasOnTheWall(): void
    {
        // CSS 2.1 §4.3.2, its figure: at 3.5 m a px is about 1.3 mm, at 71 cm about 0.26 mm (from memory).
        self::assertEqualsWithDelta(1_000_000, Legibility::seenPpm(Rational::of(1300), 3500), 2000);
        self::assertEqualsWithDelta(1_000_000, Legibility::seenPpm(Rational::of(2646, 10), 711), 1000);
    }

    /**
     * Acuity 1′ (Snellen, ISO 8596), 16′ and 22′ (ISO 9241-303), 1 inch per 10 feet (trade rule): values of checks.md,
     * from memory.
     */
    public function testReadingDistances(): void
    {
        self::assertEqualsWithDelta(2165, Legibility::pixelDistanceMm(0.6297), 0.5);
        self::assertEqualsWithDelta(46.5, Legibility::heightMm(16, 10_000), 0.05);
        self::assertEqualsWithDelta(128.0, Legibility::heightMm(22, 20_000), 0.05);
        self::assertEqualsWithDelta(28.6, Legibility::arcminutes(25.4, 3048), 0.05);
        self::assertSame(
            ['pixel_distance_m' => 2.2, 'least_px' => 74, 'good_px' => 102, 'thumb_px' => 133],
            Legibility::ofSurface(Rational::of(630), 10_000),
        );
        foreach ([1, 16, 40, 600] as $arcmin) {
            self::assertEqualsWithDelta(
                $arcmin,
                Legibility::arcminutes(Legibility::heightMm($arcmin, 7_000), 7_000),
                1e-9,
            );
        }
    }

    /**
     * px, pitch, size: whatever two are given of a true triple, the same three come out (odd LED sizes of the trade).
     */
    public function testAnyTwoOfPixelsPitchAndSizeGiveTheThird(): void
    {
        foreach (
            [
                [[960, 96], [6, 6], [5760, 576]],
                [[250, 140], [3.91, 3.91], [977.5, 547.4]],
                [[1920, 1080], [0.63, 0.63], [1209.6, 680.4]],
            ] as [$native, $pitch, $active]
        ) {
            $whole = ['native' => $native, 'pitch_mm' => $pitch, 'active_mm' => $active];
            foreach ([null, 'native', 'pitch_mm', 'active_mm'] as $left) {
                self::assertEquals(
                    ['native' => $native, 'active_mm' => $active, 'pitch_mm' => $pitch],
                    PanelFigures::parse(Input::of(array_diff_key($whole, [(string) $left => 0])))->toArray(),
                    "without $left",
                );
            }
        }
        // handmade.edid of checks.md: 1209 × 680 mm is a diagonal of 54.61″.
        self::assertEqualsWithDelta(
            [1209, 680],
            PanelFigures::parse(Input::of(['native' => [1920, 1080], 'diagonal_in' => 54.61]))->toArray()['active_mm'],
            0.2,
        );
        self::assertNull(PanelFigures::parse(Input::of(['native' => [1, 1]])), 'one of three gives nothing yet');
        // 5763 ÷ 6 = 960.5, and 2 mm are a third of a px: never less than one.
        foreach ([5763 => ['960.5', 961, '5766'], 2 => ['0.333', 1, '6']] as $mm => [$px, $nearest, $would]) {
            $refusal = $this->refused(
                'figures.not_whole',
                '/active_mm/0',
                static fn () => PanelFigures::parse(Input::of(['pitch_mm' => [6, 6], 'active_mm' => [$mm, 576]])),
            );
            self::assertSame(['px' => $px, 'nearest' => $nearest, 'mm' => $would], $refusal->params);
        }
        $contradiction = $this->refused(
            'figures.contradict',
            '/active_mm/1',
            static fn () => PanelFigures::parse(
                Input::of(['native' => [960, 88], 'pitch_mm' => [6, 6], 'active_mm' => [5760, 576]]),
            ),
        );
        self::assertSame(
            ['px' => 88, 'would' => '528', 'given' => '576', 'difference' => '48', 'nearest' => 96],
            $contradiction->params,
        );
    }

    public function testAsksWhenWidthAndHeightLookSwapped(): void
    {
        $codes = static fn (array $findings) => array_map(static fn (Finding $finding) => $finding->code, $findings);
        $portrait = Size::of(1080, 1920);
        $landscape = Size::of(1920, 1080);

        self::assertSame(['surface.looks_swapped'], $codes(SlipGuard::questions($landscape, true, 'LCD', [])));
        self::assertSame(
            ['surface.unlike_its_kind'],
            $codes(SlipGuard::questions($portrait, true, 'LED', [$landscape, $landscape])),
        );
        self::assertSame([], SlipGuard::questions($portrait, true, 'LED', [$landscape, $portrait]));
        self::assertSame([], SlipGuard::questions($portrait, null, 'LED', [$landscape]), 'one other says nothing yet');
        self::assertSame([], SlipGuard::questions(Size::of(500, 500), true, 'LED', [$landscape, $landscape]));
    }

    /** Neighbours in % always touch: edges are rounded, not sizes. */
    public function testNamedAreasStayOnTheCanvas(): void
    {
        $area = static fn (string $unit, array $rect) => NamedArea::parse(
            Input::of(['name' => 'n', 'unit' => $unit, 'rect' => $rect]),
        );
        foreach ([1366, 1919, 5772, 97] as $width) {
            $canvas = Size::of($width, 100);
            $third = $area('%', [0, 0, 33.333, 100])->on($canvas);
            self::assertSame($third->right(), $area('%', [33.333, 0, 33.333, 100])->on($canvas)->x);
            self::assertSame(
                $canvas->rect()->toArray(),
                $area('%', [0, 0, 100, 100])
                    ->on($canvas)
                    ->toArray(),
            );
        }
        $this->refused('area.outside', '/rect', static fn () => $area('px', [0, 0, 101, 100])->on(Size::of(100, 100)));
        $this->refused('area.outside', '/rect', static fn () => $area('%', [50, 0, 50.6, 100])->on(Size::of(100, 100)));
        $this->refused('area.below_px', '/rect', static fn () => $area('%', [0, 0, 0.1, 100])->on(Size::of(100, 100)));
    }

    public function testASheetIsCheckedAsAWhole(): void
    {
        $sheet = self::ribbon();
        self::assertSame([[2000, 10_000], 'Ribbon'], [$sheet->viewingMm(), $sheet->field('name')]);
        self::assertSame('Quay', $sheet->with(['name' => ' Quay '])->field('name'));
        $area = ['name' => 'whole', 'unit' => 'px', 'rect' => [0, 0, 960, 96]];
        $with = $sheet->with(['areas' => [$area], 'safe_px' => [10, 10, 10, 10]]);
        $this->refused('area.name_twice', '/areas/1/name', static fn () => $with->with(['areas' => [$area, $area]]));
        $this->refused(
            'surface.viewing_order',
            '/viewing_mm/1',
            static fn () => $with->with(['viewing_mm' => [5000, 4000]]),
        );
        $this->refused('surface.safe_too_wide', '/safe_px', static fn () => $with->with(['safe_px' => [0, 50, 0, 46]]));
        $this->refused(
            'area.outside',
            '/areas/0/rect',
            static fn () => $with->with([
                'shape' => ['panels' => [['native' => [950, 96], 'active_mm' => [5760, 576]]]],
            ]),
        );
        $this->refused('input.missing', '/name', static fn () => $with->with(['name' => '  ']));
        $this->refused(
            'input.range',
            '/shape/panels/0/native/1',
            static fn () => $with->with([
                'shape' => ['panels' => [['native' => [950, 0], 'active_mm' => [5760, 576]]]],
            ]),
        );
    }

    /** What a new sheet says before anybody said anything. */
    public function testAFreshSheetIsAsUsual(): void
    {
        $sheet = self::ribbon();

        self::assertSame(
            [0, 1200, [2000, 10_000], [0, 0, 0, 0], false, false, [], [], false],
            array_map($sheet->field(...), [
                'left_mm',
                'floor_mm',
                'viewing_mm',
                'safe_px',
                'sound',
                'touch',
                'groups',
                'areas',
                'archived',
            ]),
        );
        self::assertSame([0, 0, 960, 96], $sheet->safe()->toArray());
        self::assertSame(
            [1, 2, 956, 90],
            $sheet
                ->with(['safe_px' => [1, 2, 3, 4]])
                ->safe()
                ->toArray(),
        );
        // Names, as sheets had them before version 4, become the same ids wherever they stand.
        $ids = array_map(NamedId::Group->of(...), ['a', 'b']);
        self::assertSame($ids, $sheet->with(['groups' => [' a', 'b ', 'a', $ids[1]]])->groups());
    }

    /** What stands for no surface yet is as large as it was said to be. */
    public function testASizeAloneHasItsMeasure(): void
    {
        $surface = SurfaceSheet::ofSize(Size::of(1920, 1080), 1_209_600, 680_400)->surface;
        self::assertSame([1_209_600, 680_400], [$surface->widthUm(1920), $surface->heightUm(1080)]);
    }

    /** The next output is the first that carries nothing; else one beyond the first player's. */
    public function testTheNextOutputIsAFreeOne(): void
    {
        $next = static fn (array $players, array $used) => self::ribbon()
            ->with([
                'players' => $players,
                'outputs' => array_map(
                    static fn (array $one) => [
                        'player' => $one[0],
                        'number' => $one[1],
                        'px' => [960, 96],
                        'millihertz' => 60_000,
                        'slices' => [],
                    ],
                    $used,
                ),
            ])
            ->nextOutput()
            ?->name();

        self::assertNull($next([], []));
        self::assertSame('p · 1', $next(['p' => 1], []));
        self::assertSame('p · 2', $next(['p' => 2, 'q' => 1], [['p', 1]]));
        self::assertSame('q · 1', $next(['p' => 1, 'q' => 1], [['p', 1]]));
        self::assertSame('p · 3', $next(['p' => 1, 'q' => 1], [['p', 1], ['q', 1]]));
    }

    /** Areas and panels are written as they are read. */
    public function testAreasAndPanelsAreWrittenAsTheyAreRead(): void
    {
        foreach ([['px', [1, 2, 3, 4]], ['%', [0, 12.5, 33.333, 50]]] as [$unit, $rect]) {
            $area = ['id' => 'a-0123456789ab', 'name' => 'n', 'unit' => $unit, 'rect' => $rect];
            self::assertSame($area, NamedArea::parse(Input::of($area))->toArray());
        }
        $panel = ['native' => [3, 2], 'active_mm' => [6.5, 4], 'bezel_mm' => [1, 2.25, 3, 4], 'rotation' => 90];
        self::assertEquals($panel, Panel::parse(Input::of($panel))->toArray());
        self::assertSame(
            [[0, 0, 0, 0], 0],
            [
                Panel::parse(Input::of(['native' => [3, 2], 'active_mm' => [6, 4]]))->bezelUm,
                Panel::parse(Input::of(['native' => [3, 2], 'active_mm' => [6, 4]]))->rotation,
            ],
        );
        self::assertSame(180, Panel::parse(Input::of($panel))->turnedBy(180)->rotation);
    }

    private static function ribbon(): SurfaceSheet
    {
        return SurfaceSheet::fresh([
            'name' => 'Ribbon',
            'kind' => 'LED',
            'shape' => ['panels' => [['native' => [960, 96], 'active_mm' => [5760, 576]]]],
        ]);
    }

    /** The union worked out with shapely (checks.md), and brute force on random rectangles. */
    public function testCoveredAreaCountsEachPixelOnce(): void
    {
        self::assertSame(
            1_670_000,
            Area::covered([Rect::of(0, 0, 1280, 720), Rect::of(640, 360, 1280, 720), Rect::of(1000, 100, 500, 500)]),
        );
        mt_srand(5);
        for ($round = 0; $round < 30; ++$round) {
            $rects = array_map(
                static fn () => Rect::of(mt_rand(0, 20), mt_rand(0, 20), mt_rand(1, 12), mt_rand(1, 12)),
                range(1, 6),
            );
            $seen = [];
            foreach ($rects as $rect) {
                for ($x = $rect->x; $x < $rect->right(); ++$x) {
                    for ($y = $rect->y; $y < $rect->bottom(); ++$y) {
                        $seen["$x,$y"] = true;
                    }
                }
            }
            self::assertSame(count($seen), Area::covered($rects));
        }
    }

    private function refused(string $code, string $path, \Closure $does): Refusal
    {
        try {
            $does();
        } catch (Refusal $refusal) {
            self::assertSame([$code, $path], [$refusal->refusalCode, $refusal->path]);

            return $refusal;
        }
        self::fail("$code went through");
    }
}
