<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Picture;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\Crop;
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

    /** A crop keeps at least a px, whatever its ppm, and its edges meet those of the crop beside it. */
    public function testCropsMeetAtTheirEdges(): void
    {
        foreach ([[1920, 1080], [7, 3], [1, 1]] as [$width, $height]) {
            $source = Size::of($width, $height);
            $crop = static fn (int ...$ppm) => Crop::parse(Input::of($ppm))->of($source);
            self::assertSame([0, 0, $width, $height], $crop(0, 0, 1_000_000, 1_000_000)->toArray());
            foreach ([1, 333_333, 999_999] as $ppm) {
                $left = $crop(0, 0, $ppm, 1_000_000);
                $right = $crop($ppm, 0, 1_000_000 - $ppm, 1_000_000);
                self::assertSame($width, max($right->right(), $left->right()));
                self::assertGreaterThan(0, min($left->width, $right->width));
                self::assertLessThanOrEqual(1, abs($left->right() - $right->x));
            }
        }
        $beyond = ['value' => 500_001, 'least' => 1, 'most' => 500_000];
        $this->expectExceptionObject(Refusal::because('input.range', '/2', $beyond));
        Crop::parse(Input::of([500_000, 0, 500_001, 10]));
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

    /** Grown it holds, shrunk it is held by, what is drawn exactly; both to less than a px, and in the box. */
    public function testARectangleOfTheSourceIsFoundInTheBox(): void
    {
        [$source, $box] = [Size::of(1000, 700), Size::of(333, 211)];
        foreach (FitMode::cases() as $mode) {
            $fit = Fit::of($source, $box, $mode, 30_000, 80_000);
            [$x, $y, , , $scaleX, $scaleY] = [...$fit->toArray()['drawn'], ...$fit->toArray()['scale']];
            foreach ([[0, 0, 1000, 700], [313, 211, 57, 101], [999, 699, 1, 1]] as $rect) {
                $exact = [
                    max(0, $x + $rect[0] * $scaleX),
                    max(0, $y + $rect[1] * $scaleY),
                    min(333, $x + ($rect[0] + $rect[2]) * $scaleX),
                    min(211, $y + ($rect[1] + $rect[3]) * $scaleY),
                ];
                foreach ([true, false] as $grown) {
                    $found = $fit->drawnRect(Rect::of(...$rect), $box, $grown);
                    if ($found === null) {
                        self::assertTrue($exact[2] - $exact[0] < 2 || $exact[3] - $exact[1] < 2, 'not seen');
                        continue;
                    }
                    $sign = $grown ? 1 : -1;
                    $over = [
                        $sign * ($exact[0] - $found->x),
                        $sign * ($exact[1] - $found->y),
                        $sign * ($found->right() - $exact[2]),
                        $sign * ($found->bottom() - $exact[3]),
                    ];
                    self::assertGreaterThan(-0.7, min($over), "{$mode->value} ".json_encode($rect));
                    self::assertLessThan(1.7, max($over), "{$mode->value} ".json_encode($rect));
                }
            }
        }
    }
}
