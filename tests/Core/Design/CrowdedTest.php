<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\Preflight;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** Floats where there is no room: as many as there may be on one spot, and in a canvas that is turned. */
final class CrowdedTest extends TestCase
{
    /** All lie where they were put, each with a layer and a letter of its own, and only the front one is seen. */
    public function testTwoHundredOnOneSpotStayApart(): void
    {
        $design = Build::board();
        foreach (range(1, 200) as $number) {
            $design = Build::apply(
                $design,
                self::float("f$number", 'top-left', ['100px', '50px'], ['300px', '200px']),
                Sketch::fill("f$number", Sketch::colour('#123456')),
            )->after;
        }
        $plan = self::plan($design, 1920, 1080);
        $floats = array_values(
            array_filter($plan->zones(), static fn (ZonePlan $zone) => $zone->placed->isFloat),
        );

        self::assertCount(200, $floats);
        foreach ($floats as $index => $zone) {
            self::assertSame([100, 50, 300, 200], $zone->rect->toArray());
            self::assertSame(['f'.($index + 1), $index + 1], [$zone->zone->id, $zone->placed->layer]);
        }
        self::assertCount(200, array_unique(array_map(static fn (ZonePlan $zone) => $zone->zone->letter(), $floats)));
        self::assertSame(
            array_map(static fn (int $number) => "f$number", range(1, 199)),
            self::found($plan, 'zone.hidden'),
            'all but the front one are hidden',
        );
    }

    /** 1920 × 1080 turned: what hangs at 1500 px from the left is said to be gone, and is still there. */
    public function testWhatNoLongerFitsTurnedIsFoundAndKept(): void
    {
        $design = Build::apply(
            Build::board(),
            self::float('far', 'top-left', ['1500px', '50px'], ['300px', '200px']),
            self::float('edge', 'top-left', ['900px', '50px'], ['300px', '200px']),
            self::float('held', 'bottom-right', ['-10px', '-10px'], ['300px', '200px']),
            self::float('share', 'centre', ['0%', '0%'], ['50%', '50%']),
            ['do' => 'layout.make', 'scene' => 's-rest', 'way' => 'same'],
        )->after;
        $turned = self::plan($design, 1080, 1920);
        $rects = [];
        foreach ($turned->zones() as $zone) {
            $rects[$zone->zone->id] = $zone->rect->toArray();
        }

        self::assertSame([1500, 50, 300, 200], $rects['far']);
        self::assertSame([770, 1710, 300, 200], $rects['held'], 'its corner holds it');
        self::assertSame([270, 480, 540, 960], $rects['share'], 'a share is one of the turned canvas');
        self::assertSame([['far'], ['edge']], [
            self::found($turned, 'float.outside'),
            self::found($turned, 'float.partly_outside'),
        ]);
        self::assertSame([], self::found(self::plan($design, 1920, 1080), 'float.outside'));
    }

    /**
     * @param array{string, string} $offset
     * @param array{string, string} $size
     *
     * @return array<string, mixed>
     */
    private static function float(string $zone, string $anchor, array $offset, array $size): array
    {
        return Sketch::float($zone, $size, ['anchor' => $anchor, 'offset' => $offset]);
    }

    /** @return list<string> the zones that something was found about */
    private static function found(Plan $plan, string $code): array
    {
        $zones = [];
        foreach (Preflight::standard()->plan($plan) as $finding) {
            if ($finding->code === $code) {
                $zones[] = (string) $finding->params['zone'];
            }
        }

        return $zones;
    }

    private static function plan(Design $design, int $width, int $height): Plan
    {
        $surface = Surface::ofPanel(Panel::of(Size::of($width, $height), $width * 630, $height * 630));

        return PlanCompiler::compile($design, $surface, Build::context());
    }
}
