<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Picture;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\Variant;

final class VariantTest extends TestCase
{
    /** Never fewer than two px for each that is drawn, and never one that saves nothing: for all sizes and scales. */
    public function testHasPxEnoughAndIsWorthMaking(): void
    {
        foreach ([[100, 80], [1920, 1080], [2640, 3960], [7360, 4912], [16_000, 200]] as [$width, $height]) {
            $longer = max($width, $height);
            for ($thousandths = 1; $thousandths <= 1300; $thousandths += 13) {
                $side = Variant::longerSidePx(Size::of($width, $height), Rational::of($thousandths, 1000));
                $drawn = 2 * $longer * $thousandths / 1000;
                if ($side !== null) {
                    self::assertGreaterThanOrEqual($drawn, $side);
                    self::assertLessThan(0.75 * $longer, $side);
                    self::assertLessThanOrEqual(max(320, 1.5 * $drawn), $side, 'no step is larger than half');
                } else {
                    foreach (Variant::SIDES_PX as $step) {
                        self::assertFalse($step >= $drawn && $step < 0.75 * $longer, "$step px would do");
                    }
                }
            }
        }
    }

    /** The 40 megapixels of a photograph in a pane of 600 × 880. */
    public function testAPhotographIsMadeSmallForAPane(): void
    {
        $photograph = Size::of(7740, 5160);

        self::assertSame(3840, Variant::longerSidePx($photograph, Rational::of(880, 5160)));
        self::assertNull(Variant::longerSidePx($photograph, Rational::of(1)));
    }
}
