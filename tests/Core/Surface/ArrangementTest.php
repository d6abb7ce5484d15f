<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Surface;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Surface\Joints;
use UpperPane\Core\Surface\Numbering;
use UpperPane\Core\Surface\PlacedPanel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Core\Surface\SurfaceReader;

/** Panels that hang anywhere (model §2). */
final class ArrangementTest extends TestCase
{
    private const PANEL = ['native' => [100, 50], 'active_mm' => [100, 50]];

    /** A grid and the same panels listed one by one are the same surface. */
    public function testAListThatStandsAsAGridIsThatGrid(): void
    {
        $panel = ['native' => [1920, 1080], 'active_mm' => [1209.6, 680.4], 'bezel_mm' => [1.89, 1.89, 1.89, 1.89]];
        foreach (['compensated', 'butted'] as $mode) {
            $grid = $this->surface(['grid' => ['columns' => 3, 'rows' => 2, 'panel' => $panel], 'mode' => $mode]);
            $list = [];
            foreach ([0, 684.18] as $y) {
                foreach ([0, 1213.38, 2426.76] as $x) {
                    $list[] = $panel + ['position_mm' => [$x + 7.5, $y - 300]];
                }
            }
            shuffle($list);
            $listed = $this->surface(['panels' => $list, 'mode' => $mode]);

            self::assertSame($grid->seams[0]->toArray(), $listed->seams[0]->toArray());
            self::assertSame($this->rects($grid), $this->rects($listed));
            self::assertSame($grid->faceUm(), $listed->faceUm());
        }
    }

    /** Edges are rounded each by itself, so panels that touch in mm touch in px whatever their pitch. */
    public function testAPanelOfAnotherPitchCoversThePxBetweenItsRoundedEdges(): void
    {
        $surface = $this->surface([
            'panels' => [
                ['id' => 'led', 'native' => [100, 50], 'active_mm' => [300, 150], 'position_mm' => [0, 0]],
                ['id' => 'lcd', 'native' => [300, 400], 'active_mm' => [74, 150], 'position_mm' => [300, 0]],
            ],
        ]);

        self::assertSame([[0, 0, 100, 50], [100, 0, 25, 50]], $this->rects($surface));
        self::assertSame([12, 8], $surface->panel('lcd')->toArray()['scale']);
        self::assertSame([[100, 0, 0, 50]], $this->seams($surface));
        self::assertSame(['wall.panels_scaled'], $this->codes($surface));
    }

    /** With half of the coarser pixel as the bound, every px leads to a canvas px and back at any scale and turn. */
    public function testScaledPixelsComeBackWithinHalfTheCoarserPixel(): void
    {
        foreach ([[7, 5], [30, 20], [13, 41]] as $native) {
            foreach ([0, 90, 180, 270] as $turn) {
                $surface = $this->surface([
                    'panels' => [
                        ['id' => 'a', ...self::PANEL, 'position_mm' => [0, 0]],
                        [
                            'id' => 'b',
                            'native' => $native,
                            'active_mm' => [20, 15],
                            'rotation' => $turn,
                            'position_mm' => [100, 0],
                        ],
                    ],
                ]);
                $panel = $surface->panel('b');
                $coarser = [max(1.0, $panel->scaleX()->decimal(6)), max(1.0, $panel->scaleY()->decimal(6))];
                $bound = $turn % 180 === 0 ? $coarser : array_reverse($coarser);
                for ($u = 0; $u < $native[0]; ++$u) {
                    for ($v = 0; $v < $native[1]; ++$v) {
                        [$x, $y] = $panel->canvasPixel($u, $v);
                        self::assertTrue($panel->rect->contains(Rect::of($x, $y, 1, 1)));
                        $back = $panel->nativePixel($x, $y);
                        self::assertLessThanOrEqual($bound[0] / 2 + 0.5, abs($back[0] - $u), "$u, $v at $turn");
                        self::assertLessThanOrEqual($bound[1] / 2 + 0.5, abs($back[1] - $v), "$u, $v at $turn");
                    }
                }
            }
        }
    }

    public function testASeamIsWhereEdgesFaceWithNoPanelBetween(): void
    {
        $surface = $this->surface([
            'panels' => [
                ['id' => 'tall', 'native' => [50, 100], 'active_mm' => [50, 100], 'position_mm' => [0, 0]],
                ['id' => 'near', 'native' => [20, 40], 'active_mm' => [20, 40], 'position_mm' => [60, 30]],
                ['id' => 'far', 'native' => [50, 100], 'active_mm' => [50, 100], 'position_mm' => [100, 0]],
            ],
        ]);

        self::assertSame(
            [[50, 0, 50, 30], [50, 30, 10, 40], [80, 30, 20, 40], [50, 70, 50, 30]],
            $this->seams($surface),
        );
    }

    /**
     * Against a count of single pixels: a pixel of a row belongs to a seam when no panel shows it and panels stand to
     * its left and right; in a column likewise. Seams cover these and no others, each direction once (random walls,
     * overlaps among them).
     */
    public function testSeamsAreThePixelsBetweenPanels(): void
    {
        $random = new Randomizer(new Mt19937(3));
        for ($round = 0; $round < 60; ++$round) {
            $rects = [];
            for ($i = 0; $i < 9; ++$i) {
                $rects[] = Rect::of(
                    $random->getInt(0, 40),
                    $random->getInt(0, 40),
                    $random->getInt(1, 14),
                    $random->getInt(1, 14),
                );
            }
            if (Joints::gridLines($rects) !== null) {
                continue;
            }
            $count = [];
            foreach (Joints::of($rects) as $seam) {
                for ($x = $seam->x; $x < $seam->right(); ++$x) {
                    for ($y = $seam->y; $y < $seam->bottom(); ++$y) {
                        $count["$x $y"] = ($count["$x $y"] ?? 0) + 1;
                    }
                }
            }
            self::assertEquals($this->between($rects), $count);
        }
    }

    public function testOverlapIsAStopUnlessItIsABlend(): void
    {
        $panels = [
            ['id' => 'a', ...self::PANEL, 'position_mm' => [0, 0]],
            ['id' => 'b', ...self::PANEL, 'position_mm' => [80, 10]],
        ];
        $overlap = $this->surface(['panels' => $panels]);

        self::assertSame(['wall.panels_overlap'], $this->codes($overlap));
        self::assertSame(['a' => 'a', 'b' => 'b', 'width' => 20, 'height' => 40], $overlap->findings[0]->params);
        self::assertSame([], $this->codes($this->surface(['panels' => $panels, 'blends' => [['b', 'a']]])));
    }

    /** Every pair that shares a pixel is found once, against all pairs tried (random walls). */
    public function testFindsEveryOverlapOnce(): void
    {
        $random = new Randomizer(new Mt19937(5));
        for ($round = 0; $round < 30; ++$round) {
            $panels = array_map(
                static fn (int $i) => [
                    'id' => "p$i",
                    'native' => [$w = $random->getInt(1, 30), $h = $random->getInt(1, 30)],
                    'active_mm' => [$w, $h],
                    'position_mm' => [$random->getInt(0, 80), $random->getInt(0, 80)],
                ],
                range(0, 11),
            );
            $surface = $this->surface(['panels' => $panels]);
            $pairs = [];
            foreach ($surface->panels as $a) {
                foreach ($surface->panels as $b) {
                    if ($a->number < $b->number && $a->rect->common($b->rect) !== null) {
                        $pairs[] = $this->pair($a->id, $b->id);
                    }
                }
            }
            $found = array_filter(
                $surface->findings,
                static fn (Finding $finding) => $finding->code === 'wall.panels_overlap',
            );
            self::assertEqualsCanonicalizing(
                $pairs,
                array_values(
                    array_map(
                        fn (Finding $finding) => $this->pair(
                            (string) $finding->params['a'],
                            (string) $finding->params['b'],
                        ),
                        $found,
                    ),
                ),
            );
        }
    }

    private function pair(string $a, string $b): string
    {
        return min($a, $b).' '.max($a, $b);
    }

    /** Reading order by centre; a row is what differs by less than half the lower panel's height (common practice). */
    public function testNumbersLeftToRightThenTopToBottom(): void
    {
        $at = static fn (string $id, float $x, float $y, int $height = 50) => [
            'id' => $id,
            'native' => [100, $height],
            'active_mm' => [100, $height],
            'position_mm' => [$x, $y],
        ];
        $ids = static fn (Surface $surface) => array_map(
            static fn (PlacedPanel $panel) => $panel->id,
            $surface->panels,
        );

        self::assertSame(
            ['b', 'a', 'c'],
            $ids($this->surface(['panels' => [$at('a', 200, 0), $at('b', 0, 24), $at('c', 0, 80)]])),
        );
        self::assertSame(
            ['a', 'b'],
            $ids($this->surface(['panels' => [$at('b', 0, 25), $at('a', 200, 0)]])),
            'half the height apart is the next row',
        );
        self::assertSame(
            ['c', 'a', 'b'],
            $ids($this->surface(['panels' => [$at('a', 101, 0, 100), $at('b', 202, 30, 40), $at('c', 0, 40, 20)]])),
        );
    }

    /**
     * However panels hang, numbering gives each one number, and the rows are those that the rule's own words give,
     * tried on every panel.
     */
    public function testNumberingIsAPermutationByTheRule(): void
    {
        $random = new Randomizer(new Mt19937(9));
        for ($round = 0; $round < 200; ++$round) {
            $faces = array_map(
                static fn () => [
                    $random->getInt(0, 300),
                    $random->getInt(0, 120),
                    $random->getInt(1, 60),
                    $random->getInt(1, 60),
                ],
                range(1, $random->getInt(1, 14)),
            );
            self::assertSame($this->byTheRule($faces), Numbering::order($faces));
        }
    }

    /**
     * The topmost panel by centre begins a row; in it are all whose centres differ from its by less than half the lower
     * height.
     *
     * @param list<array{int, int, int, int}> $faces
     *
     * @return list<int>
     */
    private function byTheRule(array $faces): array
    {
        $centre = static fn (int $i, int $axis) => $faces[$i][$axis] + $faces[$i][$axis + 2] / 2;
        $left = array_keys($faces);
        $order = [];
        while ($left !== []) {
            usort(
                $left,
                static fn (int $a, int $b) => [$centre($a, 1), $centre($a, 0)] <=> [$centre($b, 1), $centre($b, 0)],
            );
            $row = array_filter(
                $left,
                static fn (int $i) => abs($centre($i, 1) - $centre($left[0], 1)) <
                    min($faces[$i][3], $faces[$left[0]][3]) / 2,
            );
            usort($row, static fn (int $a, int $b) => [$centre($a, 0), $a] <=> [$centre($b, 0), $b]);
            $order = [...$order, ...$row];
            $left = array_values(array_diff($left, $row));
        }

        return $order;
    }

    public function testRefusesWhatCannotBeResolved(): void
    {
        $panel = self::PANEL;
        $at = static fn (float $x) => $panel + ['position_mm' => [$x, 0]];
        $wrong = [
            ['input.missing', '/panels/1/position_mm', ['panels' => [$at(0), $panel]]],
            ['surface.panel_twice', '/panels/1/id', ['panels' => [['id' => '2'] + $at(0), $at(200)]]],
            ['surface.panel_unknown', '/blends/0', ['panels' => [$at(0), $at(200)], 'blends' => [['1', '3']]]],
            [
                'surface.butted_needs_grid',
                '/mode',
                ['panels' => [$at(0), ['rotation' => 90] + $at(200)], 'mode' => 'butted'],
            ],
            [
                'surface.panel_below_px',
                '/panels',
                ['panels' => [$at(0), ['native' => [100, 50], 'active_mm' => [0.2, 0.1], 'position_mm' => [200, 0]]]],
            ],
            ['surface.canvas_too_large', '', ['panels' => [$at(0), $at(99_901)]]],
            ['input.count', '/panels', ['panels' => array_fill(0, 401, $panel)]],
            ['input.range', '/panels/0/active_mm/1', ['panels' => [['active_mm' => [100, 0]] + $panel]]],
            ['input.range', '/panels/0/native/0', ['panels' => [['native' => [100_001, 50]] + $panel]]],
            ['input.type', '/panels/0/position_mm/0', ['panels' => [$at(\NAN), $panel]]],
        ];
        foreach ($wrong as [$code, $path, $input]) {
            try {
                $this->surface($input);
                self::fail("$code went through");
            } catch (Refusal $refusal) {
                self::assertSame([$code, $path], [$refusal->refusalCode, $refusal->path]);
            }
        }
    }

    /** @param array<string, mixed> $shape */
    private function surface(array $shape): Surface
    {
        return SurfaceReader::read(Input::of($shape));
    }

    /** @return list<array{int, int, int, int}> */
    private function rects(Surface $surface): array
    {
        return array_map(static fn (PlacedPanel $panel) => $panel->rect->toArray(), $surface->panels);
    }

    /** @return list<array{int, int, int, int}> */
    private function seams(Surface $surface): array
    {
        return array_map(static fn (Rect $seam) => $seam->toArray(), $surface->seams);
    }

    /** @return list<string> */
    private function codes(Surface $surface): array
    {
        return array_map(static fn (Finding $finding) => $finding->code, $surface->findings);
    }

    /**
     * @param list<Rect> $rects
     *
     * @return array<string, int> "x y" → in how many directions the pixel lies between panels
     */
    private function between(array $rects): array
    {
        $shown = static fn (int $x, int $y) => array_filter(
            $rects,
            static fn (Rect $rect) => $rect->contains(Rect::of($x, $y, 1, 1)),
        ) !== [];
        $lit = $between = [];
        for ($x = 0; $x < 55; ++$x) {
            for ($y = 0; $y < 55; ++$y) {
                $lit[$x][$y] = $shown($x, $y);
            }
        }
        for ($x = 0; $x < 55; ++$x) {
            for ($y = 0; $y < 55; ++$y) {
                $row = array_column($lit, $y);
                $ways =
                    (int) (in_array(true, array_slice($row, 0, $x), true)
                        && in_array(true, array_slice($row, $x), true)) +
                    (int) (in_array(true, array_slice($lit[$x], 0, $y), true)
                        && in_array(true, array_slice($lit[$x], $y), true));
                if (!$lit[$x][$y] && $ways > 0) {
                    $between["$x $y"] = $ways;
                }
            }
        }

        return $between;
    }
}
