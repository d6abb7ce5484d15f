<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Picture;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Picture\Playable;

/** Real files of each kind stand in the suite Outside; here the edges. */
final class PlayableTest extends TestCase
{
    public function testWhatEveryBrowserShowsStaysAsItIs(): void
    {
        foreach (['h264', 'vp8', 'vp9', 'av1'] as $codec) {
            self::assertSame([], Playable::video('video/mp4', $codec, 'yuv420p', 'progressive', '25/1', '25/1'));
        }
        self::assertSame([], Playable::picture('image/jpeg', 1, 8, 'sRGB', ''));
        self::assertSame([], Playable::picture('image/png', 1, 8, 'Gray', 'sRGB IEC61966-2.1'));
        self::assertSame(['colours'], Playable::picture('image/jpeg', 1, 8, 'sRGB', 'Display P3'));
        self::assertSame(['moving'], Playable::picture('image/webp', 2, 8, 'sRGB', ''));
    }

    /** The average may be off by the last frame of a short file, not by more than a percent. */
    public function testARateIsConstantWithinAPercent(): void
    {
        $why = static fn (string $average, string $base) => Playable::video(
            'video/webm',
            'vp9',
            'yuv420p',
            'unknown',
            $average,
            $base,
        );
        self::assertSame([], $why('2997/100', '30/1'));
        self::assertSame(['rate'], $why('2969/100', '30/1'));
        self::assertSame([], $why('0/0', '90000/1'), 'where it is not known');
    }

    /** Near to what displays are made for it is that; otherwise the nearest whole rate, at most 60. */
    public function testTheRateToConvertTo(): void
    {
        foreach (
            [
                '24000/1001' => '24000/1001',
                '2398/100' => '24000/1001',
                '2993/100' => '30000/1001',
                '30/1' => '30000/1001',
                '12/1' => '12/1',
                '119/1' => '60/1',
                '1/9' => '1/1',
                '0/0' => '25/1',
            ] as $average => $rate
        ) {
            self::assertSame($rate, Playable::constantRate($average), $average);
        }
    }
}
