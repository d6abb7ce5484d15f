<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Preflight;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Preflight\Judgement;
use UpperPane\Core\Preflight\Preflight;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** What is said of a whole design on a surface: the surface, its wiring, the area, the round, layouts and zones. */
final class JudgementTest extends TestCase
{
    /** @return iterable<string, array{list<array<string, mixed>>, array<string, mixed>, ?string, list<string>}> */
    public static function cases(): iterable
    {
        $float = static fn (array $with) => ['do' => 'float.place', 'scene' => 's-rest', 'layout' => 'own'] + [
            'float' => $with + [
                'zone' => 'f',
                'frame' => 'canvas',
                'anchor' => 'top-left',
                'offset' => ['0px', '0px'],
                'size' => ['1400px', '900px'],
                'turn' => 0,
            ],
            'before' => null,
            'zones' => [],
        ];
        $covered = [$float([]), Sketch::fill('f', Sketch::colour('#000000'))];
        $second = ['do' => 'scene.add', 'scene' => 's2', 'name' => 'Second', 'zone' => 'd', 'before' => null];
        $filled = Sketch::fill('d', Sketch::colour('#654321'));
        $length = static fn (string $scene, array $length) => ['do' => 'scene.length'] + ['scene' => $scene] + [
            'length' => $length,
        ];

        yield 'nothing to mend' => [[], [], null, []];
        yield 'a pane behind a float' => [$covered, [], null, ['note zone.hidden a']];
        yield 'through a float that one sees through it is seen' => [
            [$float(['opacity' => 999]), $covered[1]],
            [],
            null,
            [],
        ];
        yield 'a hidden float is not there, whatever is wrong with it' => [
            [$float(['hidden' => true, 'offset' => ['1920px', '0px']])],
            [],
            null,
            [],
        ];
        yield 'behind an empty one it is seen' => [[$float([])], [], null, ['caution zone.empty f']];
        yield 'behind a turned one a corner is seen' => [
            [$float(['turn' => 100]), $covered[1]],
            [],
            null,
            ['caution float.partly_outside f'],
        ];
        yield 'a float beyond the canvas' => [
            [$float(['offset' => ['1920px', '0px']]), $covered[1]],
            [],
            null,
            ['stop float.outside f'],
        ];
        yield 'a float over the edge' => [
            [$float(['offset' => ['1919px', '0px']]), $covered[1]],
            [],
            null,
            ['caution float.partly_outside f'],
        ];
        yield 'a scene that never ends before others' => [
            [$second + ['joins' => true], $filled, $length('s-rest', ['kind' => 'open'])],
            [],
            null,
            ['stop round.never_ends'],
        ];
        yield 'alone in its round it may' => [
            [$second + ['joins' => false], $filled, $length('s-rest', ['kind' => 'open'])],
            [],
            null,
            [],
        ];
        yield 'a leader that is gone' => [
            [$second + ['joins' => true], $filled, $length('s2', ['kind' => 'leader', 'zone' => 'a'])],
            [],
            null,
            ['stop scene.leader_gone'],
        ];
        $progress = static fn (string $of) => Sketch::fill('a', [
            'kind' => 'progress',
            'of' => $of,
            'whole' => false,
            'form' => 'bar',
            'colour' => '#A63D2A',
            'track' => '#4D5A62',
            'ground' => null,
        ]);
        yield 'the progress of a scene without an end' => [
            [$progress('scene'), $length('s-rest', ['kind' => 'open'])],
            [],
            null,
            ['caution progress.of_nothing a'],
        ];
        yield 'the progress of a scene' => [
            [$progress('scene'), $length('s-rest', ['kind' => 'ms', 'ms' => 9000])],
            [],
            null,
            [],
        ];
        yield 'the progress of what is not there' => [[$progress('z9')], [], null, ['caution progress.of_nothing a']];
        yield 'an area that is not there' => [[], [], 'Ramp', ['caution area.not_there']];
        yield 'text for a viewer 10 m away' => [
            [Sketch::fill('a', Sketch::text('Mind the gap', 60))],
            [],
            null,
            ['caution text.too_small a'],
        ];
        yield 'the same for one 5 m away' => [
            [Sketch::fill('a', Sketch::text('Mind the gap', 60))],
            ['viewing_mm' => [2000, 5000]],
            null,
            [],
        ];
        $large = Sketch::text('Mind the gap', 160);
        yield 'grey letters on grey' => [
            [Sketch::fill('a', ['colour' => '#777777', 'ground' => '#222222'] + $large)],
            [],
            null,
            ['caution text.contrast a'],
        ];
        yield 'the same, so large that three to one will do' => [
            [Sketch::fill('a', ['colour' => '#777777', 'ground' => '#222222', 'size' => 400] + $large)],
            [],
            null,
            [],
        ];
        yield 'on a plate' => [
            [
                Sketch::fill('a', [
                    'colour' => '#777777',
                    'ground' => '#222222',
                    'plate' => ['colour' => '#FFFFFF', 'padding' => 0, 'radius' => 0],
                ] + ['colour' => '#666666'] + $large),
            ],
            [],
            null,
            ['caution text.contrast a'],
        ];
        yield 'outlined' => [
            [
                Sketch::fill('a', [
                    'colour' => '#777777',
                    'ground' => '#222222',
                    'outline' => ['colour' => '#FFFFFF', 'px' => 8],
                ] + $large),
            ],
            [],
            null,
            [],
        ];
        yield 'a ticker that nobody can follow' => [
            [
                Sketch::fill('a', [
                    'ticker' => ['direction' => 'left', 'speed' => 6000],
                    'text' => str_repeat('Mind the gap. ', 60),
                ] + $large),
            ],
            [],
            null,
            ['caution text.too_fast a'],
        ];
        yield 'a player that is not there' => [
            [],
            ['players' => ['p1' => 1], 'outputs' => [self::fed('p2')]],
            null,
            ['stop output.player_unknown'],
        ];
        yield 'an output too many' => [
            [],
            ['players' => ['p1' => 1], 'outputs' => [self::fed('p1', 2)]],
            null,
            ['stop output.beyond_player'],
        ];
    }

    /**
     * @param list<array<string, mixed>> $commands
     * @param array<string, mixed>       $sheet    fields that are not as usual
     * @param list<string>               $expected severity, code and zone, gravest first
     */
    #[DataProvider('cases')]
    public function testSaysEverythingThatABenchAndAReleaseGoBy(
        array $commands,
        array $sheet,
        ?string $area,
        array $expected,
    ): void {
        $design = Build::board();
        foreach (['a', 'b', 'c'] as $zone) {
            $design = Build::filled($design, $zone, Sketch::colour('#123456'));
        }
        $judgement = self::judge(
            $commands === [] ? $design : Build::apply($design, ...$commands)->after,
            $sheet,
            $area,
        );

        self::assertSame($expected, array_map(self::line(...), $judgement->findings));
        self::assertSame(str_contains(implode(' ', $expected), 'stop '), $judgement->blocks());
        self::assertCount(
            count(array_filter($expected, static fn (string $line) => str_starts_with($line, 'stop '))),
            $judgement->stops(),
        );
    }

    /** Set at the least size that is told, it can be read; a px smaller, it cannot. */
    public function testTellsTheLeastSizeThatCanBeRead(): void
    {
        $told = static function (int $size): ?int {
            $judgement = self::judge(Build::filled(Build::board(), 'a', Sketch::text('Gap', $size)), [], null);
            $found = array_filter(
                $judgement->findings,
                static fn (Finding $finding) => $finding->code === 'text.too_small',
            );

            return array_values($found)[0]->params['size'] ?? null;
        };
        $least = (int) $told(20);

        self::assertSame($least, $told($least - 1));
        self::assertNull($told($least));
    }

    /** Gravest first, else as they came; what two scenes say of one zone alike is said once. */
    public function testOrdersByGravity(): void
    {
        $of = static fn (string $code, Severity $severity, string $path = '') => Finding::of($code, $severity, $path);
        $findings = Preflight::each([
            $of('zone.hidden', Severity::Note),
            $of('picture.cut', Severity::Caution, '/a'),
            $of('zone.empty', Severity::Stop),
            $of('picture.cut', Severity::Caution, '/b'),
            $of('picture.cut', Severity::Caution, '/a'),
            $of('playlist.empty', Severity::Stop),
        ]);

        self::assertSame(
            ['zone.empty', 'playlist.empty', 'picture.cut/a', 'picture.cut/b', 'zone.hidden'],
            array_map(static fn (Finding $finding) => $finding->code.$finding->path, $findings),
        );
    }

    private static function line(Finding $finding): string
    {
        $zone = $finding->params['zone'] ?? '';

        return trim("{$finding->severity->value} $finding->code ".(is_string($zone) ? $zone : ''));
    }

    /** @param array<string, mixed> $sheet */
    private static function judge(Design $design, array $sheet, ?string $area): Judgement
    {
        $panel = ['native' => [1920, 1080], 'active_mm' => [1209.6, 680.4]];

        return Judgement::of(
            $design,
            SurfaceSheet::fresh(
                $sheet + [
                    'name' => 'Hall',
                    'kind' => 'LCD',
                    'shape' => ['panels' => [$panel]],
                    'players' => ['p1' => 1],
                ],
            ),
            $area,
            Build::context(),
        );
    }

    /** @return array<string, mixed> the whole canvas on one output */
    private static function fed(string $player, int $number = 1): array
    {
        $whole = [0, 0, 1920, 1080];
        $slice = ['canvas' => $whole, 'raster' => $whole, 'turn' => 0, 'mirror' => false, 'panel' => '1'];

        return ['player' => $player, 'number' => $number, 'px' => [1920, 1080], 'millihertz' => 60_000] + [
            'slices' => [$slice],
        ];
    }
}
