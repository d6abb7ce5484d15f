<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use Facebook\WebDriver\Remote\RemoteWebDriver;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Design\Fill\FillReader;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Legibility\Contrast;
use UpperPane\Core\Picture\LightGrid;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Plan\ItemCompiler;
use UpperPane\Core\Plan\Paint\PaintedScene;
use UpperPane\Core\Plan\Paint\Standing;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Plan\ScenePlan;
use UpperPane\Core\Plan\SubItem;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;
use UpperPane\Tests\Support\Chromium;

/**
 * What the core says is painted around letters, against the pixels of the product's own renderer in Debian's Chromium:
 * random arrangements are drawn without their letters, and with boxes in the letters' colours in their place.
 */
final class PaintTest extends TestCase
{
    private const ARRANGEMENTS = 300;
    private const CANVAS = [320, 200];
    private const GRID = [4, 4];
    /** Of the bound: nearer to it either answer is right (model §5). */
    private const TOLERANCE = 0.05;
    private const PERCENTILE = 5;

    private static ?RemoteWebDriver $browser = null;

    public static function tearDownAfterClass(): void
    {
        self::$browser?->quit();
        self::$browser = null;
    }

    public function testFindsWhatChromiumsPixelsShowAndNothingElse(): void
    {
        $random = new Randomizer(new Mt19937(23));
        $media = self::media();
        $scenes = $said = [];
        for ($number = 0; $number < self::ARRANGEMENTS; ++$number) {
            [$scenes[], $said[]] = self::arrangement($random, array_column($media, 'facts'));
        }
        $drawn = array_merge(
            ...array_map(
                fn (array $some) => $this->ratios($some, array_column($media, 'url', 'sha256')),
                array_chunk($scenes, self::GRID[0] * self::GRID[1]),
            ),
        );
        $wrong = [];
        $found = ['low' => 0, 'high' => 0];
        foreach ($drawn as $number => [$low, $high]) {
            $ours = $said[$number];
            $theirs = match (true) {
                $high < Contrast::LEAST * (1 - self::TOLERANCE) => 'low',
                $low > Contrast::LEAST * (1 + self::TOLERANCE) => 'high',
                default => null,
            };
            if ($theirs === null) {
                continue;
            }
            ++$found[$theirs];
            if ($ours === null || ($ours < Contrast::LEAST ? 'low' : 'high') !== $theirs) {
                $wrong[] = "$number: Chromium $low to $high, the core ".($ours ?? 'nothing');
            }
        }

        self::assertSame([], $wrong);
        self::assertGreaterThan(self::ARRANGEMENTS / 8, min($found), 'enough of both');
    }

    /**
     * Grey noise, a light picture with a hole, and one that is coloured: as they are drawn, and as the core knows them.
     *
     * @return list<array{facts: MediaFacts, url: string, sha256: string}>
     */
    private static function media(): array
    {
        $random = new Randomizer(new Mt19937(3));
        $media = [];
        foreach (['noise', 'hole', 'colour'] as $kind) {
            [$width, $height] = [64, 40];
            $image = imagecreatetruecolor($width, $height) ?: throw new \RuntimeException('GD makes no picture.');
            imagealphablending($image, false);
            imagesavealpha($image, true);
            $pixels = '';
            for ($y = 0; $y < $height; ++$y) {
                for ($x = 0; $x < $width; ++$x) {
                    $grey = $random->getInt(0, 110);
                    [$red, $green, $blue, $alpha] = match ($kind) {
                        'noise' => [$grey, $grey, $grey, 255],
                        'hole' => [230, 230, 230, hypot($x - 32, $y - 20) < 14 ? 0 : 255],
                        default => [4 * $x, 90, 255 - 4 * $x, 255],
                    };
                    $pixels .= pack('C4', $red, $green, $blue, $alpha);
                    imagesetpixel($image, $x, $y, self::gd($image, [$red, $green, $blue], $alpha));
                }
            }
            ob_start();
            imagepng($image);
            $grid = LightGrid::ofPixels(Size::of($width, $height), $pixels);
            $sha256 = hash('sha256', $kind);
            $media[] = [
                'facts' => new MediaFacts(
                    ...[$kind, "$kind.png", $sha256, 'image/png', 1, Size::of($width, $height), null],
                    light: static fn () => $grid,
                ),
                'url' => 'data:image/png;base64,'.base64_encode((string) ob_get_clean()),
                'sha256' => $sha256,
            ];
        }

        return $media;
    }

    /** @param array{int, int, int} $colour */
    private static function gd(\GdImage $image, array $colour, int $alpha): int
    {
        return (int) imagecolorallocatealpha($image, ...[...$colour, $alpha === 255 ? 0 : 127]);
    }

    /**
     * @param list<MediaFacts> $media
     *
     * @return array{ScenePlan, ?float} the plan; what the core says of the letters of its topmost text
     */
    private static function arrangement(Randomizer $random, array $media): array
    {
        $commands = [
            ['do' => 'scene.ground', 'scene' => 's-rest', 'ground' => Sketch::colour(self::hex($random))],
            Sketch::fill('a', self::ground($random)),
            Sketch::float('f', self::sized($random), self::place($random)),
            Sketch::fill('f', self::ground($random)),
            Sketch::float('t', self::sized($random), self::place($random)),
            Sketch::fill('t', self::letters($random)),
        ];
        if ($random->getInt(0, 3) === 0) {
            $commands[] = Sketch::float('o', ['400px', '300px'], ['opacity' => $random->getInt(100, 700)]);
            $commands[] = Sketch::fill('o', Sketch::colour(self::hex($random)));
        }
        $design = Build::apply(Build::design(...self::CANVAS), ...$commands)->after;
        $surface = Surface::ofPanel(Panel::of(Size::of(...self::CANVAS), 1, 1));
        $context = Build::context(...$media);
        $plan = PlanCompiler::compile($design, $surface, $context)->scenes['s-rest'];
        foreach ([1 => self::ground(...), 2 => self::letters(...)] as $zone => $part) {
            if ($random->getInt(0, 3) === 0) {
                $plan = self::inRows($plan, $zone, new ItemCompiler($context), self::ground($random), $part($random));
            }
        }
        $scene = PaintedScene::of($plan);
        $zone = $scene->zone(2);

        return [$plan, Standing::of($scene, $zone, $zone->items[0], $scene->around(2))?->ratio];
    }

    /**
     * A zone shows two rows instead, one under the other, on a ground: the first of something, the second the given.
     *
     * @param array<string, mixed> $ground
     * @param array<string, mixed> $part
     */
    private static function inRows(ScenePlan $plan, int $at, ItemCompiler $items, array $ground, array $part): ScenePlan
    {
        $zone = $plan->zones[$at];
        [$width, $height] = [$zone->rect->width, $zone->rect->height];
        $compile = static fn (array $fill, Rect $in) => $items->compile(
            FillReader::read(Input::of($fill)),
            $in->size(),
        );
        $rows = [[Sketch::colour('#8090A0'), 0, 0.2], [$part, (int) (0.2 * $height), 0.7]];
        $item = $compile($ground, Rect::of(0, 0, $width, $height))->withParts(array_map(
            static function (int $place) use ($rows, $width, $height, $compile): SubItem {
                [$fill, $top, $share] = $rows[$place];
                $rect = Rect::of(10, $top, $width - 15, (int) ($share * $height));

                return new SubItem('words', $place, $place, $rect, $compile($fill, $rect));
            },
            array_keys($rows),
        ));
        $zones = $plan->zones;
        $zones[$at] = new ZonePlan($zone->sceneId, $zone->zone, $zone->placed, [$item], clip: $zone->clip);

        return new ScenePlan($plan->scene, $plan->ms, $plan->place, $plan->ground, $zones, [], $plan->heard);
    }

    /** @return array<string, mixed> */
    private static function ground(Randomizer $random): array
    {
        $none = $random->getInt(0, 1) === 0 ? null : self::hex($random);
        $clip = $random->getInt(0, 2) === 0 ? ['clip' => self::clip($random)] : [];

        return match ($random->getInt(0, 5)) {
            0, 1 => Sketch::colour(self::hex($random)),
            2, 3 => ['ground' => $none] + $clip + Sketch::picture(
                ['noise', 'hole', 'colour'][$random->getInt(0, 2)],
                ['cover', 'contain', 'stretch'][$random->getInt(0, 2)],
            ),
            4 => [
                'kind' => 'progress',
                'of' => 'scene',
                'whole' => false,
                'form' => $random->getInt(0, 1) === 0 ? 'bar' : 'ring',
                // At its beginning nothing has passed: both are alike here, so that every moment is this one.
                ...array_fill_keys(['colour', 'track'], self::hex($random)),
                'ground' => $none,
            ],
            default => self::shape($random, $none),
        };
    }

    /** @return array<string, mixed> */
    private static function shape(Randomizer $random, ?string $ground): array
    {
        return [
            'kind' => 'shape',
            'shape' => ['rectangle', 'ellipse', 'star', 'arrow', 'plaque'][$random->getInt(0, 4)],
            'colour' => self::hex($random),
            'radius' => $random->getInt(0, 40),
            'padding' => $random->getInt(0, 10),
            'ground' => $ground,
        ] +
            ($random->getInt(0, 1) === 0
                ? []
                : ['gradient' => ['to' => self::hex($random), 'angle' => $random->getInt(0, 359)]]) +
            ($random->getInt(0, 1) === 0
                ? []
                : ['line' => ['colour' => self::hex($random), 'px' => $random->getInt(1, 9)]]);
    }

    /** @return array<string, mixed> */
    private static function clip(Randomizer $random): array
    {
        return [
            'shape' => ['rectangle', 'ellipse', 'hexagon'][$random->getInt(0, 2)],
            'radius' => $random->getInt(0, 30),
        ] + ($random->getInt(0, 1) === 0 ? [] : ['line' => ['colour' => self::hex($random), 'px' => 4]]);
    }

    /** @return array<string, mixed> words, alone or in a shape */
    private static function letters(Randomizer $random): array
    {
        $effects = array_filter([
            'gradient' => $random->getInt(0, 2) === 0
                ? ['to' => self::hex($random), 'angle' => $random->getInt(0, 359)]
                : null,
            'outline' => $random->getInt(0, 4) === 0 ? ['colour' => self::hex($random), 'px' => 3] : null,
            'plate' => $random->getInt(0, 3) === 0
                ? ['colour' => self::hex($random), 'padding' => 4, 'radius' => $random->getInt(0, 12)]
                : null,
        ]);
        $words = ['colour' => self::hex($random), 'min_size' => 8] + $effects + Sketch::text('Mind the gap', 26);

        return $random->getInt(0, 3) === 0
            ? ['label' => ['ground' => null] + $words] + self::shape($random, null)
            : ['ground' => $random->getInt(0, 2) === 0 ? self::hex($random) : null] + $words;
    }

    /** @return array{string, string} */
    private static function sized(Randomizer $random): array
    {
        return [$random->getInt(120, 300).'px', $random->getInt(50, 160).'px'];
    }

    /** @return array<string, mixed> */
    private static function place(Randomizer $random): array
    {
        return [
            'offset' => [$random->getInt(-20, 120).'px', $random->getInt(-10, 80).'px'],
            'turn' => [0, 0, 9000, 18_000, $random->getInt(0, 35_999)][$random->getInt(0, 4)],
            'opacity' => $random->getInt(0, 2) === 0 ? $random->getInt(100, 1000) : 1000,
        ];
    }

    /** Dark and light ones more often than those between. */
    private static function hex(Randomizer $random): string
    {
        $part = static fn (): int => match ($random->getInt(0, 2)) {
            0 => $random->getInt(0, 60),
            1 => $random->getInt(200, 255),
            default => $random->getInt(0, 255),
        };
        $grey = $part();

        return $random->getInt(0, 1) === 0
            ? sprintf('#%02X%02X%02X', $grey, $grey, $grey)
            : sprintf('#%02X%02X%02X', $part(), $part(), $part());
    }

    /**
     * @param list<ScenePlan>       $scenes
     * @param array<string, string> $media addresses by SHA-256
     *
     * @return list<array{float, float}> the 5th percentile over the px behind the letters, as the 3rd and the 7th:
     *     where few px decide, either answer is right
     */
    private function ratios(array $scenes, array $media): array
    {
        $browser = $this->browser();
        $browser->executeAsyncScript(
            file_get_contents(__DIR__.'/paint.js').';return draw(...arguments)',
            [
                array_map(static fn (ScenePlan $scene) => [
                    'canvas' => self::CANVAS,
                    'scenes' => ['s' => $scene->toArray()],
                    'round' => ['scenes' => [['scene' => 's', 'ms' => null]], 'cycle_ms' => null],
                    'dates' => ['days' => [], 'offsets' => []],
                ], $scenes),
                $media,
                self::GRID[0],
            ],
        );
        $shots = [];
        foreach (['mask', 'without', 'ink', 'outline'] as $what) {
            $browser->executeScript('show(arguments[0])', [$what]);
            $shots[$what] = imagecreatefromstring($browser->takeScreenshot());
        }

        return array_map(
            static fn (int $index) => self::percentile($shots, $index),
            array_keys($scenes),
        );
    }

    /**
     * @param array<string, \GdImage|false> $shots
     *
     * @return array{float, float}
     */
    private static function percentile(array $shots, int $index): array
    {
        [$left, $top] = [
            self::CANVAS[0] * ($index % self::GRID[0]),
            self::CANVAS[1] * intdiv($index, self::GRID[0]),
        ];
        $light = static fn (string $shot, int $x, int $y): float => self::light(
            (int) imagecolorat($shots[$shot] ?: throw new \RuntimeException('No picture.'), $x, $y),
        );
        $ratios = [];
        for ($y = $top; $y < $top + self::CANVAS[1]; ++$y) {
            for ($x = $left; $x < $left + self::CANVAS[0]; ++$x) {
                if (self::isInside($shots['mask'], $x, $y)) {
                    $ground = $light('without', $x, $y);
                    $ratios[] = max(
                        Contrast::between($light('ink', $x, $y), $ground),
                        Contrast::between($light('outline', $x, $y), $ground),
                    );
                }
            }
        }
        sort($ratios);

        $percentile = static fn (int $one) => $ratios[intdiv(count($ratios) * $one, 100)] ?? Contrast::LEAST;

        return [$percentile(self::PERCENTILE - 2), $percentile(self::PERCENTILE + 2)];
    }

    /** Whether a px and its neighbours are black: not at the edges of the boxes, which are smoothed. */
    private static function isInside(\GdImage|false $shot, int $x, int $y): bool
    {
        if ($shot === false || $x < 1 || $y < 1 || $x >= imagesx($shot) - 1 || $y >= imagesy($shot) - 1) {
            return false;
        }
        foreach ([[0, 0], [-1, 0], [1, 0], [0, -1], [0, 1]] as [$byX, $byY]) {
            if (imagecolorat($shot, $x + $byX, $y + $byY) !== 0) {
                return false;
            }
        }

        return true;
    }

    private static function light(int $colour): float
    {
        /** @var array<int, float> $known */
        static $known = [];

        return $known[$colour] ??= Contrast::luminance(sprintf('#%06X', $colour));
    }

    /** With the product's renderer in it, as one script. */
    private function browser(): RemoteWebDriver
    {
        if (self::$browser === null) {
            $root = \dirname(__DIR__, 2);
            $script = sys_get_temp_dir().'/pane-stage-'.bin2hex(random_bytes(6)).'.js';
            $bundle = ['-f', 'iife', '-n', 'Drawn', '-o', $script];
            (new Process(['npx', 'rolldown', "$root/frontend/src/plan/stage.ts", ...$bundle], $root))->mustRun();
            self::$browser = Chromium::open([self::CANVAS[0] * self::GRID[0], self::CANVAS[1] * self::GRID[1]]);
            self::$browser->get('about:blank');
            self::$browser->executeScript(
                "document.head.innerHTML = '<style>body{margin:0;background:#fff}'+arguments[1]+'</style>';".
                    "const s = document.createElement('script'); s.textContent = arguments[0];".
                    'document.head.append(s)',
                [
                    (string) file_get_contents($script),
                    (string) file_get_contents("$root/frontend/src/plan/stage.css"),
                ],
            );
            unlink($script);
        }

        return self::$browser;
    }
}
