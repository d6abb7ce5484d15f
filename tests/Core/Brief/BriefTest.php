<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Brief;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Brief\BriefCsv;
use UpperPane\Core\Brief\BriefScale;
use UpperPane\Core\Brief\BriefSvg;
use UpperPane\Core\Brief\BriefZone;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Brief;

/** The sheet for whoever makes the art; its PDF is read back in tests/Outside. */
final class BriefTest extends TestCase
{
    public function testSaysOfEachZoneWhatItsArtNeeds(): void
    {
        $sheet = Brief::board(
            Sketch::fill('a', Sketch::playlist([[Sketch::colour('#112233'), 5000], [Sketch::text('Hi', 40), 2500]])),
            Sketch::name('a', 'Sailings'),
        );
        $zones = $sheet->scenes['s-rest']->zones;

        self::assertSame(
            [
                ['A', 'Sailings', '1320', '880', '3:2', '3:2', '0', '0', '', '', '', 'playlist', '7.5'],
                ['C', '', '600', '880', '15:22', '', '1320', '0', '', '', '', 'nothing yet', ''],
                ['B', '', '1920', '200', '48:5', '', '0', '880', '', '', '', 'nothing yet', ''],
            ],
            array_map(static fn (BriefZone $zone) => $zone->cells(), $zones),
            'in reading order',
        );
        self::assertCount(count(BriefZone::columns()), $zones[0]->cells());
        self::assertContains(['Scale', '1 : 5'], $sheet->titleBlock('1 : 5'));
    }

    /** 3 × 2 panels with seams of 6 px (model §2): what lies behind them is counted once, per axis. */
    public function testCountsThePxBehindSeams(): void
    {
        [$zone] = Brief::wall()->scenes['s-rest']->zones;

        self::assertSame([5772, 2166, 12, 6], [$zone->rect->width, $zone->rect->height, $zone->bleedX, $zone->bleedY]);
    }

    /** The largest step of a scale rule at which it fits: one step larger would not. */
    #[TestWith([1_209_600, 680_400, '1 : 7.5'])]
    #[TestWith([1_209_600, 590_000, '1 : 5'])]
    #[TestWith([5_760_000, 576_000, '1 : 25'])]
    #[TestWith([60_000, 30_000, '1 : 1'])]
    #[TestWith([273_000, 118_000, '1 : 1'])]
    #[TestWith([273_001, 118_000, '1 : 1.5'])]
    #[TestWith([680_000, 100_000, '1 : 2.5'])]
    #[TestWith([100_000_000, 1000, '1 : 400'])]
    public function testTakesTheLargestScaleThatFits(int $width, int $height, string $scale): void
    {
        $fitted = BriefScale::fitting(Size::of(1000, 500), [$width, $height], [273, 118]);

        self::assertSame($scale, $fitted->toText());
        $mm = $fitted->mm(Rect::of(0, 0, 1000, 500));
        self::assertLessThanOrEqual(273.0, $mm[2]);
        self::assertLessThanOrEqual(118.0, $mm[3]);
    }

    /** RFC 4180: quotes doubled, lines by CR LF; a spreadsheet takes none of it for a formula. */
    public function testWritesATableThatIsReadBack(): void
    {
        $name = '=SUM(1), "quoted", line';
        $csv = BriefCsv::write(Brief::board(Sketch::name('a', $name), Sketch::name('b', '-5')));
        $stream = fopen('php://memory', 'r+') ?: self::fail('no memory');
        fwrite($stream, substr($csv, 3));
        rewind($stream);
        $rows = [];
        while (($row = fgetcsv($stream, null, ',', '"', '')) !== false) {
            $rows[] = $row;
        }

        self::assertStringStartsWith("\u{FEFF}Scene,Zone,Name,", $csv);
        self::assertSame(["'$name", '-5', ''], array_column(array_slice($rows, 1), 2));
        self::assertSame([14], array_unique(array_map(count(...), $rows)));
    }

    public function testDrawsEachZoneInMmAtTheScale(): void
    {
        $sheet = Brief::board();
        $svg = new \SimpleXMLElement(BriefSvg::write($sheet, $sheet->scenes['s-rest']));
        $rects = [];
        foreach ($svg->rect as $rect) {
            $rects[(string) $rect['id']] = array_map(
                static fn (string $side) => (float) $rect[$side],
                ['x', 'y', 'width', 'height'],
            );
        }

        // 1209.6 × 680.4 mm at 1 : 4 in a room of 400 × 280 mm: 302.4 × 170.1 mm; 1320 of 1920 px are 207.9 mm.
        self::assertSame([0.0, 0.0, 302.4, 170.1], $rects['canvas']);
        self::assertSame([0.0, 0.0, 207.9, 138.6], $rects['zone-A']);
        self::assertSame(['312.4mm', '180.1mm'], [(string) $svg['width'], (string) $svg['height']]);
        self::assertSame('-5 -5 312.4 180.1', (string) $svg['viewBox']);
    }
}
