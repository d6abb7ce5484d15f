<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Geometry;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

final class RectTest extends TestCase
{
    /**
     * From a single pixel to the largest canvas; what is read is what was written.
     *
     * @param list<int> $sides
     */
    #[TestWith([[0, 0, 1, 1]])]
    #[TestWith([[Size::LARGEST_PX, Size::LARGEST_PX, Size::LARGEST_PX, Size::LARGEST_PX]])]
    public function testReadsWhatAPixelCanBe(array $sides): void
    {
        self::assertSame($sides, Rect::parse(Input::of($sides))->toArray());
        self::assertSame($sides, Rect::parseAnywhere(Input::of($sides))->toArray());
        $beyond = [-$sides[0], -$sides[1], $sides[2], $sides[3]];
        self::assertSame($beyond, Rect::parseAnywhere(Input::of($beyond))->toArray());
    }

    /**
     * The place of what is wrong is named, whichever side it is.
     *
     * @param list<int> $sides
     */
    #[TestWith([[0, 0, 0, 1], 2])]
    #[TestWith([[0, 0, 1, 0], 3])]
    #[TestWith([[0, 0, Size::LARGEST_PX + 1, 1], 2])]
    #[TestWith([[0, 0, 1, Size::LARGEST_PX + 1], 3])]
    #[TestWith([[Size::LARGEST_PX + 1, 0, 1, 1], 0])]
    #[TestWith([[0, Size::LARGEST_PX + 1, 1, 1], 1])]
    public function testRefusesWhatNoScreenHas(array $sides, int $at): void
    {
        foreach ([Rect::parse(...), Rect::parseAnywhere(...)] as $parse) {
            try {
                $parse(Input::of($sides));
                self::fail('went through');
            } catch (Refusal $refusal) {
                self::assertSame(['input.range', "/$at"], [$refusal->refusalCode, $refusal->path]);
            }
        }
    }
}
