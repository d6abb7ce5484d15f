<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Geometry;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Ratio;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;

final class RationalTest extends TestCase
{
    /** Rounding is floor(q + ½), also below zero (model §1). */
    public function testRoundsHalfUpOnBothSidesOfZero(): void
    {
        $rounded = array_map(static fn (int $halves) => Rational::of($halves, 2)->round(), [-3, -1, 1, 3, 5]);

        self::assertSame([-1, 0, 1, 2, 3], $rounded);
    }

    public function testRefusesWhatPhpWouldTurnIntoAFloat(): void
    {
        $this->expectException(Refusal::class);
        Rational::of(\PHP_INT_MAX)->times(Rational::of(3));
    }

    /** @return iterable<string, array{int, int, string, ?string}> common practice; 5772 × 2166 from the model's own check */
    public static function ratios(): iterable
    {
        yield 'full HD' => [1920, 1080, '16:9', '16:9'];
        yield 'portrait' => [1080, 1920, '9:16', '9:16'];
        yield 'a wall of 3 × 2 with seams is near 8:3' => [5772, 2166, '962:361', '8:3'];
        yield 'ultra-wide 2560 × 1080 is 64:27' => [2560, 1080, '64:27', '21:9'];
        yield 'ultra-wide 3440 × 1440 is 43:18' => [3440, 1440, '43:18', '21:9'];
        yield 'nothing common' => [960, 96, '10:1', null];
        yield 'just outside half a percent' => [1930, 1080, '193:108', null];
    }

    #[DataProvider('ratios')]
    public function testNamesRatiosWithinHalfAPercent(int $width, int $height, string $exact, ?string $name): void
    {
        self::assertSame(['exact' => $exact, 'name' => $name], Ratio::of(Size::of($width, $height))->toArray());
    }
}
