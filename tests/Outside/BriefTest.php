<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use UpperPane\App\Adapter\BriefPdf;
use UpperPane\Core\Brief\BriefScale;
use UpperPane\Core\Brief\BriefSheet;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Brief;

/** The brief sheet's PDF as poppler reads it (pdftocairo, pdftotext): what is on the paper, in mm. */
final class BriefTest extends TestCase
{
    private const POINT_MM = 25.4 / 72;
    private const LEFT = 12;
    private const TOP = 14;

    /** @return iterable<string, array{BriefSheet}> */
    public static function sheets(): iterable
    {
        $float = [
            'zone' => 'f',
            'frame' => 'canvas',
            'anchor' => 'centre',
            'offset' => ['11px', '-7px'],
            'size' => ['333px', '20%'],
            'turn' => 0,
        ];
        $place = ['do' => 'float.place', 'scene' => 's-rest', 'layout' => 'own', 'float' => $float, 'before' => null];
        yield 'a board with a float' => [Brief::board($place, Sketch::name('a', 'Øresund–Łódź sailings'))];
        yield 'a wall' => [Brief::wall()];
    }

    #[DataProvider('sheets')]
    public function testRectanglesLieAsThePlanSaysAtTheStatedScale(BriefSheet $sheet): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'brief');
        file_put_contents($file, BriefPdf::write($sheet));
        $text = self::said(['pdftotext', '-layout', $file, '-']);
        $svg = self::said(['pdftocairo', '-svg', '-noshrink', '-nocenter', '-f', '1', '-l', '1', $file, '-']);
        unlink($file);

        self::assertStringNotContainsString('owered', $text, 'the library’s own line');
        self::assertSame(1, preg_match('/Scale\s+1 : ([\d.]+)/', $text, $scale));
        $factor = (float) $scale[1];
        $mm = static fn (int $px, int $um, int $canvas): float => $px * $um / $canvas / 1000 / $factor;
        $seen = self::rectangles($svg);
        foreach ($sheet->scenes['s-rest']->zones as $zone) {
            $wanted = [
                self::LEFT + $mm($zone->rect->x, $sheet->um[0], $sheet->canvas->width),
                self::TOP + $mm($zone->rect->y, $sheet->um[1], $sheet->canvas->height),
                $mm($zone->rect->width, $sheet->um[0], $sheet->canvas->width),
                $mm($zone->rect->height, $sheet->um[1], $sheet->canvas->height),
            ];
            $nearest = min(array_map(static fn (array $one) => self::apart($one, $wanted), $seen));
            self::assertLessThan(0.1, $nearest, "$zone->letter, in mm");
            foreach (array_filter($zone->cells(), static fn (string $cell) => $cell !== '') as $cell) {
                self::assertStringContainsString($cell, $text, $zone->letter);
            }
        }
        $fitting = BriefScale::fitting($sheet->canvas, $sheet->um, [273, 118]);
        self::assertSame($factor, (float) $fitting->factor->plain(1));
    }

    /** Zones that share a corner, and one that lies wholly under another: each label can be read. */
    public function testNoLabelIsPrintedOverAnother(): void
    {
        $floats = [];
        foreach (['f' => [900, 500], 'g' => [700, 300], 'h' => [1920, 1080]] as $zone => [$width, $height]) {
            $floats[] = Sketch::float($zone, ["{$width}px", "{$height}px"], ['anchor' => 'top-left']);
        }
        $file = (string) tempnam(sys_get_temp_dir(), 'brief');
        file_put_contents($file, BriefPdf::write(Brief::board(...$floats)));
        $said = self::said(['pdftotext', '-bbox', '-l', '1', $file, '-']);
        unlink($file);
        $box = '/xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">([^<]+)</';
        preg_match_all($box, $said, $words, \PREG_SET_ORDER);
        $letters = array_filter($words, static fn (array $word) => preg_match('/^[A-F]$/D', $word[5]) === 1);
        self::assertCount(6, $letters, 'three panes and three floats');

        foreach ($words as $one => $a) {
            foreach (array_slice($words, $one + 1) as $b) {
                $meet = static fn (int $low, int $high, float $slack): bool => max(
                    (float) $a[$low] - (float) $b[$high],
                    (float) $b[$low] - (float) $a[$high],
                ) < -$slack;
                self::assertFalse($meet(1, 3, 0) && $meet(2, 4, 1), "$a[5] over $b[5]");
            }
        }
        self::assertMatchesRegularExpression('/Lasts<.*>until<.*>something<.*>else<.*>comes</s', $said);
    }

    public function testManyZonesTakeMorePages(): void
    {
        $splits = [];
        for ($i = 1; $i < 70; ++$i) {
            $splits[] = Sketch::split('a', 'columns', 18 * (70 - $i), "z$i");
        }
        $sheet = Brief::board(...$splits);
        $file = (string) tempnam(sys_get_temp_dir(), 'brief');
        file_put_contents($file, BriefPdf::write($sheet));
        $text = self::said(['pdftotext', '-layout', $file, '-']);
        unlink($file);

        foreach ($sheet->scenes['s-rest']->zones as $zone) {
            [$width, $height] = [$zone->rect->width, $zone->rect->height];
            self::assertMatchesRegularExpression("/^\\s*$zone->letter\\s+$width\\s+$height\\s/m", $text);
        }
        self::assertGreaterThan(3, substr_count($text, "\f"));
    }

    /** @return list<array{float, float, float, float}> of every path on the page that is a rectangle */
    private static function rectangles(string $svg): array
    {
        $path = '/<path[^>]* d="([^"]+)"(?:[^>]* transform="matrix\(([^)]+)\)")?/';
        preg_match_all($path, $svg, $paths, \PREG_SET_ORDER);
        $rects = [];
        foreach ($paths as $path) {
            preg_match_all('/(-?[\d.]+) (-?[\d.]+)/', $path[1], $points, \PREG_SET_ORDER);
            if (count($points) < 4 || count($points) > 5) {
                continue;
            }
            $matrix = array_map(floatval(...), preg_split('/[ ,]+/', trim($path[2] ?? '1 0 0 1 0 0')) ?: []);
            $mm = static fn (string $at, int $axis): float => self::POINT_MM *
                ($matrix[3 * $axis] * (float) $at + $matrix[4 + $axis]);
            $xs = array_map(static fn (array $point) => $mm($point[1], 0), $points);
            $ys = array_map(static fn (array $point) => $mm($point[2], 1), $points);
            $rects[] = [min($xs), min($ys), max($xs) - min($xs), max($ys) - min($ys)];
        }

        return $rects;
    }

    /**
     * @param list<float> $a
     * @param list<float> $b
     */
    private static function apart(array $a, array $b): float
    {
        return max(array_map(static fn (float $one, float $other) => abs($one - $other), $a, $b));
    }

    /** @param list<string> $command */
    private static function said(array $command): string
    {
        $process = new Process($command);
        $process->mustRun();

        return $process->getOutput();
    }
}
