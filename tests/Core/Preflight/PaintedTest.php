<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Preflight;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\LightGrid;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Plan\PlanContext;
use UpperPane\Core\Preflight\Preflight;
use UpperPane\Core\Style\HouseStyle;
use UpperPane\Core\Style\Palette;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\PanelGrid;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/**
 * What lies on, under and over what: seams, letters, hidden things and codes. On a wall of 3 × 1 panels of 640 × 1080
 * px, butted or with seams of 10 px, and on one display. Where letters stand is worked out by hand.
 */
final class PaintedTest extends TestCase
{
    /**
     * Seams of 10 px at x = 640 and 1290.
     *
     * @return iterable<string, array{list<array<string, mixed>>, list<string>}>
     */
    public static function onSeams(): iterable
    {
        $words = static fn (array $with = []) => $with + Sketch::text('Gap', 60, [
            'align' => 'left',
            'mode' => 'as_set',
            'padding' => 0,
        ]);
        $float = static fn (array $fill, array $rect, array $with = []) => [
            self::float('f', $rect, $with),
            Sketch::fill('f', $fill),
        ];
        $in = static fn (int $left, string $align) => $float(
            self::shape(['label' => $words(['align' => $align, 'ground' => null])]),
            [$left, 200, 600, 400],
        );
        $code = ['kind' => 'qr', 'content' => ['as' => 'text', 'text' => 'NESS'], 'level' => 'M'] + [
            'colour' => '#000000',
            'ground' => '#FFFFFF',
        ];
        $ticker = static fn (string $direction) => $words(['ticker' => ['direction' => $direction, 'speed' => 90]]);

        yield 'left in 100 to 700: at 100' => [$float($words(), [100, 200, 600, 100]), []];
        yield 'the same upside down: up to 700' => [
            $float($words(), [100, 200, 600, 100], ['turn' => 18_000]),
            ['caution seam.text'],
        ];
        yield 'on its side, at x 670 to 710' => [
            $float($words(['valign' => 'middle']), [190, 490, 1000, 100], ['turn' => 9000]),
            [],
        ];
        yield 'on its side, at x 630 to 670' => [
            $float($words(['valign' => 'middle']), [150, 490, 1000, 100], ['turn' => 9000]),
            ['caution seam.text'],
        ];
        yield 'a label in the middle of 345 to 945' => [$in(345, 'centre'), ['caution seam.text']];
        yield 'a label in the middle of 620 to 1220' => [$in(620, 'centre'), []];
        yield 'a code over a seam' => [$float($code, [600, 200, 90, 90]), ['caution seam.code']];
        yield 'a code of which only the quiet zone lies on a seam' => [$float($code, [648, 200, 99, 99]), []];
        yield 'words that run across seams' => [$float($ticker('left'), [0, 0, 1940, 100]), ['note seam.ticker']];
        yield 'words that run along a seam' => [
            $float($ticker('up'), [600, 0, 300, 1080]),
            ['caution seam.text'],
        ];
        $face = static fn (array $crop) => ['faces' => [[480_000, 0, 40_000, 1_000_000]]] + $crop +
            Sketch::picture('noon', 'stretch');
        yield 'a face at 639 to 691 of a picture from 0 to 1330' => [
            $float($face([]), [0, 0, 1330, 400]),
            ['caution seam.face'],
        ];
        yield 'a face that the crop leaves out' => [
            $float($face(['crop' => [600_000, 0, 400_000, 1_000_000]]), [0, 0, 1330, 400]),
            [],
        ];
    }

    /**
     * @param list<array<string, mixed>> $commands
     * @param list<string>               $expected
     */
    #[DataProvider('onSeams')]
    public function testFindsWhatStandsOnASeamAsItIsDrawn(array $commands, array $expected): void
    {
        $panel = Panel::of(Size::of(640, 1080), 640_000, 1_080_000, [5000, 5000, 5000, 5000]);
        $wall = Surface::ofGrid(PanelGrid::of($panel, 3, 1, 0, 0, true));
        self::assertSame([640, 1290], array_map(static fn ($seam) => $seam->x, $wall->seams));

        self::assertSame($expected, self::found($commands, $wall, 'seam.'));
    }

    /**
     * Over a dark display of 1920 × 1080 px.
     *
     * @return iterable<string, array{list<array<string, mixed>>, list<string>}>
     */
    public static function letters(): iterable
    {
        $words = static fn (string $ink, ?string $ground, array $with = []) => $with + [
            'colour' => $ink,
            'ground' => $ground,
        ] + Sketch::text('Mind the gap', 80);
        $under = ['caution text.contrast_under'];
        $own = ['caution text.contrast'];
        $over = static fn (array $fill, array $with = []) => [
            Sketch::float('f', ['900px', '300px'], $with),
            Sketch::fill('f', $fill),
        ];
        $pane = static fn (array $fill) => Sketch::fill('a', $fill);

        yield 'letters from black to white on a grey between' => [
            [$pane($words('#000000', '#757575', ['gradient' => ['to' => '#FFFFFF', 'angle' => 0]]))],
            $own,
        ];
        yield 'a grey label in a shape from black to white' => [
            [
                $pane(self::shape([
                    'colour' => '#000000',
                    'gradient' => ['to' => '#FFFFFF', 'angle' => 0],
                    'label' => $words('#757575', null),
                ])),
            ],
            $own,
        ];
        yield 'white over white, though something seen through touches the corner' => [
            [
                $pane(Sketch::colour('#FFFFFF')),
                Sketch::float('g', ['100px', '40px'], ['opacity' => 500]),
                Sketch::fill('g', Sketch::colour('#000000')),
                ...$over($words('#FFFFFF', null)),
            ],
            $under,
        ];
        yield 'white over a white shape' => [
            [$pane(self::shape(['colour' => '#FFFFFF'])), ...$over($words('#FFFFFF', null))],
            $under,
        ];
        yield 'beside it' => [
            [
                Sketch::float('s', ['200px', '200px'], ['offset' => ['1500px', '500px']]),
                Sketch::fill('s', self::shape(['colour' => '#FFFFFF'])),
                ...$over($words('#FFFFFF', null)),
            ],
            [],
        ];
        yield 'black on white over grey, hardly there' => [
            [
                $pane(Sketch::colour('#808080')),
                ...$over($words('#000000', '#FFFFFF'), ['opacity' => 50]),
            ],
            $under,
        ];
        yield 'behind a veil' => [
            [
                $pane($words('#000000', '#FFFFFF', ['valign' => 'top'])),
                ...$over(Sketch::colour('#FFFFFF'), ['size' => ['1920px', '1080px'], 'opacity' => 900]),
            ],
            $own,
        ];
        yield 'dark, half beyond a white picture' => [
            [
                $pane(Sketch::picture('noon', 'stretch')),
                ...$over($words('#000000', null), ['offset' => ['-450px', '0px']]),
            ],
            [],
        ];
        yield 'all of it in a colour of its own' => [
            [
                $pane($words('#222222', '#000000', [
                    'runs' => [['from' => 0, 'to' => 12, 'colour' => '#FFFFFF']],
                ])),
            ],
            [],
        ];
        yield 'two of its letters in a dark one' => [
            [
                $pane($words('#FFFFFF', '#000000', [
                    'runs' => [['from' => 0, 'to' => 2, 'colour' => '#222222']],
                ])),
            ],
            $own,
        ];
        yield 'a chart over what is as light as its words' => [
            [
                $pane(Sketch::colour('#FFFFFF')),
                ...$over([
                    'kind' => 'chart',
                    'form' => 'figure',
                    'rows' => [['Level', '12']],
                    'unit' => 'm',
                    'from' => '0',
                    'to' => '20',
                    'font' => 'Roboto',
                    'weight' => 500,
                    'size' => 40,
                    'min_size' => 20,
                    'ink' => '#EEEEEE',
                    'colour' => '#276B62',
                    'accent' => '#A33F28',
                    'ground' => null,
                    'padding' => 8,
                ]),
            ],
            $under,
        ];
    }

    /**
     * @param list<array<string, mixed>> $commands
     * @param list<string>               $expected
     */
    #[DataProvider('letters')]
    public function testFindsLettersThatVanishWhereTheyStand(array $commands, array $expected): void
    {
        $found = self::found($commands, self::display(), 'text.contrast');

        self::assertSame($expected, array_values(array_unique($found)));
    }

    /** @return iterable<string, array{list<array<string, mixed>>, list<string>}> what hides zone a, 1920 × 1080 */
    public static function hiding(): iterable
    {
        $over = static fn (string $zone, int $left, int $wide, array $fill, array $with = []) => [
            self::float($zone, [$left, 0, $wide, 1080], $with),
            Sketch::fill($zone, $fill),
        ];
        $dark = Sketch::colour('#000000');
        $noon = static fn (string $fit) => ['ground' => null] + Sketch::picture('noon', $fit);

        yield 'two that cover together' => [[...$over('f', 0, 1000, $dark), ...$over('g', 900, 1020, $dark)], ['B, C']];
        yield 'with a px between them' => [[...$over('f', 0, 960, $dark), ...$over('g', 961, 959, $dark)], []];
        yield 'a picture that covers' => [$over('f', 0, 1920, $noon('cover')), ['B']];
        yield 'a picture with bars' => [$over('f', 0, 1920, $noon('contain')), []];
        yield 'a picture with a hole' => [$over('f', 0, 1920, ['ground' => null] + Sketch::picture('hole')), []];
        yield 'turned, and large enough' => [
            [
                Sketch::float('f', ['4000px', '4000px'], [
                    'anchor' => 'centre',
                    'offset' => ['0px', '0px'],
                    'turn' => 4500,
                ]),
                Sketch::fill('f', $dark),
            ],
            ['B'],
        ];
        yield 'seen through' => [$over('f', 0, 1920, $dark, ['opacity' => 990]), []];
        yield 'a playlist of which one shows it' => [
            $over('f', 0, 1920, Sketch::playlist([[$dark, 1000], [$noon('contain'), 1000]])),
            [],
        ];
    }

    /**
     * @param list<array<string, mixed>> $commands
     * @param list<string>               $over
     */
    #[DataProvider('hiding')]
    public function testFindsWhatNobodySees(array $commands, array $over): void
    {
        $design = Build::apply(
            Build::filled(Build::design(), 'a', Sketch::colour('#FFFFFF')),
            ...$commands,
        )->after;
        $scene = PlanCompiler::compile($design, self::display(), self::context())->scenes['s-rest'];
        $found = array_filter(
            Preflight::standard()->overlaps($scene),
            static fn (Finding $finding) => $finding->code === 'zone.hidden' && $finding->params['zone'] === 'a',
        );

        self::assertSame($over, array_values(array_column(array_column($found, 'params'), 'over')));
    }

    /** 216 × 108 px in the lower right corner, all of it white. */
    public function testAHouseStylesMarkLiesOverAll(): void
    {
        $style = HouseStyle::parse(Input::of([
            'version' => HouseStyle::VERSION,
            'name' => 'Harbour',
            'colours' => [],
            'types' => [],
            'spaces' => [],
            'mark' => ['media' => 'noon', 'corner' => 'bottom-right', 'width' => 200, 'margin' => 0],
        ]));
        $in = static fn (int $left, array $fill) => [
            self::float('f', [$left, 972, 216, 108]),
            Sketch::fill('f', $fill),
        ];
        $context = self::context()->styledBy(Palette::of($style));
        $found = static fn (array $commands) => self::found($commands, self::display(), '', $context);
        $code = ['kind' => 'qr', 'content' => ['as' => 'text', 'text' => 'NESS'], 'level' => 'M'] + [
            'colour' => '#000000',
            'ground' => '#FFFFFF',
        ];

        self::assertContains('note zone.hidden', $found($in(1704, Sketch::colour('#000000'))));
        self::assertNotContains('note zone.hidden', $found($in(1703, Sketch::colour('#000000'))));
        self::assertContains('caution qr.covered', $found($in(1600, $code)));
        self::assertNotContains('caution qr.covered', $found($in(1488, $code)));
    }

    /** A code is read as a whole, with the quiet edge around it. */
    public function testFindsCodesThatCamerasMiss(): void
    {
        $code = static fn (int $left, int $opacity = 1000) => [
            self::float('f', [$left, 0, 300, 300], ['opacity' => $opacity]),
            Sketch::fill('f', ['kind' => 'qr', 'content' => ['as' => 'text', 'text' => 'NESS'], 'level' => 'M'] + [
                'colour' => '#000000',
                'ground' => '#FFFFFF',
            ]),
        ];
        $chip = [
            self::float('g', [240, 240, 60, 60]),
            Sketch::fill('g', Sketch::colour('#A33F28')),
        ];
        $found = static fn (array $commands) => self::found($commands, self::display(), 'qr.');

        self::assertSame([], $found($code(0)));
        self::assertSame(['caution qr.covered'], $found([...$code(0), ...$chip]));
        self::assertSame([], $found([...$chip, ...$code(0)]), 'under it');
        self::assertSame(['caution qr.covered'], $found($code(-30)));
        self::assertSame(['caution qr.faint'], $found($code(0, 300)));
    }

    /**
     * What says nothing: a hole where a pane is, only a caution where it floats.
     *
     * @return iterable<string, array{array<string, mixed>, string}>
     */
    public static function nothings(): iterable
    {
        yield 'nothing' => [['kind' => 'empty'], 'zone.empty'];
        yield 'no words' => [Sketch::text('', 40), 'text.nothing'];
        yield 'words that nobody sees' => [Sketch::text(" \n\t\u{A0}\u{200B}\u{AD}", 40), 'text.nothing'];
        yield 'no entry' => [Sketch::playlist([]), 'playlist.empty'];
        yield 'a medium that was taken out' => [Sketch::picture('gone'), 'media.missing'];
        yield 'a page without an address' => [
            ['kind' => 'web', 'address' => '', 'width' => 1280, 'scroll' => 0, 'refresh_s' => null] + [
                'still' => null,
                'ground' => '#FFFFFF',
            ],
            'web.nothing',
        ];
        yield 'a code of nothing' => [
            ['kind' => 'qr', 'content' => ['as' => 'text', 'text' => ''], 'level' => 'M'] + [
                'colour' => '#000000',
                'ground' => '#FFFFFF',
            ],
            'qr.nothing',
        ];
    }

    /** @param array<string, mixed> $fill */
    #[DataProvider('nothings')]
    public function testNothingIsReleasedThatSaysNothing(array $fill, string $code): void
    {
        $float = [Sketch::float('f', ['800px', '300px']), Sketch::fill('f', $fill)];

        self::assertSame(["stop $code"], self::found([Sketch::fill('a', $fill)], self::display(), $code));
        self::assertSame(["caution $code"], self::found($float, self::display(), $code));
    }

    /**
     * @param list<array<string, mixed>> $commands on a design whose zone a is dark
     *
     * @return list<string> severity and code
     */
    private static function found(
        array $commands,
        Surface $surface,
        string $codes,
        ?PlanContext $context = null,
    ): array {
        $canvas = $surface->canvas;
        $design = Build::apply(
            Build::filled(Build::design($canvas->width, $canvas->height), 'a', Sketch::colour('#101010')),
            ...$commands,
        )->after;
        $plan = PlanCompiler::compile($design, $surface, $context ?? self::context());

        return array_values(
            array_map(
                static fn (Finding $finding) => "{$finding->severity->value} $finding->code",
                array_filter(
                    Preflight::standard()->plan($plan),
                    static fn (Finding $finding) => str_starts_with($finding->code, $codes),
                ),
            ),
        );
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return array<string, mixed>
     */
    private static function shape(array $with): array
    {
        return $with + [
            'kind' => 'shape',
            'shape' => 'rectangle',
            'colour' => '#303030',
            'radius' => 0,
            'padding' => 0,
            'ground' => null,
        ];
    }

    /**
     * @param array{int, int, int, int} $rect
     * @param array<string, mixed>      $with
     *
     * @return array<string, mixed>
     */
    private static function float(string $zone, array $rect, array $with = []): array
    {
        return Sketch::float(
            $zone,
            ["$rect[2]px", "$rect[3]px"],
            ['anchor' => 'top-left', 'offset' => ["$rect[0]px", "$rect[1]px"]] + $with,
        );
    }

    private static function display(): Surface
    {
        return Surface::ofPanel(Panel::of(Size::of(1920, 1080), 1, 1));
    }

    private static function context(): PlanContext
    {
        $lit = static fn (string $id, string $pixels): MediaFacts => new MediaFacts(
            ...[$id, "$id.png", hash('sha256', $id), 'image/png', 1, Size::of(2000, 1000), null],
            light: static fn () => LightGrid::ofPixels(Size::of(4, 2), $pixels),
        );

        return Build::context(
            $lit('noon', str_repeat("\xFF\xFF\xFF\xFF", 8)),
            $lit('hole', str_repeat("\xFF\xFF\xFF\xFF", 7)."\xFF\xFF\xFF\0"),
        );
    }
}
