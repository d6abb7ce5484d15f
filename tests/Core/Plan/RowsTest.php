<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Design\Fill\FillReader;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Plan\ItemCompiler;
use UpperPane\Core\Plan\Paint\PaintedScene;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Plan\ScenePlan;
use UpperPane\Core\Plan\SubItem;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\Fill\CodeUnclear;
use UpperPane\Core\Preflight\Fill\ProgressOfNothing;
use UpperPane\Core\Preflight\Preflight;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** Rows of parts, as a made-up zone has them: what holds for a text holds for a text in a row (model §7, Roster). */
final class RowsTest extends TestCase
{
    public function testWhatHoldsForAZoneHoldsForARow(): void
    {
        $words = ['mode' => 'as_set', 'ground' => null] + Sketch::text('Departures from the inner pontoon', 40);
        $alone = self::codes(self::zone(static fn (ItemCompiler $items, Size $size) => $items->compile(
            FillReader::read(Input::of($words)),
            Size::of(200, 40),
        )));
        $rows = self::codes(self::zone(static fn (ItemCompiler $items, Size $size) => $items->compile(
            FillReader::read(Input::of(Sketch::colour('#1D2A33'))),
            $size,
        )->withParts(array_map(static fn (int $place) => new SubItem(
            'words',
            $place,
            $place,
            Rect::of(10, 50 * $place, 200, 40),
            $items->compile(FillReader::read(Input::of($words)), Size::of(200, 40)),
        ), range(0, 2)))));

        self::assertContains('text.overflows', $alone);
        self::assertSame($alone, $rows, 'and once, however many rows there are');
    }

    public function testAPartIsInThePlanWithItsPlaceAndRecord(): void
    {
        $zone = self::zone(static fn (ItemCompiler $items, Size $size) => $items->compile(
            FillReader::read(Input::of(Sketch::colour('#1D2A33'))),
            $size,
        )->withParts([new SubItem(
            'gate',
            1,
            7,
            Rect::of(10, 50, 200, 40),
            $items->compile(FillReader::read(Input::of(Sketch::text('7', 20))), Size::of(200, 40)),
        )]));
        $item = $zone->items[0];
        $part = $item->toArray()['parts'][0] ?? [];

        self::assertSame(['gate', 1, 7, [10, 50, 200, 40]], [
            $part['part'],
            $part['place'],
            $part['record'],
            $part['rect'],
        ]);
        self::assertSame('7', $part['drawing']['lines'][0]['text']);
        self::assertSame([500], $item->walk()[1]->weights(), 'its face is kept');
    }

    /** A code that reaches beyond the canvas, and the progress of nothing, are found in a row as in a zone. */
    public function testWhatIsPaintedIsJudgedInARowToo(): void
    {
        $code = ['kind' => 'qr', 'content' => ['as' => 'text', 'text' => 'NESS'], 'level' => 'M'] + [
            'colour' => '#000000',
            'ground' => '#FFFFFF',
        ];
        $progress = ['kind' => 'progress', 'of' => 'z9', 'whole' => false, 'form' => 'bar'] + [
            'colour' => '#A63D2A',
            'track' => '#4D5A62',
            'ground' => null,
        ];
        $found = static function (array $fill, int ...$left): array {
            $zone = self::zone(static fn (ItemCompiler $items, Size $size) => $items->compile(
                FillReader::read(Input::of(Sketch::colour('#1D2A33'))),
                $size,
            )->withParts(array_map(static fn (int $x) => new SubItem(
                'part',
                0,
                0,
                Rect::of($x, 0, 100, 100),
                $items->compile(FillReader::read(Input::of($fill)), Size::of(100, 100)),
            ), $left)));
            $scene = self::plan()->scenes['s-rest'];
            $painted = PaintedScene::of(
                new ScenePlan($scene->scene, $scene->ms, $scene->place, $scene->ground, [$zone], []),
            );

            return array_map(
                static fn (Finding $finding) => $finding->code,
                [...(new CodeUnclear())->check($painted), ...(new ProgressOfNothing())->check($painted)],
            );
        };

        self::assertSame([], $found($code, 0, 300));
        self::assertSame(['qr.covered'], $found($code, 0, 340));
        self::assertSame(['progress.of_nothing'], $found($progress, 0, 150));
    }

    /** @param \Closure(ItemCompiler, Size): \UpperPane\Core\Plan\Item $item */
    private static function zone(\Closure $item): ZonePlan
    {
        $zone = self::plan()->scenes['s-rest']->zones[0];

        return new ZonePlan(
            $zone->sceneId,
            $zone->zone,
            $zone->placed,
            [$item(new ItemCompiler(Build::context()), $zone->rect->size())],
        );
    }

    private static function plan(): Plan
    {
        $design = Build::apply(Build::design(400, 300), Sketch::fill('a', Sketch::colour('#000000')))->after;

        return PlanCompiler::compile(
            $design,
            Surface::ofPanel(Panel::of(Size::of(400, 300), 1, 1)),
            Build::context(),
        );
    }

    /** @return list<string> */
    private static function codes(ZonePlan $zone): array
    {
        return array_map(static fn (Finding $finding) => $finding->code, Preflight::standard()->zones([$zone]));
    }
}
