<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Layout;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Layout\Starters;

/** Glazings to begin with. */
final class StartersTest extends TestCase
{
    public function testThereAreEnoughForEveryKindOfCanvas(): void
    {
        $counts = array_count_values(Starters::kinds());

        self::assertGreaterThanOrEqual(24, array_sum($counts));
        self::assertSame(['landscape', 'portrait', 'wide', 'wall'], array_keys($counts));
        self::assertGreaterThanOrEqual(4, min($counts));
    }

    /** The sizes of the demo's surfaces, and very small and odd ones: each tiles all of it. */
    #[TestWith([1920, 1080, false])]
    #[TestWith([1080, 1920, false])]
    #[TestWith([1280, 800, false])]
    #[TestWith([3840, 2160, false])]
    #[TestWith([960, 96, false])]
    #[TestWith([5772, 2166, true])]
    #[TestWith([7731, 2160, true])]
    #[TestWith([41, 37, false])]
    public function testEachTilesTheCanvas(int $width, int $height, bool $isWall): void
    {
        foreach (Starters::on(Size::of($width, $height), $isWall) as $starter) {
            $area = array_sum(array_map(static fn (array $rect) => $rect[2] * $rect[3], $starter['panes']));
            self::assertSame($width * $height, $area, $starter['name']);
            $tree = GlazingReader::read(Input::of($starter['tree']));
            $panes = Glazing::resolve($tree, Size::of($width, $height))->panes;
            self::assertSame(range(1, count($panes)), array_map(intval(...), array_keys($panes)));
        }
    }

    public function testNoTwoAreAlikeAlsoWhenMirrored(): void
    {
        $side = 5040;
        $seen = [];
        foreach (Starters::on(Size::of($side, $side), false) as $starter) {
            $alike = [];
            foreach ([[false, false], [true, false], [false, true], [true, true]] as [$x, $y]) {
                $mirrored = array_map(
                    static fn (array $rect) => [
                        $x ? $side - $rect[0] - $rect[2] : $rect[0],
                        $y ? $side - $rect[1] - $rect[3] : $rect[1],
                        $rect[2],
                        $rect[3],
                    ],
                    $starter['panes'],
                );
                sort($mirrored);
                $alike[] = json_encode($mirrored);
            }
            $least = min($alike);
            self::assertArrayNotHasKey($least, $seen, "{$starter['name']} is there already");
            $seen[$least] = $starter['name'];
        }
    }

    public function testThoseThatSuitComeFirst(): void
    {
        $first = static fn (int $width, int $height, bool $wall): string => Starters::kinds()[
            Starters::on(Size::of($width, $height), $wall)[0]['name']
        ];

        self::assertSame(
            ['landscape', 'portrait', 'wide', 'landscape', 'wall', 'landscape'],
            [
                $first(1920, 1080, false),
                $first(1080, 1920, false),
                $first(2400, 1000, false),
                $first(2399, 1000, false),
                $first(1000, 5000, true),
                $first(500, 500, false),
            ],
        );
    }
}
