<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Picture;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\Fit;
use UpperPane\Core\Picture\FitMode;

final class FitTest extends TestCase
{
    /** Values of cli.md; Chromium is asked in tests/Outside. */
    public function testCoversWithTheLossItReports(): void
    {
        self::assertSame(
            [
                'drawn' => [0, -55, 1320, 990],
                'visible' => [0, 166.667, 4000, 2666.667],
                'bars' => [0, 0, 0, 0],
                'cut' => 0.1111,
                'scale' => [0.33, 0.33],
            ],
            Fit::of(Size::of(4000, 3000), Size::of(1320, 880), FitMode::Cover)->toArray(),
        );
    }

    /** For every mode: what is drawn inside the box plus bars is the box, and seen plus cut is the whole picture. */
    public function testBarsAndDrawingFillTheBox(): void
    {
        foreach (FitMode::cases() as $mode) {
            foreach ([[4000, 3000], [100, 50], [1080, 1920], [7, 4999]] as [$width, $height]) {
                foreach ([0, 25_000, 100_000] as $focus) {
                    $fit = Fit::of(Size::of($width, $height), Size::of(1320, 880), $mode, $focus, $focus)->toArray();
                    $inside = min(1320, $fit['drawn'][2]);
                    self::assertEqualsWithDelta(1320, $fit['bars'][0] + $inside + $fit['bars'][2], 0.002);
                    self::assertEqualsWithDelta(
                        1 - $fit['cut'],
                        ($fit['visible'][2] * $fit['visible'][3]) / ($width * $height),
                        0.0002,
                    );
                }
            }
        }
    }
}
