<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Layout;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Reflow;
use UpperPane\Core\Layout\Reflowed;
use UpperPane\Core\Layout\ReflowScale;
use UpperPane\Core\Layout\Sizing;

/** A layout on a surface of another size (model §3). */
final class ReflowTest extends TestCase
{
    /**
     * @return iterable<string, array{list<int>, list<int>, list<array<string, mixed>>, array<string, int>,
     *     list<string>}> from, to, columns, widths there, codes. The first is the model's own check; those marked
     *     "review" come from an independent program with exact fractions
     */
    public static function columns(): iterable
    {
        $part = static fn (string $size, string $pane, int $min = 0) => ['size' => $size, 'pane' => $pane] +
            ($min > 0 ? ['min' => $min] : []);
        yield 'the model’s check' => [
            [1920, 1080],
            [1080, 1920],
            [$part('50%', 'A'), $part('900px', 'B'), $part('1fr', 'C')],
            ['A' => 540, 'B' => 506, 'C' => 34],
            ['reflow.loosened'],
        ];
        yield 'minimums are scaled (review)' => [
            [1920, 1080],
            [960, 540],
            [$part('1fr', 'A', 600), $part('3fr', 'B')],
            ['A' => 300, 'B' => 660],
            [],
        ];
        yield 'what fits stays as written' => [
            [1920, 1080],
            [3840, 2160],
            [$part('1320px', 'A'), $part('1fr', 'B')],
            ['A' => 2640, 'B' => 1200],
            [],
        ];
        yield 'a minimum gives way before a gutter, and says so' => [
            [1920, 1080],
            [1080, 1080],
            [$part('1fr', 'A', 400), $part('1fr', 'B', 400), $part('1fr', 'C', 400)],
            ['A' => 347, 'B' => 347, 'C' => 346],
            ['reflow.minimum_gone', 'reflow.minimum_gone', 'reflow.minimum_gone'],
        ];
        yield 'percent stays while it leaves something' => [
            [2000, 1000],
            [2000, 2000],
            [$part('95%', 'A'), $part('60px', 'B'), $part('1fr', 'C')],
            ['A' => 1900, 'B' => 60, 'C' => 40],
            ['reflow.loosened'],
        ];
        yield 'percent stays while the others have 1 px' => [
            [2000, 1000],
            [10, 1000],
            [$part('99%', 'A'), $part('1fr', 'B')],
            ['A' => 9, 'B' => 1],
            [],
        ];
        yield 'shares of less than a px' => [
            [1920, 1080],
            [5, 1080],
            [$part('1fr', 'A'), $part('3fr', 'B'), $part('1fr', 'C'), $part('3fr', 'D')],
            ['A' => 1, 'B' => 2, 'C' => 1, 'D' => 1],
            array_fill(0, 4, 'reflow.loosened'),
        ];
        yield 'fewer px than panes: the last are left out' => [
            [1920, 1080],
            [2, 1080],
            [$part('1fr', 'A'), $part('1fr', 'B'), $part('1fr', 'C')],
            ['A' => 1, 'B' => 1],
            ['reflow.left_out'],
        ];
    }

    /**
     * @param list<int>                  $from
     * @param list<int>                  $to
     * @param list<array<string, mixed>> $parts
     * @param array<string, int>         $widths
     * @param list<string>               $codes
     */
    #[DataProvider('columns')]
    public function testCarriesColumns(array $from, array $to, array $parts, array $widths, array $codes): void
    {
        $gutter = in_array('reflow.minimum_gone', $codes, true) ? 20 : 0;
        $reflowed = self::reflow(['split' => 'columns', 'gutter' => $gutter, 'parts' => $parts], $from, $to);

        self::assertSame($widths, array_map(static fn (Rect $rect) => $rect->width, $reflowed->glazing->panes));
        self::assertSame($codes, array_map(static fn (Finding $finding) => $finding->code, $reflowed->findings));
    }

    /** Sizes whose exact sums leave 64 bits on the way (review: they were refused, or spoiled a layout that fits). */
    public function testAddsMmAndPercentExactly(): void
    {
        $parts = [
            ['size' => '33.333%', 'pane' => 'p0'],
            ['size' => '120.5mm', 'pane' => 'p1'],
            ['size' => '120.5mm', 'pane' => 'p2'],
            ['size' => '1fr', 'pane' => 'p3'],
        ];
        $tree = GlazingReader::read(Input::of(['split' => 'columns', 'parts' => $parts], '/tree'));
        $widths = static fn (Glazing $glazing) => array_values(
            array_map(static fn (Rect $rect) => $rect->width, $glazing->panes),
        );
        $pitch = Rational::of(2_604_167, 1000);
        $wide = new Sizing(Size::of(7702, 1080), Rational::of(1_209_343, 1920), Rational::of(630));

        self::assertSame(
            [360, 46, 46, 628],
            $widths((new Sizing(Size::of(1080, 100), $pitch, $pitch))->resolve($tree)),
        );
        self::assertSame([2567, 192, 191, 4752], $widths(Reflow::to($tree, self::sizing(1920, 1080), $wide)->glazing));
    }

    /** A part in mm counts in its subtree's minimum, so that what holds it is never too small for it (review). */
    public function testASubtreeNeedsItsMillimetres(): void
    {
        foreach (['159mm', '159px'] as $fixed) {
            $tree = GlazingReader::read(
                Input::of(
                    [
                        'split' => 'columns',
                        'parts' => [
                            [
                                'size' => '1fr',
                                'split' => 'columns',
                                'parts' => [['size' => $fixed, 'pane' => 'A'], ['size' => '1fr', 'pane' => 'B']],
                            ],
                            ['size' => '9fr', 'pane' => 'C'],
                        ],
                    ],
                    '/tree',
                ),
            );
            $panes = (new Sizing(Size::of(1000, 10), Rational::of(1000), Rational::of(1000)))->resolve($tree)->panes;
            self::assertSame([159, 1, 840], [$panes['A']->width, $panes['B']->width, $panes['C']->width], $fixed);
        }
    }

    /**
     * Whatever the layout, the surface and the way sizes are carried: the panes never overlap and never leave the
     * surface, they tile it but for gutters, every pane has at least 1 px or is named as left out, and the layout to go
     * on from resolves to the same (random trees of px, %, mm and fr).
     */
    public function testNeverRefusesAndAlwaysTiles(): void
    {
        $random = new Randomizer(new Mt19937(17));
        $tried = 0;
        for ($round = 0; $round < 1200; ++$round) {
            $number = 0;
            $tree = GlazingReader::read(Input::of(self::grow($random, 3, $number), '/tree'));
            $own = self::sizing(1920, 1080);
            try {
                $own->resolve($tree);
            } catch (Refusal) {
                continue;
            }
            ++$tried;
            $there = self::sizing(
                $random->getInt(1, $round % 4 === 0 ? 12 : 4000),
                $random->getInt(1, $round % 4 === 1 ? 12 : 4000),
                $random->getInt(100, 9000),
            );
            $reflowed = Reflow::to($tree, $own, $there, ReflowScale::cases()[$round % 3]);
            $area = array_sum(
                array_map(static fn (Rect $pane) => $pane->width * $pane->height, $reflowed->glazing->panes),
            );
            self::assertCount(
                $number,
                [...$reflowed->glazing->panes, ...array_flip($reflowed->leftOut)],
                "round $round",
            );
            self::assertSame(
                $there->canvas->width * $there->canvas->height,
                $area + self::gutters($reflowed->tree, $there),
                "round $round",
            );
            self::assertEquals($reflowed->glazing->panes, $there->resolve($reflowed->tree)->panes, "round $round");
            self::assertSame(
                $reflowed->leftOut !== [],
                in_array(
                    'reflow.left_out',
                    array_map(static fn (Finding $finding) => $finding->code, $reflowed->findings),
                    true,
                ),
            );
        }
        self::assertGreaterThan(100, $tried);
    }

    /**
     * A strip of 200 px at 0.63 mm on a surface twice as large with a pitch of 0.315 mm: doubled in proportion, doubled
     * as so many mm, 200 as so many px.
     */
    public function testAPxBecomesWhatTheDesignSays(): void
    {
        $tree = ['split' => 'rows', 'parts' => [['size' => '1fr', 'pane' => 'A'], ['size' => '200px', 'pane' => 'B']]];
        $strip = static fn (int $width, int $height, int $pitchUm) => array_map(
            static fn (ReflowScale $by) => self::reflow($tree, [1920, 1080], [$width, $height], $by, $pitchUm)->glazing
                ->panes['B']->height,
            ReflowScale::cases(),
        );

        self::assertSame([400, 400, 200], $strip(3840, 2160, 315));
        self::assertSame([400, 200, 200], $strip(3840, 2160, 630), 'a larger display of the same pitch');
        self::assertSame(
            [18, 21, 18],
            $strip(960, 96, 6000),
            'a ribbon of 6 mm; 200 of its 96 px do not fit and become a share of 200 beside the 880 of A',
        );
    }

    /**
     * @param array<string, mixed> $tree
     * @param list<int>            $from
     * @param list<int>            $to
     */
    private static function reflow(
        array $tree,
        array $from,
        array $to,
        ReflowScale $by = ReflowScale::ShortSide,
        int $pitchUm = 630,
    ): Reflowed {
        return Reflow::to(
            GlazingReader::read(Input::of($tree, '/tree')),
            self::sizing($from[0], $from[1]),
            self::sizing($to[0], $to[1], $pitchUm),
            $by,
        );
    }

    private static function sizing(int $width, int $height, int $pitchUm = 630): Sizing
    {
        return new Sizing(Size::of($width, $height), Rational::of($pitchUm), Rational::of($pitchUm));
    }

    /** px between the parts, at every depth. */
    private static function gutters(Part $tree, Sizing $sizing): int
    {
        $covered = 0;
        foreach ($sizing->resolve($tree)->mullions() as $mullion) {
            $covered += $mullion->gutter * ($mullion->to - $mullion->from);
        }

        return $covered;
    }

    /** @return array<string, mixed> */
    private static function grow(Randomizer $random, int $depth, int &$number, bool $root = true): array
    {
        $sizes = [
            $random->getInt(1, 9).'fr',
            $random->getInt(1, 9).'fr',
            $random->getInt(1, 600).'px',
            $random->getInt(1, 40).'.5%',
            $random->getInt(1, 200).'mm',
        ];
        $size = $root ? [] : ['size' => $sizes[$random->getInt(0, 4)]];
        if (isset($size['size']) && str_ends_with($size['size'], 'fr') && $random->getInt(0, 3) === 0) {
            $size['min'] = $random->getInt(1, 300);
        }
        if ($depth === 0 || (!$root && $random->getInt(0, 2) === 0)) {
            return $size + ['pane' => 'p'.++$number];
        }
        $parts = [];
        for ($i = $random->getInt(2, 4); $i > 0; --$i) {
            $parts[] = self::grow($random, $depth - 1, $number, false);
        }

        return $size + [
            'split' => $random->getInt(0, 1) === 0 ? 'rows' : 'columns',
            'gutter' => $random->getInt(0, 12),
            'parts' => $parts,
        ];
    }
}
