<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Geometry;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Geometry\Polygon;

/** Outlines against formulas and against asking place by place. */
final class PolygonTest extends TestCase
{
    /** Areas by their formulas; a path in thousandths of a px, as plans hold it. */
    public function testReadsPathsAsTheyAreDrawn(): void
    {
        $ellipse = Polygon::ofPath('M0 2000 A3000 2000 0 1 1 6000 2000 A3000 2000 0 1 1 0 2000 Z', 0.001);
        self::assertEqualsWithDelta(\M_PI * 3 * 2, $ellipse->area(), 0.05);
        self::assertEqualsWithDelta([0, 0, 6, 4], $ellipse->bounds, 0.001);

        $rounded = Polygon::ofPath(
            'M2 0 H8 A2 2 0 0 1 10 2 V8 A2 2 0 0 1 8 10 H2 A2 2 0 0 1 0 8 V2 A2 2 0 0 1 2 0 Z',
            1,
        );
        self::assertEqualsWithDelta(100 - (4 - \M_PI) * 4, $rounded->area(), 0.05);
        self::assertTrue($rounded->contains(0.6, 0.6));
        self::assertFalse($rounded->contains(0.5, 0.5));

        $bar = Polygon::ofPath('M100 300 h50 V900 h-50 Z', 1);
        self::assertSame([100.0, 300.0, 150.0, 900.0], $bar->bounds);
        self::assertEqualsWithDelta(30_000, $bar->area(), 0.001);
    }

    /** What is left and what was taken away are all of it, whatever lies where. */
    public function testWhatIsLeftIsWhatTheOtherDoesNotCover(): void
    {
        $random = new Randomizer(new Mt19937(8));
        $turned = static function () use ($random): Polygon {
            $angle = deg2rad($random->getInt(0, 359));
            [$width, $height] = [$random->getInt(5, 60), $random->getInt(5, 60)];

            return Polygon::rect(0, 0, $width, $height)->turned(
                ...[sin($angle), cos($angle), $width / 2, $height / 2, $random->getInt(0, 40), $random->getInt(0, 40)],
            );
        };
        for ($round = 0; $round < 200; ++$round) {
            [$one, $other] = [$turned(), $turned()];
            $left = $one->without($other);
            [$seen, $asked] = [0, 0];
            for ($y = -30.25; $y < 110; $y += 1.5) {
                for ($x = -30.25; $x < 110; $x += 1.5) {
                    $in = array_filter($left, static fn (Polygon $piece) => $piece->contains($x, $y));
                    self::assertLessThan(2, count($in), 'pieces do not lie over each other');
                    $seen += count($in);
                    $asked += $one->contains($x, $y) && !$other->contains($x, $y) ? 1 : 0;
                }
            }
            self::assertSame($asked, $seen);
            $area = array_sum(array_map(static fn (Polygon $piece) => $piece->area(), $left));
            $taken = array_sum(array_map(static fn (Polygon $piece) => $piece->area(), $other->without($one)));
            self::assertEqualsWithDelta($one->area() - $area, $other->area() - $taken, 1e-6, 'what both cover');
        }
    }
}
