<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Picture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Picture\AsShown;

/** Against exiftool, ffprobe and Chromium in the suite Outside; here the edges. */
final class AsShownTest extends TestCase
{
    /** EXIF 2.3 §4.6.4, tag 274: rows and columns are exchanged from 5 on. */
    public function testExifExchangesSidesFromFiveOn(): void
    {
        $shown = static fn (int $orientation) => AsShown::picture(400, 300, $orientation)->toArray();
        foreach (range(0, 9) as $orientation) {
            self::assertSame($orientation >= 5 && $orientation <= 8 ? [300, 400] : [400, 300], $shown($orientation));
        }
    }

    /** A 640 × 360 video of 4:3 pixels shows 853 × 360 (checks.md, from Chromium); turned by a quarter, 360 × 853. */
    public function testPixelsThatAreNotSquareAndTurns(): void
    {
        $shown = static fn (string $ratio, int $rotation) => AsShown::video(
            640,
            360,
            $ratio,
            $rotation,
        )->toArray();

        self::assertSame([853, 360], $shown('4:3', 0));
        self::assertSame([360, 853], $shown('4:3', -90));
        self::assertSame([640, 360], $shown('0:1', 180));
        self::assertSame([640, 360], $shown('1:0', 360));
        self::assertSame([360, 640], $shown('N/A', 270));
    }

    /** @return iterable<string, array{\Closure(): mixed, ?string}> */
    public static function edges(): iterable
    {
        yield 'the longest side' => [static fn () => AsShown::picture(16_384, 1), null];
        yield 'the most px' => [static fn () => AsShown::picture(16_384, 8192), null];
        yield 'a row more' => [static fn () => AsShown::picture(16_384, 8193), 'stock.too_many_px'];
        yield 'one px more' => [static fn () => AsShown::picture(1, 16_385), 'stock.side_too_long'];
        yield 'too long by its pixels only' => [
            static fn () => AsShown::video(10_000, 10, '2:1'),
            'stock.side_too_long',
        ];
        yield 'nothing' => [static fn () => AsShown::picture(0, 9), 'stock.no_picture'];
    }

    /** @param \Closure(): mixed $look */
    #[DataProvider('edges')]
    public function testSaysWhatCannotBeShown(\Closure $look, ?string $code): void
    {
        try {
            $look();
            self::assertNull($code);
        } catch (Refusal $refusal) {
            self::assertSame([$code, '/file'], [$refusal->refusalCode, $refusal->path]);
        }
    }
}
