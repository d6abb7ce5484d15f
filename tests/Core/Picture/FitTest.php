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

    /** The focal point as object-position has it: that share of what is over lies before (CSS Images 3 §5.5). */
    public function testTheFocusSharesWhatIsOver(): void
    {
        $fit = static fn (FitMode $mode, int $focus) => Fit::of(
            Size::of(400, 100),
            Size::of(200, 200),
            $mode,
            $focus,
            100_000 - $focus,
        )->toArray();

        self::assertSame([0, 37.5, 200, 50], $fit(FitMode::Contain, 75_000)['drawn']);
        self::assertSame([0, 37.5, 0, 112.5], $fit(FitMode::Contain, 75_000)['bars']);
        self::assertSame([-450, 0, 800, 200], $fit(FitMode::Cover, 75_000)['drawn']);
        self::assertSame([225, 0, 100, 100], $fit(FitMode::Cover, 75_000)['visible']);
        self::assertSame([-200, 0, 400, 100], $fit(FitMode::None, 100_000)['drawn']);
        self::assertSame([0, 0, 0, 100], $fit(FitMode::None, 100_000)['bars']);
    }

    /** How much a stretch changes the ratio, and the larger enlargement, whichever side it is of. */
    public function testSaysHowMuchIsStretched(): void
    {
        foreach ([[[100, 100], [125, 100]], [[100, 100], [100, 125]], [[100, 100], [80, 64]]] as [$source, $box]) {
            $fit = Fit::of(Size::of(...$source), Size::of(...$box), FitMode::Stretch);
            self::assertSame('0.25', $fit->distortion()->plain(3));
            self::assertSame(max($box) / 100, (float) $fit->enlargement()->plain(3));
        }
        self::assertSame('0', Fit::of(Size::of(10, 20), Size::of(20, 40), FitMode::Stretch)->distortion()->plain(3));
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
                    $insideDown = min(880, $fit['drawn'][3]);
                    self::assertEqualsWithDelta(880, $fit['bars'][1] + $insideDown + $fit['bars'][3], 0.002);
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
