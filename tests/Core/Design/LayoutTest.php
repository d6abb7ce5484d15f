<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** A scene with a second layout for the other orientation (model §3). */
final class LayoutTest extends TestCase
{
    /** Crossed, a layout fits the turned canvas to the px: every pane is the same one with its axes exchanged. */
    public function testCrossedIsTheSameWithItsAxesExchanged(): void
    {
        $design = self::made(Build::board(), 'crossed');
        $turned = LayoutAt::of($design, 's-rest', true);

        self::assertSame([1080, 1920], $turned->canvas()->toArray());
        foreach (Build::panes($design) as $id => $pane) {
            self::assertSame(
                [$pane->y, $pane->x, $pane->height, $pane->width],
                $turned->glazing()->panes[$id]->toArray(),
            );
        }
    }

    public function testASurfaceGetsTheLayoutOfItsOrientation(): void
    {
        $plain = Build::board();
        $design = Build::apply(self::made($plain, 'crossed'), [
            'do' => 'mullion.move',
            'scene' => 's-rest',
            'layout' => 'turned',
            'after' => ['b'],
            'at' => 1000,
        ])->after;
        $rects = static fn (Design $design, int $width, int $height) => array_map(
            static fn ($zone) => $zone->rect->toArray(),
            self::plan($design, $width, $height)->zones(),
        );

        self::assertEqualsCanonicalizing(
            [[0, 0, 880, 1000], [880, 0, 200, 1920], [0, 1000, 880, 920]],
            $rects($design, 1080, 1920),
        );
        self::assertEqualsCanonicalizing(
            [[0, 0, 1760, 2000], [1760, 0, 400, 3840], [0, 2000, 1760, 1840]],
            $rects($design, 2160, 3840),
            'reflowed from the layout that suits',
        );
        self::assertSame($rects($plain, 1920, 1080), $rects($design, 1920, 1080), 'the own layout is as it was');
        self::assertSame($rects($plain, 1000, 1000), $rects($design, 1000, 1000), 'a square is no portrait');
    }

    /**
     * A zone made in one layout is missed in the other, placed there with its letter and fill, and goes only when
     * neither holds it.
     */
    public function testAZoneMayStandInOneLayoutAndIsMissedInTheOther(): void
    {
        $design = Build::apply(
            self::made(Build::board(), 'same'),
            ['layout' => 'turned'] + Sketch::split('a', 'rows', 600, 'd'),
            Sketch::fill('d', Sketch::colour('#336699')),
        )->after;
        self::assertSame(
            [[['layout.zone_missing', 'D', 'landscape']], []],
            [self::missing($design, 1920, 1080), self::missing($design, 1080, 1920)],
        );

        $placed = Build::apply($design, Sketch::split('b', 'rows', 400, 'd'))->after;
        self::assertSame([], self::missing($placed, 1920, 1080));
        self::assertSame(
            ['D', '#336699'],
            [$placed->zone('d')->letter(), $placed->zone('d')->fill()->toArray()['colour']],
        );
        self::assertSame($design->lettersUsed, $placed->lettersUsed);

        $merged = Build::apply($placed, [
            'do' => 'pane.merge',
            'scene' => 's-rest',
            'layout' => 'own',
            'pane' => 'd',
            'into' => 'b',
        ])->after;
        self::assertSame(['a', 'c', 'b', 'd'], array_keys($merged->zones));
        self::assertSame(
            ['a', 'c', 'b'],
            array_keys(
                Build::apply($merged, ['do' => 'layout.put', 'scene' => 's-rest', 'content' => null, 'zones' => []])
                    ->after->zones,
            ),
        );
    }

    /** Two people in two layouts do not meet; in one they do. */
    public function testLayoutsAreApart(): void
    {
        $design = self::made(Build::board(), 'same');
        $own = Build::apply($design, Sketch::size('b', '500px'));
        $turned = Build::apply($design, ['layout' => 'turned'] + Sketch::size('b', '300px'));

        self::assertFalse($own->touched()->meets($turned->writes));
        self::assertTrue($turned->touched()->meets($turned->writes));
    }

    public function testRefusesASecondOneAndOneThatIsGone(): void
    {
        foreach (
            [
                'document.layout_gone' => [Build::board(), ['layout' => 'turned'] + Sketch::size('b', '300px')],
                'document.layout_there' => [
                    self::made(Build::board(), 'same'),
                    ['do' => 'layout.make', 'scene' => 's-rest', 'way' => 'same'],
                ],
            ] as $code => [$design, $command]
        ) {
            try {
                Build::apply($design, $command);
                self::fail("$code was taken");
            } catch (Refusal $refusal) {
                self::assertSame(
                    [$code, '/commands/0/'.($code === 'document.layout_gone' ? 'layout' : 'scene')],
                    [$refusal->refusalCode, $refusal->path],
                );
            }
        }
    }

    /** A design for a part of a surface lies there, to the px, and nowhere else. */
    public function testLiesInItsArea(): void
    {
        $surface = Surface::ofPanel(Panel::of(Size::of(1920, 1080), 1_209_600, 680_400));
        $strip = Build::apply(Build::design(1920, 200), Sketch::split('a', 'columns', 1320, 'b'))->after;
        $plan = PlanCompiler::compile($strip, $surface, Build::context(), Rect::of(0, 880, 1920, 200));

        self::assertSame(
            [[0, 880, 1320, 200], [1320, 880, 600, 200]],
            array_map(static fn ($zone) => $zone->rect->toArray(), $plan->zones()),
        );
        self::assertSame([1920, 1080], $plan->surface->canvas->toArray());
    }

    private static function made(Design $design, string $way): Design
    {
        return Build::apply($design, ['do' => 'layout.make', 'scene' => 's-rest', 'way' => $way])->after;
    }

    /** @return list<array{string, string, string}> */
    private static function missing(Design $design, int $width, int $height): array
    {
        return array_map(
            static fn (Finding $finding) => [
                $finding->code,
                (string) $finding->params['letter'],
                (string) $finding->params['orientation'],
            ],
            self::plan($design, $width, $height)->scenes['s-rest']->findings,
        );
    }

    private static function plan(Design $design, int $width, int $height): Plan
    {
        return PlanCompiler::compile(
            $design,
            Surface::ofPanel(Panel::of(Size::of($width, $height), $width, $height)),
            Build::context(),
        );
    }
}
