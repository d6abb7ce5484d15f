<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Surface;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Surface\Ground;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\PanelGrid;
use UpperPane\Core\Surface\Surface;

/** What lies under a canvas or a part of one. The wall: 3 × 2 panels of 100 × 50 px with seams of 4 px. */
final class GroundTest extends TestCase
{
    public function testNamesColumnsAndRowsByTheirPanels(): void
    {
        $ground = Ground::of($this->wall());

        self::assertSame(
            ['columns' => [['A', 'D'], ['B', 'E'], ['C', 'F']], 'rows' => [['A', 'B', 'C'], ['D', 'E', 'F']]],
            $ground->ranks,
        );
        self::assertSame(
            ['columns' => [], 'rows' => []],
            Ground::of(Surface::ofPanel(Panel::of(Size::of(10, 10), 1, 1)))->ranks,
            'one panel has none',
        );
    }

    /** Wherever a part is cut out, its panels and seams tile it, each pixel once, as the whole wall's did. */
    public function testPanelsAndSeamsTileEveryPart(): void
    {
        $ground = Ground::of($this->wall());
        for ($x = 0; $x <= 300; $x += 17) {
            for ($y = 0; $y <= 90; $y += 9) {
                $part = Rect::of($x, $y, min(140, 308 - $x), min(60, 104 - $y));
                $within = $ground->within($part);
                $area = array_sum(
                    array_map(static fn (Rect $rect) => $rect->width * $rect->height, [
                        ...array_values($within->panels),
                        ...$within->seams,
                    ]),
                );
                self::assertSame($part->width * $part->height, $area, "at $x, $y");
                foreach ([...$within->panels, ...$within->seams] as $rect) {
                    self::assertTrue(Rect::of(0, 0, $part->width, $part->height)->contains($rect));
                }
            }
        }
    }

    /** A joint without width is in what it runs through, not in what it only bounds. */
    public function testAButtedJointIsFoundInsideOnly(): void
    {
        $ground = Ground::of($this->wall(true));

        self::assertCount(1, $ground->seamsIn(Rect::of(60, 0, 80, 50)));
        self::assertSame([], $ground->seamsIn(Rect::of(0, 0, 100, 50)));
        self::assertSame(['A', 'B'], $ground->panelsUnder(Rect::of(60, 0, 80, 50)));
    }

    private function wall(bool $butted = false): Surface
    {
        return Surface::ofGrid(
            PanelGrid::of(
                Panel::of(Size::of(100, 50), 100_000, 50_000, [2000, 2000, 2000, 2000]),
                3,
                2,
                0,
                0,
                !$butted,
            ),
        );
    }
}
