<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Plan\IdleCard;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Tests\Support\Build;

/** What a surface shows where nothing holds: its name, so large that it is read, on the smallest and the largest. */
final class IdleCardTest extends TestCase
{
    public function testSaysTheNameOfTheSurfaceAtAnySize(): void
    {
        foreach ([[64, 32], [1920, 1080], [1080, 1920], [7680, 4320]] as [$width, $height]) {
            $sheet = SurfaceSheet::fresh([
                'name' => 'Quay',
                'kind' => 'LED',
                'shape' => ['panels' => [['native' => [$width, $height], 'active_mm' => [$width, $height]]]],
            ], ['quay-1' => 1]);
            $text = IdleCard::on($sheet, Build::context())->zones()[0]->items[0]->drawing;
            self::assertSame(['Quay'], array_column((array) $text['lines'], 'text'));
            $share = $text['size'] / min($width, $height);
            self::assertTrue($share > 0.05 && $share < 0.5, "$width × $height: $share");
        }
    }
}
