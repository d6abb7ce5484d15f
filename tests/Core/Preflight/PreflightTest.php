<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Preflight;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Preflight\Preflight;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\PanelGrid;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** Zone a is 1320 × 880, the ratio 3:2. The bounds and how grave each is are those of model §4 and §5. */
final class PreflightTest extends TestCase
{
    private const GRAVITY = [
        'zone.empty' => 'stop',
        'media.missing' => 'stop',
        'media.not_ready' => 'stop',
        'picture.stretched' => 'caution',
        'picture.enlarged' => 'caution',
        'picture.cut' => 'caution',
        'video.longer_than_slot' => 'caution',
        'transition.too_long' => 'note',
        'playlist.empty' => 'stop',
        'text.overflows' => 'caution',
        'text.approximate' => 'note',
        'text.too_small' => 'caution',
        'seam.text' => 'caution',
        'seam.face' => 'caution',
    ];

    /** @return iterable<string, array{array<string, mixed>, list<string>}> a fill and the codes it must raise */
    public static function fills(): iterable
    {
        yield 'nothing' => [['kind' => 'empty'], ['zone.empty']];
        yield 'a fitting picture' => [Sketch::picture('p3x2', 'contain'), []];
        yield 'a picture that is gone' => [Sketch::picture('gone'), ['media.missing']];
        yield 'a picture nobody has looked at yet' => [Sketch::picture('waiting'), ['media.not_ready']];
        yield 'stretched by a third' => [Sketch::picture('p4x2', 'stretch'), ['picture.stretched']];
        yield 'stretched by less than 1 %' => [Sketch::picture('near', 'stretch'), []];
        yield 'enlarged to just 1.25' => [Sketch::picture('p1056', 'contain'), []];
        yield 'enlarged beyond 1.25' => [Sketch::picture('p1050', 'contain'), ['picture.enlarged']];
        yield 'cover cutting a quarter' => [Sketch::picture('p4x2', 'cover'), ['picture.cut']];
        yield 'cover cutting a ninth' => [Sketch::picture('p4x3', 'cover'), []];
        yield 'a video longer than its slot' => [
            Sketch::playlist([[Sketch::video('v'), 5000], [Sketch::colour('#000000'), 1000]]),
            ['video.longer_than_slot'],
        ];
        $fading = static fn (int $ms, array $fill) => array_replace_recursive($fill, [
            'entries' => [1 => ['transition' => ['kind' => 'fade', 'ms' => $ms]]],
        ]);
        $two = Sketch::playlist([[Sketch::colour('#000000'), 3000], [Sketch::colour('#123456'), 9000]]);
        yield 'a fade as long as the shorter entry' => [$fading(3000, $two), []];
        yield 'one ms longer' => [$fading(3001, $two), ['transition.too_long']];
        yield 'a video in full' => [Sketch::playlist([[Sketch::video('v'), null]]), []];
        yield 'an empty playlist' => [Sketch::playlist([]), ['playlist.empty']];
        yield 'text that fits by shrinking' => [Sketch::text(str_repeat('word ', 60), 200, ['min_size' => 12]), []];
        yield 'text that never fits' => [
            Sketch::text(str_repeat('word ', 900), 200, ['min_size' => 100]),
            ['text.overflows'],
        ];
        yield 'text the face lacks' => [Sketch::text('开往', 90), ['text.approximate']];
    }

    /**
     * @param array<string, mixed> $fill
     * @param list<string>         $codes
     */
    #[DataProvider('fills')]
    public function testFindsWhatIsWrongAndNothingElse(array $fill, array $codes): void
    {
        $design = Build::filled(
            Build::filled(Build::filled(Build::board(), 'a', $fill), 'b', Sketch::colour('#123456')),
            'c',
            Sketch::colour('#123456'),
        );
        $context = Build::context(
            Build::picture('p3x2', 2640, 1760),
            Build::picture('p4x2', 4000, 2000),
            Build::picture('p4x3', 4000, 3000),
            Build::picture('near', 1330, 880),
            Build::picture('p1056', 1056, 704),
            Build::picture('p1050', 1050, 700),
            Build::video('v', 1320, 880, 12_000),
            new MediaFacts('waiting', 'waiting.jpg', '', 'image/jpeg', 1, null, null),
        );
        $plan = PlanCompiler::compile($design, Surface::ofPanel(Panel::of(Size::of(1920, 1080), 1, 1)), $context);
        $findings = Preflight::standard()->zones($plan->zones());

        self::assertSame($codes, array_map(static fn (Finding $finding) => $finding->code, $findings));
        foreach ($findings as $finding) {
            self::assertStringStartsWith('/zones/a', $finding->path);
            self::assertStringContainsString('A', $finding->toArray()['message']);
            self::assertSame(self::GRAVITY[$finding->code], $finding->severity->value);
            self::assertNotSame('', $finding->toArray()['mend']);
        }
    }

    /**
     * Three panels of 640 × 1080 side by side under zone a: seams at 640 and 1280, butted (no px) or with a bezel of 1
     * px each.
     *
     * @return iterable<string, array{array<string, mixed>, bool, list<string>}>
     */
    public static function onSeams(): iterable
    {
        $face = static fn (int $left, int $width) => ['faces' => [[$left, 400_000, $width, 100_000]]] +
            Sketch::picture('p3x2', 'stretch');
        foreach ([true, false] as $butted) {
            $wall = $butted ? 'butted' : 'bezel to bezel';
            yield "letters across a seam, $wall" => [
                Sketch::text('Boats leave from the outer pontoon', 60, ['align' => 'centre', 'mode' => 'as_set']),
                $butted,
                ['seam.text'],
            ];
            yield "letters within the first panel, $wall" => [
                Sketch::text('Pier', 60, ['align' => 'left', 'mode' => 'as_set']),
                $butted,
                [],
            ];
            yield "a clock across a seam, $wall" => [Sketch::clock('HH:mm', 500), $butted, ['seam.text']];
            yield "a clock beside it, $wall" => [['align' => 'left'] + Sketch::clock('HH:mm', 60), $butted, []];
            yield "a face across a seam, $wall" => [$face(300_000, 100_000), $butted, ['seam.face']];
            yield "a face beside it, $wall" => [$face(400_000, 100_000), $butted, []];
        }
        yield 'a face that ends on a joint without width' => [$face(0, 333_333), true, []];
    }

    /**
     * Three panels of 1920 × 360 under each other: seams at y = 360 and 720. What is drawn lies where the model says:
     * faces by shares of the picture, letters in the middle of their lines.
     *
     * @return iterable<string, array{array<string, mixed>, list<string>}>
     */
    public static function onRows(): iterable
    {
        $face = static fn (int $top, int $height) => ['faces' => [[0, $top, 1_000_000, $height]]] +
            Sketch::picture('p3x2', 'stretch');
        yield 'a face from 359 to 361' => [$face(332_407, 1852), ['seam.face']];
        yield 'a face that ends at 360' => [$face(300_000, 33_333), []];
        yield 'a face that begins at 360' => [$face(333_334, 100_000), []];
        $text = static fn (string $valign, int $size, array $more = []) => Sketch::text('Pier', $size, $more + [
            'mode' => 'as_set',
            'valign' => $valign,
            'padding' => 0,
            'line_height' => 2000,
        ]);
        yield 'letters at the top, 180 high in a line of 360' => [$text('top', 180), []];
        yield 'letters of 362 in a line of 724: 181 to 543' => [$text('top', 362), ['seam.text']];
        yield 'letters at the bottom' => [$text('bottom', 180), []];
        yield 'letters in the middle, between both seams' => [$text('middle', 300), []];
        yield 'letters in the middle over both seams' => [$text('middle', 400), ['seam.text']];
        $clock = static fn (string $valign, int $size) => ['valign' => $valign, 'padding' => 0, 'line_height' => 2000] +
            Sketch::clock('HH:mm', $size);
        yield 'a clock at the top' => [$clock('top', 180), []];
        yield 'a clock over a seam' => [$clock('top', 362), ['seam.text']];
    }

    /**
     * @param array<string, mixed> $fill
     * @param list<string>         $codes
     */
    #[DataProvider('onRows')]
    public function testFindsThemAcrossToo(array $fill, array $codes): void
    {
        $panel = Panel::of(Size::of(1920, 360), 1_920_000, 360_000, [0, 0, 0, 0]);
        $wall = Surface::ofGrid(PanelGrid::of($panel, 1, 3, 0, 0, false));
        $plan = PlanCompiler::compile(
            Build::filled(Build::design(), 'a', $fill),
            $wall,
            Build::context(Build::picture('p3x2', 1920, 1080)),
        );

        self::assertSame(
            $codes,
            array_map(static fn (Finding $finding) => $finding->code, Preflight::standard()->zones($plan->zones())),
        );
    }

    /**
     * @param array<string, mixed> $fill
     * @param list<string>         $codes
     */
    #[DataProvider('onSeams')]
    public function testFindsLettersAndFacesOnSeams(array $fill, bool $butted, array $codes): void
    {
        $wall = Surface::ofGrid(
            PanelGrid::of(
                Panel::of(Size::of(640, 1080), 640_000, 1_080_000, $butted ? [0, 0, 0, 0] : [500, 500, 500, 500]),
                3,
                1,
                0,
                0,
                !$butted,
            ),
        );
        $design = Build::filled(Build::design($wall->canvas->width), 'a', $fill);
        $plan = PlanCompiler::compile(
            $design,
            $wall,
            Build::context(Build::picture('p3x2', $wall->canvas->width, 1080)),
        );

        self::assertSame(
            $codes,
            array_map(static fn (Finding $finding) => $finding->code, Preflight::standard()->zones($plan->zones())),
        );
        self::assertSame(['A', 'B', 'C'], $plan->zones()[0]->panels);
    }
}
