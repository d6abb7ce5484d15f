<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** On the hall wall: 3 × 2 panels of 1920 × 1080 with seams of 6 px (model §2). */
final class SpanTest extends TestCase
{
    /** @return iterable<string, array{list<int>}> */
    public static function spans(): iterable
    {
        yield 'a panel in the middle' => [[1926, 0, 1920, 1080]];
        yield 'the row below' => [[0, 1086, 5772, 1080]];
        yield 'the column on the right' => [[3852, 0, 1920, 2166]];
        yield 'four panels, seams included' => [[1926, 0, 3846, 2166]];
        yield 'all' => [[0, 0, 5772, 2166]];
    }

    /**
     * @param list<int> $rect
     */
    #[DataProvider('spans')]
    public function testOnePaneIsSetToPanelsAndTheRestStaysTiled(array $rect): void
    {
        $after = self::spanned(Build::design(5772, 2166), 'a', $rect);
        $panes = self::panes($after);

        self::assertSame($rect, $panes['a']->toArray());
        self::assertSame(
            5772 * 2166,
            array_sum(array_map(static fn (Rect $pane) => $pane->width * $pane->height, $panes)),
        );
        self::assertSame($after->toArray(), self::spanned($after, 'a', $rect)->toArray(), 'done twice is done once');
    }

    /**
     * From one panel to the row: the panes that would lie under it go into it, and taking it back brings them all
     * again.
     */
    public function testTakesInWhatLiesUnderIt(): void
    {
        $row = Build::apply(
            Build::design(5772, 2166),
            Sketch::split('a', 'rows', 1083, 'd'),
            Sketch::split('a', 'columns', 1923, 'b'),
            Sketch::split('b', 'columns', 3849, 'c'),
            Sketch::fill('c', Sketch::colour('#336699')),
        )->after;
        $span = Build::apply($row, [
            'do' => 'pane.span',
            'scene' => 's-rest',
            'layout' => 'own',
            'pane' => 'a',
            'over' => [[0, 0, 1920, 1080], [3852, 0, 1920, 1080]],
            'new' => 'n',
        ]);

        self::assertSame(
            ['a' => [0, 0, 5772, 1080], 'd' => [0, 1080, 5772, 1086]],
            array_map(static fn (Rect $pane) => $pane->toArray(), self::panes($span->after)),
        );
        self::assertEquals(self::panes($row), self::panes($span->inverse->apply($span->after)->after));
        self::assertSame('#336699', $span->inverse->apply($span->after)->after->zone('c')->fill()->toArray()['colour']);
    }

    /** From one panel to another: it grows over there before it leaves where it was. */
    public function testGoesFromOnePanelToAnother(): void
    {
        $left = self::spanned(Build::design(5772, 2166), 'a', [0, 0, 1920, 1080]);

        self::assertSame(
            [3852, 0, 1920, 1080],
            self::panes(self::spanned($left, 'a', [3852, 0, 1920, 1080]))['a']->toArray(),
        );
    }

    /** What another split holds is not taken in silently: the refusal says where the line would have to go. */
    public function testIsRefusedWhereOtherPanesHoldTheLine(): void
    {
        $quad = Build::apply(
            Build::design(5772, 2166),
            Sketch::split('a', 'rows', 1080, 'c'),
            Sketch::split('c', 'columns', 2000, 'd'),
            Sketch::fill('a', Sketch::colour('#336699')),
        )->after;
        foreach (
            [
                ['d', [1926, 0, 1920, 2166], 'span.blocked'],
                ['d', [0, 0, 5773, 10], 'span.outside'],
                ['gone', [0, 0, 10, 10], 'document.zone_gone'],
            ] as [$pane, $rect, $code]
        ) {
            try {
                self::spanned($quad, $pane, $rect);
                self::fail("$code was taken");
            } catch (Refusal $refusal) {
                self::assertSame($code, $refusal->refusalCode);
            }
        }
    }

    /** @param list<int> $rect */
    private static function spanned(Design $design, string $pane, array $rect): Design
    {
        return Build::apply($design, [
            'do' => 'pane.span',
            'scene' => 's-rest',
            'layout' => 'own',
            'pane' => $pane,
            'over' => [$rect],
            'new' => 'n',
        ])->after;
    }

    /** @return array<string, Rect> */
    private static function panes(Design $design): array
    {
        return Build::panes($design);
    }
}
