<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;
use Symfony\Component\Process\Process;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\BenchClient;
use UpperPane\Tests\Support\Files;
use UpperPane\Tests\Support\Page;

/** One renderer: at true pixels, bench, preview and player draw the same, px by px. */
final class PixelTest extends BrowserCase
{
    private const MOST = 8;
    /** Chromium smooths the edges of a path a little otherwise from layer to layer; what is within them is the same. */
    private const MOST_AT_EDGES = 48;
    /** A picture that is scaled down is sampled a little otherwise from layer to layer where it has hard edges. */
    private const MOST_IN_PICTURE = 16;
    private const STAR = [720, 850];
    private const OVER = '.canvas-sheet > :not(.bench-stage), .preview-bar';
    private const CANVAS = [960, 96];
    /** Where a clip begins and ends, and which of its frames shows. */
    private const CLIP = 120;
    private const STAND = 240;
    private const FRAME = 77;

    public function testBenchPreviewAndPlayerDrawTheSame(): void
    {
        $design = $this->made();
        $page = $this->page(1700, 900);
        $page->signIn()->open("/bench/$design")->press('1:1', '.title-block')->find('.pane-picture img');
        $bench = $this->drawn($page, '.canvas-sheet .bench-stage');
        $page->press('scale 100 %', '.title-block')->press('On the whole screen', 'aside');
        $page->find('.preview-alone .pane-picture img');
        $page->keys('1')->find('.preview-bar [aria-pressed="true"]:nth-child(2)');
        $preview = $this->drawn($page, '.preview-alone .bench-stage');
        self::assertSame([], self::differences($bench, $preview), 'bench and preview');
        self::assertSame([self::FRAME, self::FRAME], [self::number($bench), self::number($preview)]);
        $page->keys(Keys::ESCAPE)->gone('.preview-alone');
        $page->press('Back', '.aside-head');
        $this->release($page, 'Px by px');
        $this->handOff($page, 'ribbon', 'Px by px');
        $window = $this->page(self::CANVAS[0], 600)->open('/play/ribbon-1');
        $this->pair($page, $window, 'ribbon-1');
        $window->find('.pane-picture img');
        $player = $this->drawn($window, '#stage');
        self::assertSame([], self::differences($bench, $player), 'bench and player');
        self::assertSame(self::FRAME, self::number($player), 'the same frame of the clip');
    }

    /** Everything that does not move, beside each other, with a turned text that lets through what lies under it. */
    private function made(): string
    {
        $client = new BenchClient($this->address());
        [$design, $names] = [BenchClient::uuid(), ['', 'b', 'c', 'd', 'e']];
        $client->call('POST', '/api/surfaces/ribbon/designs', ['design' => $design, 'name' => 'Px by px']);
        $zones = ['z-'.substr($design, 0, 8), ...array_slice($names, 1)];
        $lake = array_values(array_filter(
            $client->call('GET', '/api/sites/harrowmere/stock')['media'],
            static fn (array $one) => $one['name'] === 'Lake at dawn.jpg',
        ))[0];
        $splits = [];
        foreach ([240, 600, 720, 850] as $index => $at) {
            $splits[] = Sketch::split($zones[$index], 'columns', $at, $zones[$index + 1]);
        }
        $splits[] = Sketch::split($zones[0], 'columns', self::CLIP, 'v');
        $client->batch($design, 0, $splits);
        $clip = self::numbered();
        $bytes = (string) file_get_contents($clip);
        $sent = $client->send('harrowmere', 'numbered.mp4', strlen($bytes), static fn () => $bytes, 8 << 20);
        $number = $client->call('POST', "$sent/done");
        $small = ['padding' => 6, 'min_size' => 8];
        $client->batch($design, 1, [
            Sketch::fill('v', ['kind' => 'video', 'media' => $number['id'], 'fit' => 'stretch'] + [
                'focus' => [50_000, 50_000],
                'ground' => null,
                'sound' => false,
                // So little of it that only this one shows.
                'trim' => [1000 * self::FRAME / 25 + 5, 1000 * self::FRAME / 25 + 15],
            ]),
            Sketch::fill($zones[0], Sketch::picture($lake['id'])),
            Sketch::fill($zones[1], Sketch::text('Next sailing for Ness: 12:45, Mole pier', 34, $small + [
                'outline' => ['colour' => '#A63D2A', 'px' => 2],
                'shadow' => ['colour' => '#000000', 'x' => 3, 'y' => 3, 'blur' => 4],
                'spacing' => 20,
            ])),
            Sketch::fill($zones[2], [
                'kind' => 'qr',
                'content' => ['as' => 'text', 'text' => 'NESS'],
                'level' => 'M',
                'colour' => '#0C1216',
                'ground' => '#FFFFFF',
            ]),
            Sketch::fill($zones[3], [
                'kind' => 'shape',
                'shape' => 'star',
                'colour' => '#276B62',
                'gradient' => ['to' => '#D9B44A', 'angle' => 30],
                'line' => ['colour' => '#F4F1EA', 'px' => 3],
                'radius' => 0,
                'padding' => 8,
                'ground' => '#1D2A33',
            ]),
            Sketch::fill($zones[4], Sketch::text('Κύθηρα 北京 Ærø', 20, $small + [
                'runs' => [
                    ['from' => 7, 'to' => 9, 'colour' => '#D9B44A'],
                    ['from' => 10, 'to' => 13, 'weight' => 700],
                ],
                'gradient' => ['to' => '#276B62', 'angle' => 0],
            ])),
        ]);
        // All three show the picture that is made for this place, as soon as there is one.
        for ($until = time() + 60; time() < $until;) {
            $plan = $client->call('GET', "/api/designs/$design/plan")['plan'];
            $shown = array_column($plan['scenes'], 'zones')[0][0]['items'][0]['sha256'];
            if ($shown !== $lake['sha256']) {
                break;
            }
        }

        return $design;
    }

    /** A clip of 25 frames a second, with their numbers: eight columns, light ones count, the first one counts one. */
    private static function numbered(): string
    {
        $clip = Files::path('numbered.mp4');
        $light = 'if(gt(mod(floor(N/pow(2,floor(X/40))),2),0.5),235,16)';
        (new Process([
            ...['ffmpeg', '-v', 'error', '-y', '-f', 'lavfi', '-i', 'color=black:size=320x160:rate=25:duration=6'],
            ...['-vf', "geq=lum='$light':cb=128:cr=128", '-metadata', 'title='.bin2hex(random_bytes(6))],
            ...['-c:v', 'libx264', '-g', '1', '-pix_fmt', 'yuv420p', $clip],
        ]))->mustRun();

        return $clip;
    }

    /** @param list<list<array{int, int, int}>> $rows */
    private static function number(array $rows): int
    {
        $number = 0;
        $column = intdiv(self::STAND - self::CLIP, 8);
        for ($bit = 0; $bit < 8; ++$bit) {
            $number += $rows[48][self::CLIP + $bit * $column + intdiv($column, 2)][1] > 128 ? 2 ** $bit : 0;
        }

        return $number;
    }

    /** @return list<list<array{int, int, int}>> rows of what is seen, when all is there and nothing lies over it */
    private function drawn(Page $page, string $css): array
    {
        $page->until('pictures, faces and the clip', static fn () => $page->script(
            'return [...document.images].every((i) => i.complete) && document.fonts.status === "loaded" && '.
                '[...document.querySelectorAll(`${arguments[0]} video`)].every((i) => i.readyState > 1 && !i.seeking && '.
                'i.currentTime > 1)',
            $css,
        ));
        /** @var array{x: float, y: float} $at */
        $at = $page->script(
            <<<'JS'
            const stage = document.querySelector(arguments[0])
            for (const over of document.querySelectorAll(arguments[1])) over.style.opacity = '0'
            return stage.getBoundingClientRect().toJSON()
            JS,
            $css,
            self::OVER,
        );
        $file = (string) tempnam(sys_get_temp_dir(), 'pixel');
        $page->shot($file);
        $page->script(
            'for (const over of document.querySelectorAll(arguments[0])) over.style.opacity = ""',
            self::OVER,
        );
        $picture = imagecreatefrompng($file) ?: self::fail('no picture');
        unlink($file);
        self::assertEquals([round($at['x']), round($at['y'])], [$at['x'], $at['y']], "$css lies on whole px");
        $rows = [];
        // A whole screen without a display is 800 px wide: there the last of it is out of sight.
        $wide = min(self::CANVAS[0], imagesx($picture) - (int) $at['x']);
        for ($y = 0; $y < self::CANVAS[1]; ++$y) {
            for ($x = 0; $x < $wide; ++$x) {
                $colour = (int) imagecolorat($picture, $x + (int) $at['x'], $y + (int) $at['y']);
                $rows[$y][$x] = [$colour >> 16 & 255, $colour >> 8 & 255, $colour & 255];
            }
        }

        return $rows;
    }

    /**
     * @param list<list<array{int, int, int}>> $one
     * @param list<list<array{int, int, int}>> $other
     *
     * @return list<string> the first px that differ by more than is allowed
     */
    private static function differences(array $one, array $other): array
    {
        $found = [];
        foreach ($one as $y => $row) {
            foreach ($row as $x => $colour) {
                $there = $other[$y][$x] ?? null;
                $far = $there === null
                    ? 0
                    : max(array_map(static fn (int $a, int $b) => abs($a - $b), $colour, $there));
                $most = match (true) {
                    $x >= self::STAR[0] && $x < self::STAR[1] => self::MOST_AT_EDGES,
                    $x < self::CLIP => self::MOST_IN_PICTURE,
                    default => self::MOST,
                };
                if ($far > $most && count($found) < 5) {
                    $found[] = "$x, $y: ".implode(' ', $colour).' and '.implode(' ', $there);
                }
            }
        }

        return $found;
    }
}
