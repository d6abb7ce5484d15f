<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Picture;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\CutOut;
use UpperPane\Core\Picture\Opening;

final class CutOutTest extends TestCase
{
    /** Brute force: px are spread from one to the next, and every rectangle is tried. */
    public function testFindsWhatTryingAllFinds(): void
    {
        $random = new Randomizer(new Mt19937(11));
        for ($try = 0; $try < 400; ++$try) {
            [$width, $height] = [$random->getInt(1, 9), $random->getInt(1, 9)];
            $share = $random->getInt(20, 90);
            $alpha = '';
            for ($at = 0; $at < $width * $height; ++$at) {
                $alpha .= chr($random->getInt(0, 99) < $share ? $random->getInt(0, 8) : $random->getInt(9, 255));
            }
            $found = array_map(
                static fn (Opening $opening) => $opening->toArray(),
                CutOut::of(Size::of($width, $height), $alpha),
            );
            $openings = self::spread($alpha, $width, $height);
            self::assertSame(
                array_map(count(...), $openings),
                array_column($found, 'px'),
                "seed 11, try $try: $width × $height ".bin2hex($alpha),
            );
            foreach ($found as $index => $one) {
                // Of equally large ones, the same order is not promised for the same place.
                $same = array_values(array_filter($openings, static fn (array $px) => count($px) === $one['px']));
                self::assertContains(
                    ['cover' => $one['cover'], 'inside' => self::key($one['inside'])],
                    array_map(
                        static fn (array $px) => [
                            'cover' => self::cover($px, $width, $height),
                            'inside' => self::key(self::inside($px, $width, $height)),
                        ],
                        $same,
                    ),
                    "seed 11, try $try, opening $index: $width × $height ".bin2hex($alpha),
                );
            }
        }
    }

    public function testTheMostAlphaThatIsOpenCanBeSet(): void
    {
        $size = Size::of(3, 1);
        self::assertCount(2, CutOut::of($size, "\x08\x09\x00"));
        self::assertCount(1, CutOut::of($size, "\x08\x09\x00", 9));
        self::assertSame([], CutOut::of($size, "\x09\xFF\x80"));
    }

    /**
     * Area, place and shape: what is as large is told apart by y, then x only.
     *
     * @param list<int> $rect
     *
     * @return list<int>
     */
    private static function key(array $rect): array
    {
        return [$rect[2] * $rect[3], $rect[1], $rect[0]];
    }

    /** @return list<array<int, true>> px of each area, largest first */
    private static function spread(string $alpha, int $width, int $height): array
    {
        $openings = [];
        $seen = [];
        for ($start = 0; $start < $width * $height; ++$start) {
            if (isset($seen[$start]) || ord($alpha[$start]) > CutOut::ALPHA) {
                continue;
            }
            $area = [];
            $wait = [$start];
            while ($wait !== []) {
                $at = array_pop($wait);
                if (isset($seen[$at]) || ord($alpha[$at]) > CutOut::ALPHA) {
                    continue;
                }
                $seen[$at] = $area[$at] = true;
                [$x, $y] = [$at % $width, intdiv($at, $width)];
                $wait = [
                    ...$wait,
                    ...$x > 0 ? [$at - 1] : [],
                    ...$x < $width - 1 ? [$at + 1] : [],
                    ...$y > 0 ? [$at - $width] : [],
                    ...$y < $height - 1 ? [$at + $width] : [],
                ];
            }
            $openings[] = $area;
        }
        usort($openings, static fn (array $one, array $other) => count($other) <=> count($one));

        return $openings;
    }

    /**
     * @param array<int, true> $px
     *
     * @return list<int>
     */
    private static function cover(array $px, int $width, int $height): array
    {
        $xs = array_map(static fn (int $at) => $at % $width, array_keys($px));
        $ys = array_map(static fn (int $at) => intdiv($at, $width), array_keys($px));
        [$left, $top] = [max(0, min($xs) - 2), max(0, min($ys) - 2)];

        return [$left, $top, min($width, max($xs) + 3) - $left, min($height, max($ys) + 3) - $top];
    }

    /**
     * @param array<int, true> $px
     *
     * @return list<int>
     */
    private static function inside(array $px, int $width, int $height): array
    {
        $best = [0, 0, 0, 0];
        for ($y = 0; $y < $height; ++$y) {
            for ($x = 0; $x < $width; ++$x) {
                for ($right = $x + 1; $right <= $width; ++$right) {
                    for ($bottom = $y + 1; $bottom <= $height; ++$bottom) {
                        if (!self::open($px, $x, $bottom - 1, $right, $width)) {
                            break;
                        }
                        if (($right - $x) * ($bottom - $y) > $best[2] * $best[3]) {
                            $best = [$x, $y, $right - $x, $bottom - $y];
                        }
                    }
                }
            }
        }

        return $best;
    }

    /** @param array<int, true> $px */
    private static function open(array $px, int $from, int $y, int $to, int $width): bool
    {
        for ($x = $from; $x < $to; ++$x) {
            if (!isset($px[$y * $width + $x])) {
                return false;
            }
        }

        return true;
    }
}
