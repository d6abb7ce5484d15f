<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan\Paint;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Plan\Paint\Box;

/** A rectangle is half-open (model §1): its left and top edge are in it, its right and bottom edge are not. */
final class BoxTest extends TestCase
{
    public function testIsHalfOpen(): void
    {
        $box = Box::of(1, 2, 3, 4);
        $in = [];
        for ($x = 0; $x <= 5; ++$x) {
            for ($y = 0; $y <= 7; ++$y) {
                if ($box->contains($x, $y)) {
                    $in[] = "$x $y";
                }
            }
        }
        $want = [];
        foreach ([1, 2, 3] as $x) {
            foreach ([2, 3, 4, 5] as $y) {
                $want[] = "$x $y";
            }
        }
        self::assertSame($want, $in);
    }
}
