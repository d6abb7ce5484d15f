<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan\Paint;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Design\Fill\FillReader;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Plan\ItemCompiler;
use UpperPane\Core\Plan\Paint\PaintedItem;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** What is painted is looked at in every step that there is, and in none that there is not. */
final class PaintedItemTest extends TestCase
{
    public function testAMomentPerStep(): void
    {
        $bar = [
            'kind' => 'progress',
            'form' => 'bar',
            'of' => 'scene',
            'whole' => false,
            'colour' => '#276B62',
            'track' => '#D8D2C4',
            'ground' => null,
        ];
        foreach ([[Sketch::colour('#276B62'), 1], [$bar, 2]] as [$fill, $steps]) {
            $item = PaintedItem::of(
                (new ItemCompiler(Build::context()))->compile(FillReader::read(Input::of($fill)), Size::of(400, 100)),
            );
            self::assertSame(range(0, $steps - 1), array_column($item->moments(), 1));
        }
    }
}
