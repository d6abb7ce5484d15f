<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** A float whose one side is typed, over a canvas of 1920 × 1080 px. */
final class FloatSizeTest extends TestCase
{
    /**
     * @param array{string, string} $before
     * @param array{string, string} $typed
     * @param array{string, string} $after
     */
    #[TestWith([['400px', '300px'], ['200px', '300px'], ['200px', '150px']])]
    #[TestWith([['400px', '300px'], ['400px', '600px'], ['800px', '600px']])]
    #[TestWith([['25%', '300px'], ['50%', '300px'], ['50%', '600px']])]
    #[TestWith([['10%', '20%'], ['15%', '20%'], ['15%', '30%']])]
    #[TestWith([['400px', '300px'], ['25%', '300px'], ['25%', '360px']])]
    #[TestWith([['400px', '300px'], ['100px', '50px'], ['100px', '50px']])]
    #[TestWith([['400px', '300px'], ['400px', '300px'], ['400px', '300px']])]
    public function testTheOtherSideFollowsInTheRatio(array $before, array $typed, array $after): void
    {
        $design = self::placed($before);
        $sized = Build::apply($design, self::sizing($typed, ['ratio' => true]));

        self::assertSame($after, self::lengths($sized->after));
        self::assertSame($typed, self::lengths(Build::apply($design, self::sizing($typed))->after), 'not asked for');
        self::assertSame($before, self::lengths($sized->inverse->apply($sized->after)->after));
    }

    /** There and back, whatever is rounded on the way. */
    public function testComesBackToWhatItWas(): void
    {
        $design = self::placed(['777px', '333px']);
        foreach (['123px', '777px'] as $width) {
            $typed = [$width, self::lengths($design)[1]];
            $design = Build::apply($design, self::sizing($typed, ['ratio' => true]))->after;
        }

        self::assertEqualsWithDelta(333.0, (float) self::lengths($design)[1], 0.01);
    }

    /** @param array{string, string} $size */
    private static function placed(array $size): Design
    {
        return Build::apply(Build::design(), Sketch::float('f', $size))->after;
    }

    /**
     * @param array{string, string} $size
     * @param array<string, mixed>  $with
     *
     * @return array<string, mixed>
     */
    private static function sizing(array $size, array $with = []): array
    {
        return ['do' => 'float.size', 'scene' => 's-rest', 'layout' => 'own', 'zone' => 'f', 'size' => $size] + $with;
    }

    /** @return array{string, string} */
    private static function lengths(Design $design): array
    {
        return LayoutAt::of($design, 's-rest', false)->layout->floats[0]->toArray()['size'];
    }
}
