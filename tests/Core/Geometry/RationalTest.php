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

    /**
     * What leaves 64 bits on the way comes back exactly; a whole result beyond them is refused, never a float (checked
     * by hand in whole numbers).
     */
    public function testGoesOnBeyond64Bits(): void
    {
        $large = Rational::of(\PHP_INT_MAX)->times(Rational::of(3));

        self::assertSame(\PHP_INT_MAX, $large->dividedBy(Rational::of(3))->round());
        self::assertSame(
            0,
            Rational::of(1, 1_000_000_007)
                ->plus(Rational::of(1, 998_244_353))
                ->plus(Rational::of(1, 999_999_937))
                ->minus(Rational::of(1, 999_999_937))
                ->minus(Rational::of(1, 998_244_353))
                ->compare(Rational::of(1, 1_000_000_007)),
        );
        self::assertSame(
            [-1, 1],
            [
                Rational::of(\PHP_INT_MAX - 1, \PHP_INT_MAX)->compare(Rational::of(\PHP_INT_MAX, \PHP_INT_MAX - 1)),
                $large->compare(Rational::of(\PHP_INT_MAX)),
            ],
        );
        self::assertSame(
            [-2, -1],
            [
                Rational::of(-\PHP_INT_MAX)
                    ->times(Rational::of(3))
                    ->dividedBy(Rational::of(\PHP_INT_MAX, 1))
                    ->plus(Rational::of(4, 3))
                    ->floor(),
                Rational::of(-4, 3)->ceil(),
            ],
        );
        $this->expectException(Refusal::class);
        $large->round();
    }

    /**
     * @return iterable<string, array{int, int, string, ?string}> common practice; 5772 × 2166 from the model's own
     *     check
     */
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
