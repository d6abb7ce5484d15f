<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** Panes with a strip of ground between them: what each command does with it, worked out by hand. */
final class GutterTest extends TestCase
{
    private const HERE = ['scene' => 's-rest', 'layout' => 'own'];

    /** 1000 px in three columns with 20 px between: a 0–300, b 320–620, c 640–1000. */
    public function testTheStripLiesBetweenPanesOnly(): void
    {
        self::assertSame(
            ['a' => [0, 0, 300, 400], 'b' => [320, 0, 300, 400], 'c' => [640, 0, 360, 400]],
            self::rects(self::columns()),
        );
    }

    /**
     * @return iterable<string, array{array<string, mixed>, array<string, ?list<int>>}> a command, and panes after it
     */
    public static function changes(): iterable
    {
        $split = ['do' => 'pane.split', 'split' => 'columns', 'new_zone' => 'd', 'new_split' => 'g2'];
        yield 'split along the same axis: the strip is taken off the new pane' => [
            $split + ['pane' => 'c', 'at' => 800],
            ['c' => [640, 0, 160, 400], 'd' => [820, 0, 180, 400]],
        ];
        yield 'the last px where it can be split' => [
            $split + ['pane' => 'c', 'at' => 979],
            ['c' => [640, 0, 339, 400], 'd' => [999, 0, 1, 400]],
        ];
        yield 'the first one' => [
            $split + ['pane' => 'b', 'at' => 321],
            ['b' => [320, 0, 1, 400], 'd' => [341, 0, 279, 400]],
        ];
        yield 'merged, a pane takes the strip too' => [
            ['do' => 'pane.merge', 'pane' => 'b', 'into' => 'a'],
            ['a' => [0, 0, 620, 400], 'b' => null, 'c' => [640, 0, 360, 400]],
        ];
        yield 'merged the other way' => [
            ['do' => 'pane.merge', 'pane' => 'b', 'into' => 'c'],
            ['a' => [0, 0, 300, 400], 'b' => null, 'c' => [320, 0, 680, 400]],
        ];
        yield 'a line moved' => [
            ['do' => 'mullion.move', 'after' => ['c'], 'at' => 500],
            ['b' => [320, 0, 180, 400], 'c' => [520, 0, 480, 400]],
        ];
        yield 'a pane set to a rectangle of its own' => [
            ['do' => 'pane.span', 'pane' => 'b', 'over' => [[340, 0, 200, 400]], 'new' => 'n'],
            ['a' => [0, 0, 320, 400], 'b' => [340, 0, 200, 400], 'c' => [560, 0, 440, 400]],
        ];
        yield 'a wider strip takes from all in proportion' => [
            ['do' => 'split.gutter', 'split' => 'g-b', 'gutter' => 50],
            ['a' => [0, 0, 281, 400], 'b' => [331, 0, 281, 400], 'c' => [662, 0, 338, 400]],
        ];
    }

    /**
     * @param array<string, mixed>           $command
     * @param array<string, ?list<int>> $expected
     */
    #[DataProvider('changes')]
    public function testEveryCommandKeepsIt(array $command, array $expected): void
    {
        $after = Build::apply(self::columns(), $command + self::HERE)->after;

        self::assertEquals($expected, array_intersect_key(self::rects($after) + ['b' => null], $expected));
        $right = max(array_map(static fn (array $rect) => $rect[0] + $rect[2], self::rects($after)));
        self::assertSame(1000, $right, 'it still ends with the canvas');
    }

    /**
     * @return iterable<string, array{array<string, mixed>, string, array<string, int>}> a command, code, what is
     * allowed
     */
    public static function refused(): iterable
    {
        $split = ['do' => 'pane.split', 'split' => 'columns', 'new_zone' => 'd', 'new_split' => 'g2', 'pane' => 'c'];
        yield 'a pane of nothing before' => [$split + ['at' => 640], 'split.outside', ['least' => 641, 'most' => 979]];
        yield 'a pane of nothing behind' => [$split + ['at' => 980], 'split.outside', ['least' => 641, 'most' => 979]];
        yield 'a line at its neighbour' => [
            ['do' => 'mullion.move', 'after' => ['b'], 'at' => 0],
            'mullion.beyond',
            ['least' => 1, 'most' => 599],
        ];
        yield 'a line at the other one' => [
            ['do' => 'mullion.move', 'after' => ['b'], 'at' => 600],
            'mullion.beyond',
            ['least' => 1, 'most' => 599],
        ];
    }

    /**
     * @param array<string, mixed> $command
     * @param array<string, int>   $allowed
     */
    #[DataProvider('refused')]
    public function testSaysHowFarItGoes(array $command, string $code, array $allowed): void
    {
        try {
            Build::apply(self::columns(), $command + self::HERE);
            self::fail('it was done');
        } catch (Refusal $refusal) {
            self::assertSame($code, $refusal->refusalCode);
            self::assertSame($allowed, array_intersect_key($refusal->params, $allowed));
        }
    }

    /** Limits of a line are those of the panes' own minimums too. */
    public function testALineStopsAtTheMinimumOfBoth(): void
    {
        $design = Build::apply(self::columns(), [
            'do' => 'sizes.set',
            'sizes' => ['a' => '300fr', 'b' => '300fr'],
            'mins' => ['a' => 120, 'b' => 90],
        ] + self::HERE)->after;

        self::assertSame([120, 510], LayoutAt::of($design, 's-rest', false)->glazing()->mullions()[0]->rangePx);
        $at = static fn (int $px) => ['do' => 'mullion.move', 'after' => ['b'], 'at' => $px] + self::HERE;
        self::assertSame([0, 0, 120, 400], self::rects(Build::apply($design, $at(120))->after)['a']);
        self::assertSame([530, 0, 90, 400], self::rects(Build::apply($design, $at(510))->after)['b']);
        $this->expectException(Refusal::class);
        Build::apply($design, $at(511));
    }

    private static function columns(): Design
    {
        return Build::apply(
            Build::design(1000, 400),
            Sketch::split('a', 'columns', 320, 'b'),
            Sketch::split('b', 'columns', 640, 'c'),
            ['do' => 'split.gutter', 'split' => 'g-b', 'gutter' => 20] + self::HERE,
            ['do' => 'sizes.set', 'sizes' => ['a' => '300fr', 'b' => '300fr', 'c' => '360fr']] + self::HERE,
        )->after;
    }

    /** @return array<string, list<int>> */
    private static function rects(Design $design): array
    {
        return array_map(static fn (Rect $rect) => $rect->toArray(), Build::panes($design));
    }
}
