<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Layout;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Layout\Lattice;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Pitches;

final class GlazingTest extends TestCase
{
    /**
     * @return iterable<string, array{int, int, list<string>, list<int>}> length, gutter, sizes, px: the model's check
     *     values (§3)
     */
    public static function shares(): iterable
    {
        yield 'three equal parts' => [1366, 0, ['1fr', '1fr', '1fr'], [456, 455, 455]];
        yield 'shares with a gutter' => [1000, 10, ['1fr', '2fr'], [330, 660]];
        yield 'px and the rest' => [1920, 0, ['1320px', '1fr'], [1320, 600]];
        yield 'percent of the whole parent, gutters or not' => [1000, 100, ['50%', '1fr'], [500, 400]];
        yield 'millimetres at 0.63 mm a px' => [1000, 0, ['63mm', '1fr'], [100, 900]];
        yield 'a rest below 1 px is absorbed' => [1000, 0, ['33.3%', '33.3%', '33.4%'], [333, 333, 334]];
        yield 'an excess below 1 px too' => [100, 0, ['33.4%', '33.4%', '33.4%'], [34, 33, 33]];
    }

    /**
     * @param list<string> $sizes
     * @param list<int>    $expected
     */
    #[DataProvider('shares')]
    public function testSharesALength(int $length, int $gutter, array $sizes, array $expected): void
    {
        $parts = array_map(static fn (int $i) => ['size' => $sizes[$i], 'pane' => "p$i"], array_keys($sizes));
        $glazing = Glazing::resolve(
            self::tree(['split' => 'columns', 'gutter' => $gutter, 'parts' => $parts]),
            Size::of($length, 9),
            new Pitches(Rational::of(630), Rational::of(630)),
        );

        self::assertSame($expected, array_values(array_map(static fn (Rect $rect) => $rect->width, $glazing->panes)));
    }

    public function testFreezesPartsAtTheirMinimumAsCssDoes(): void
    {
        $tree = self::tree([
            'split' => 'columns',
            'parts' => [
                ['size' => '1fr', 'min' => 400, 'pane' => 'a'],
                ['size' => '1fr', 'pane' => 'b'],
                ['size' => '2fr', 'pane' => 'c'],
            ],
        ]);

        self::assertSame(
            [400, 200, 400],
            array_values(
                array_map(static fn (Rect $rect) => $rect->width, Glazing::resolve($tree, Size::of(1000, 1))->panes),
            ),
        );
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function refused(): iterable
    {
        yield 'too large' => ['glaze.too_large', ['700px', '400px']];
        yield 'not filled' => ['glaze.not_filled', ['700px', '200px']];
        yield 'no room for a share' => ['glaze.pane_too_small', ['1000px', '1fr']];
        yield 'no unit' => ['glaze.size', ['700', '1fr']];
        yield 'half a px' => ['glaze.size', ['0.5px', '1fr']];
        yield 'zero' => ['glaze.size', ['0fr', '1fr']];
    }

    /** @param list<string> $sizes */
    #[DataProvider('refused')]
    public function testRefusesWhatCannotTile(string $code, array $sizes): void
    {
        try {
            $parts = array_map(static fn (int $i) => ['size' => $sizes[$i], 'pane' => "p$i"], array_keys($sizes));
            Glazing::resolve(self::tree(['split' => 'columns', 'parts' => $parts]), Size::of(1000, 9));
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame($code, $refusal->refusalCode);
        }
    }

    /** Any tree of shares tiles its canvas: the panes' areas add up, and no two overlap. */
    public function testTreesTileExactly(): void
    {
        $random = new Randomizer(new Mt19937(7));
        for ($round = 0; $round < 40; ++$round) {
            $number = 0;
            $canvas = Size::of($random->getInt(200, 4000), $random->getInt(200, 4000));
            $panes = Glazing::resolve(self::tree(self::grow($random, 3, $number)), $canvas)->panes;
            $area = array_sum(array_map(static fn (Rect $rect) => $rect->width * $rect->height, $panes));
            self::assertSame($canvas->width * $canvas->height, $area, "round $round");
            foreach ($panes as $one => $a) {
                foreach ($panes as $other => $b) {
                    self::assertTrue(
                        $one === $other
                            || $a->right() <= $b->x
                            || $b->right() <= $a->x
                            || $a->bottom() <= $b->y
                            || $b->bottom() <= $a->y,
                        "$one over $other in round $round",
                    );
                }
            }
        }
    }

    public function testLatticeCellsTileAndRefuseBeyond(): void
    {
        $lattice = Lattice::of(Size::of(1366, 768), 16, 16);
        $widths = array_map(static fn (int $column) => $lattice->cells($column, 0, 1, 1)->width, range(0, 15));

        self::assertSame(1366, array_sum($widths));
        self::assertSame([0, 0, 342, 192], $lattice->cells(0, 0, 4, 4)->toArray());
        foreach (
            [
                'lattice.beyond' => static fn () => $lattice->cells(13, 0, 4, 4),
                'lattice.too_fine' => static fn () => Lattice::of(Size::of(10, 10), 16, 10),
            ] as $code => $wrong
        ) {
            try {
                $wrong();
                self::fail("$code was taken");
            } catch (Refusal $refusal) {
                self::assertSame($code, $refusal->refusalCode);
            }
        }
    }

    public function testLettersGoOnAfterZ(): void
    {
        self::assertSame(
            ['A', 'Z', 'AA', 'AZ', 'BA', 'ZZ', 'AAA'],
            array_map(Letters::at(...), [0, 25, 26, 51, 52, 701, 702]),
        );
    }

    /** @param array<string, mixed> $tree */
    private static function tree(array $tree): Part
    {
        return GlazingReader::read(Input::of($tree, '/tree'));
    }

    /** @return array<string, mixed> */
    private static function grow(Randomizer $random, int $depth, int &$number, bool $root = true): array
    {
        $size = $root ? [] : ['size' => $random->getInt(1, 9).'fr'];
        if ($depth === 0 || (!$root && $random->getInt(0, 2) === 0)) {
            return $size + ['pane' => 'p'.++$number];
        }
        $parts = [];
        for ($i = $random->getInt(2, 4); $i > 0; --$i) {
            $parts[] = self::grow($random, $depth - 1, $number, false);
        }

        return $size + ['split' => $random->getInt(0, 1) === 0 ? 'rows' : 'columns', 'parts' => $parts];
    }
}
