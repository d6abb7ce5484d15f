<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Legibility;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Legibility\Contrast;

final class ContrastTest extends TestCase
{
    /** From npm wcag-contrast, obtained for checks.md; black on white is 21 by definition (WCAG 2.2). */
    public function testRatiosAreThoseOfAnIndependentProgram(): void
    {
        foreach (
            [
                ['#777777', '#ffffff', 4.478],
                ['#767676', '#ffffff', 4.542],
                ['#949494', '#ffffff', 3.033],
                ['#ff0000', '#ffffff', 3.998],
                ['#0000ff', '#ffffff', 8.592],
                ['#ffff00', '#000000', 19.556],
                ['#000000', '#ffffff', 21.0],
                ['#123456', '#123456', 1.0],
            ] as [$ink, $ground, $ratio]
        ) {
            self::assertEqualsWithDelta($ratio, Contrast::ratio($ink, $ground), 0.0005, "$ink on $ground");
            self::assertSame(Contrast::ratio($ink, $ground), Contrast::ratio($ground, $ink), 'either way');
        }
    }

    public function testWhatIsTooLittleIsNeverSaidAsEnough(): void
    {
        self::assertSame(['4.49', '4.50', '21.00'], array_map(Contrast::said(...), [4.4999, 4.5, 21.0]));
    }
}
