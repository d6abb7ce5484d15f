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
use UpperPane\Core\Layout\Reflow;
use UpperPane\Core\Layout\ReflowScale;
use UpperPane\Core\Layout\Shares;
use UpperPane\Core\Layout\Sizing;
use UpperPane\Core\Layout\Split;

final class GlazingTest extends TestCase
{
    /** @return iterable<string, array{int, int, list<string>, list<int>}> length, gutter, sizes, px: the model's check values (§3) */
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
        $glazing = Glazing::resolve(self::tree(['split' => 'columns', 'gutter' => $gutter, 'parts' => $parts]), Size::of($length, 9), Rational::of(630), Rational::of(630));

        self::assertSame($expected, array_values(array_map(static fn (Rect $rect) => $rect->width, $glazing->panes)));
    }

    public function testFreezesPartsAtTheirMinimumAsCssDoes(): void
    {
        $tree = self::tree(['split' => 'columns', 'parts' => [['size' => '1fr', 'min' => 400, 'pane' => 'a'], ['size' => '1fr', 'pane' => 'b'], ['size' => '2fr', 'pane' => 'c']]]);

        self::assertSame([400, 200, 400], array_values(array_map(static fn (Rect $rect) => $rect->width, Glazing::resolve($tree, Size::of(1000, 1))->panes)));
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
                    self::assertTrue($one === $other || $a->right() <= $b->x || $b->right() <= $a->x || $a->bottom() <= $b->y || $b->bottom() <= $a->y, "$one over $other in round $round");
                }
            }
        }
    }

    /** Reflow never refuses, and loosens only what does not fit (model §3). */
    public function testReflowsOntoAnyCanvas(): void
    {
        $tree = self::tree(['split' => 'rows', 'gutter' => 40, 'parts' => [
            ['size' => '1fr', 'split' => 'columns', 'gutter' => 20, 'parts' => [['size' => '1320px', 'pane' => 'A'], ['size' => '1fr', 'pane' => 'B']]],
            ['size' => '200px', 'pane' => 'C'],
        ]]);
        $portrait = Reflow::to($tree, self::sizing(1920, 1080), self::sizing(1080, 1920));
        $double = Reflow::to($tree, self::sizing(1920, 1080), self::sizing(3840, 2160));

        self::assertSame([2640, 1160, 400], [$double->glazing->panes['A']->width, $double->glazing->panes['B']->width, $double->glazing->panes['C']->height]);
        self::assertSame([], $double->findings);
        self::assertSame(['reflow.loosened'], array_map(static fn ($finding) => $finding->code, $portrait->findings));
        foreach ([[960, 96], [96, 960], [30, 30], [7, 5000], [100_000, 2]] as [$width, $height]) {
            foreach (ReflowScale::cases() as $by) {
                self::assertCount(3, Reflow::to($tree, self::sizing(1920, 1080), self::sizing($width, $height), $by)->glazing->panes);
            }
        }
    }

    /** Whatever the layout, the surface and the way sizes are carried, the panes tile the surface exactly (random trees of px and fr). */
    public function testReflowTilesAnySurface(): void
    {
        $random = new Randomizer(new Mt19937(17));
        for ($round = 0; $round < 150; ++$round) {
            $number = 0;
            $tree = self::tree(self::mixed($random, self::grow($random, 3, $number)));
            $surface = self::sizing($random->getInt(100, 4000), $random->getInt(100, 4000), $random->getInt(100, 9000));
            $reflow = Reflow::to($tree, self::sizing(1920, 1080), $surface, ReflowScale::cases()[$round % 3]);
            $gutters = self::gutterArea($reflow->tree, $reflow->glazing, $surface->canvas->rect());
            $area = array_sum(array_map(static fn (Rect $pane) => $pane->width * $pane->height, $reflow->glazing->panes));

            self::assertCount($number, $reflow->glazing->panes);
            self::assertSame($surface->canvas->width * $surface->canvas->height, $area + $gutters, "round $round");
        }
    }

    /**
     * The same tree with some sizes in px and some gutters.
     *
     * @param array<string, mixed> $node
     *
     * @return array<string, mixed>
     */
    private static function mixed(Randomizer $random, array $node): array
    {
        if (isset($node['size']) && $random->getInt(0, 1) === 0) {
            $node['size'] = $random->getInt(1, 900).'px';
        }
        if (isset($node['parts'])) {
            $node['parts'] = array_map(static fn (array $part) => self::mixed($random, $part), $node['parts']);
            $node['gutter'] = $random->getInt(0, 30);
        }

        return $node;
    }

    /** px between the parts, at every depth. */
    private static function gutterArea(Part $part, Glazing $glazing, Rect $rect): int
    {
        if (!$part instanceof Split) {
            return 0;
        }
        $sizes = Shares::of($part, $rect->length($part->axis), null, '');
        $area = $part->guttersPx() * $rect->length($part->axis->other());
        $start = $rect->start($part->axis);
        foreach ($part->parts as $index => $child) {
            $area += self::gutterArea($child, $glazing, $rect->along($part->axis, $start, $sizes[$index]));
            $start += $sizes[$index] + $part->gutterPx;
        }

        return $area;
    }

    /** A strip of 200 px at 0.63 mm on a surface twice as large with a pitch of 0.315 mm: doubled in proportion, doubled as so many mm, 200 as so many px (model §3). */
    public function testAPxBecomesWhatTheDesignSays(): void
    {
        $tree = self::tree(['split' => 'rows', 'parts' => [['size' => '1fr', 'pane' => 'A'], ['size' => '200px', 'pane' => 'B']]]);
        $strip = static fn (int $width, int $height, int $pitchUm, ReflowScale $by) => Reflow::to($tree, self::sizing(1920, 1080), self::sizing($width, $height, $pitchUm), $by)->glazing->panes['B']->height;

        self::assertSame([400, 400, 200], array_map(static fn (ReflowScale $by) => $strip(3840, 2160, 315, $by), ReflowScale::cases()));
        self::assertSame([400, 200, 200], array_map(static fn (ReflowScale $by) => $strip(3840, 2160, 630, $by), ReflowScale::cases()), 'a larger display of the same pitch');
        self::assertSame([18, 21, 95], array_map(static fn (ReflowScale $by) => $strip(960, 96, 6000, $by), ReflowScale::cases()), 'a ribbon of 6 mm; 200 of its 96 px do not fit and become a share');
    }

    private static function sizing(int $width, int $height, int $pitchUm = 630): Sizing
    {
        return new Sizing(Size::of($width, $height), Rational::of($pitchUm), Rational::of($pitchUm));
    }

    public function testLatticeCellsTileAndRefuseBeyond(): void
    {
        $lattice = Lattice::of(Size::of(1366, 768), 16, 16);
        $widths = array_map(static fn (int $column) => $lattice->cells($column, 0, 1, 1)->width, range(0, 15));

        self::assertSame(1366, array_sum($widths));
        self::assertSame([0, 0, 342, 192], $lattice->cells(0, 0, 4, 4)->toArray());
        $this->expectException(Refusal::class);
        $lattice->cells(13, 0, 4, 4);
    }

    public function testLettersGoOnAfterZ(): void
    {
        self::assertSame(['A', 'Z', 'AA', 'AZ', 'BA', 'ZZ', 'AAA'], array_map(Letters::at(...), [0, 25, 26, 51, 52, 701, 702]));
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
