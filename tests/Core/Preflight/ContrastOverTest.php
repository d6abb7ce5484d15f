<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Preflight;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Legibility\Contrast;
use UpperPane\Core\Picture\LightGrid;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Preflight\Preflight;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** Letters over pictures, against asking every px behind them. */
final class ContrastOverTest extends TestCase
{
    private const CELLS = [48, 27];

    /** Pictures of random greys: the 5th percentile over all px lies beside what the rule says. */
    public function testTheRatioIsThatOfThePixelsBehindTheLines(): void
    {
        $random = new Randomizer(new Mt19937(5));
        foreach ([0, 9000, 18_000] as $turn) {
            [$pixels, $greys] = ['', []];
            for ($at = 0; $at < self::CELLS[0] * self::CELLS[1]; ++$at) {
                $greys[] = $random->getInt(0, 160);
                $pixels .= str_repeat(chr(end($greys)), 3)."\xFF";
            }
            [$said, $rect, $line] = $this->said($pixels, $turn);
            $ratios = [];
            for ($y = $line[1]; $y < $line[1] + $line[3]; ++$y) {
                for ($x = $line[0]; $x < $line[0] + $line[2]; ++$x) {
                    $grey = sprintf('%02X', $greys[intdiv($y, 40) * self::CELLS[0] + intdiv($x, 40)]);
                    $ratios[] = Contrast::ratio('#FFFFFF', "#$grey$grey$grey");
                }
            }
            sort($ratios);
            $percentile = static fn (int $one) => $ratios[intdiv(count($ratios) * $one, 100)];
            self::assertGreaterThanOrEqual($percentile(3) - 0.02, (float) $said['ratio'], "turned by $turn");
            self::assertLessThanOrEqual($percentile(7) + 0.02, (float) $said['ratio'], "turned by $turn");
            [$x, $y, $width, $height] = array_map(intval(...), explode(' ', (string) $said['at']));
            self::assertTrue($x >= $rect[0] && $x + $width <= $rect[0] + $rect[2], 'the worst place is behind it');
            self::assertTrue($y >= $rect[1] && $y + $height <= $rect[1] + $rect[3], 'the worst place is behind it');
        }
    }

    public function testTheWorstMomentOfAVideoCounts(): void
    {
        $area = self::CELLS[0] * self::CELLS[1];
        $dark = str_repeat("\0\0\0\xFF", $area);
        $light = str_repeat("\xF0\xF0\xF0\xFF", $area);

        self::assertNull($this->said($dark.$dark)[0]);
        self::assertEqualsWithDelta(
            Contrast::ratio('#FFFFFF', '#F0F0F0'),
            $this->said($dark.$light.$dark)[0]['ratio'] ?? '',
            0.01,
        );
        self::assertNull($this->said(str_repeat("\xF0\xF0\xF0\0", $area))[0], 'through it the dark ground is seen');
    }

    public function testUnderTheBackmostZoneLiesTheGroundOfTheScene(): void
    {
        $surface = Surface::ofPanel(Panel::of(Size::of(1920, 1080), 1, 1));
        $over = static function (string $ink, string $ground) use ($surface): array {
            $words = ['colour' => $ink, 'ground' => null] + Sketch::text('Mind the gap', 80);
            $design = Build::apply(
                Build::design(),
                Sketch::fill('a', $words),
                ['do' => 'scene.ground', 'scene' => 's-rest', 'ground' => Sketch::colour($ground)],
            )->after;
            $scene = PlanCompiler::compile($design, $surface, Build::context())->scenes['s-rest'];

            return array_column(Preflight::standard()->overlaps($scene), 'params');
        };

        self::assertSame([], $over('#FFFFFF', '#202020'));
        $said = $over('#777777', '#666666')[0]['ratio'] ?? '';
        self::assertEqualsWithDelta(Contrast::ratio('#777777', '#666666'), $said, 0.01);
    }

    /** What one sees through and what nobody knows of says nothing; a plate and a ground say it elsewhere. */
    public function testOnlyBareLettersAreJudged(): void
    {
        $light = str_repeat("\xF0\xF0\xF0\xFF", self::CELLS[0] * self::CELLS[1]);
        $plate = ['plate' => ['colour' => '#000000', 'padding' => 4, 'radius' => 0]];

        self::assertNull($this->said($light, with: $plate)[0]);
        self::assertNull($this->said($light, with: ['ground' => '#000000'])[0]);
        self::assertNull($this->said($light, with: ['outline' => ['colour' => '#000000', 'px' => 3]])[0]);
        self::assertNull($this->said('')[0], 'nobody has looked yet');
        self::assertNotNull($this->said($light)[0]);
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return array{?array<string, mixed>, list<int>, list<int>} what is found, the zone, and its first line where it
     *     lies when the zone is upright or on its side
     */
    private function said(string $pixels, int $turn = 0, array $with = []): array
    {
        $size = Size::of(...self::CELLS);
        $grid = $pixels === '' ? null : LightGrid::ofPixels($size, $pixels);
        $facts = new MediaFacts(
            ...['m', 'm.jpg', str_repeat('a', 64), 'image/jpeg', 1, Size::of(1920, 1080), null],
            light: static fn () => $grid === null ? null : LightGrid::ofBytes($grid->bytes()),
        );
        $design = self::overlaid($turn, $with);
        $surface = Surface::ofPanel(Panel::of(Size::of(1920, 1080), 1, 1));
        $plan = PlanCompiler::compile($design, $surface, Build::context($facts));
        $scene = $plan->scenes['s-rest'];
        $zone = $scene->zones[1];
        $found = Preflight::standard()->overlaps($scene);
        ['lines' => [$line], 'line_mpx' => $high] = $zone->items[0]->drawing;
        [$x, $y, $width, $height] = array_map(
            static fn (int $mpx) => intdiv($mpx, 1000),
            [$line['x_mpx'], $line['y_mpx'], $line['width_mpx'], $high],
        );
        $rect = $zone->rect;
        [$middleX, $middleY] = [$rect->x + intdiv($rect->width, 2), $rect->y + intdiv($rect->height, 2)];
        $places = [
            0 => [$rect->x + $x, $rect->y + $y, $width, $height],
            9000 => [
                $middleX + intdiv($rect->height, 2) - $y - $height,
                $middleY - intdiv($rect->width, 2) + $x,
                $height,
                $width,
            ],
            18_000 => [$rect->right() - $x - $width, $rect->bottom() - $y - $height, $width, $height],
        ];

        return [$found === [] ? null : $found[0]->params, $zone->placed->box()->toArray(), $places[$turn]];
    }

    /** @param array<string, mixed> $with */
    private static function overlaid(int $turn, array $with): Design
    {
        return Build::apply(
            Build::design(),
            Sketch::fill('a', Sketch::picture('m')),
            Sketch::float('f', ['800px', '100px'], ['turn' => $turn]),
            Sketch::fill('f', $with + ['colour' => '#FFFFFF', 'ground' => null, 'line_height' => 1200] +
                Sketch::text('Mind the gap between', 80)),
        )->after;
    }
}
