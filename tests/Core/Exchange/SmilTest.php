<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Exchange;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Exchange\SmilDesign;
use UpperPane\Core\Exchange\SmilReader;
use UpperPane\Core\Exchange\SmilRegion;
use UpperPane\Core\Exchange\SmilWriter;
use UpperPane\Core\Exchange\Tiling;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Picture\FitMode;
use UpperPane\Tests\Support\Build;
use UpperPane\Tests\Support\RandomDesign;

/** SMIL layouts, by the rules of SMIL 3.0 §7 worked through; its DTD is asked in tests/Outside. */
final class SmilTest extends TestCase
{
    /** @return iterable<string, array{string, list<int>}> attributes of a region in 640 × 480, and where it lies */
    public static function regions(): iterable
    {
        yield 'nothing said: all of the parent' => ['', [0, 0, 640, 480]];
        yield 'left and top: to the far edges' => ['left="100" top="40px"', [100, 40, 540, 440]];
        yield 'width and height: from the near edges' => ['width="200" height="100"', [0, 0, 200, 100]];
        yield 'right and bottom: up to them' => ['right="40" bottom="80"', [0, 0, 600, 400]];
        yield 'width and right: from the far edge' => [
            'width="200" right="40" height="50" bottom="10"',
            [400, 420, 200, 50],
        ];
        yield 'left and right: between' => ['left="100" right="40" top="10" bottom="20"', [100, 10, 500, 450]];
        yield 'all three: the far one gives way' => ['left="10" width="100" right="9" top="0"', [10, 0, 100, 480]];
        yield 'per cent of the parent' => ['left="25%" width="12.5%" top="50%" height="50%"', [160, 240, 80, 240]];
        yield 'auto is as if not said' => ['left="auto" width="auto" top="20"', [0, 20, 640, 460]];
        yield 'beyond the edges' => ['left="-10" width="700" top="470" height="20"', [-10, 470, 700, 20]];
        yield 'thirds: edges are rounded, not lengths' => ['left="33.334%" width="33.333%"', [213, 0, 214, 480]];
    }

    /** What it draws is what was written; tiles lie in a glazing, and what does not tile above it. */
    public function testADesignReadFromADesignWrittenIsDrawnAlike(): void
    {
        foreach ([3, 4, 5] as $seed) {
            $random = new RandomDesign(new Randomizer(new Mt19937($seed)));
            $design = Build::board();
            for ($step = 0; $step < 60; ++$step) {
                try {
                    $design = Build::apply($design, $random->command($design, "$seed-$step"))->after;
                } catch (Refusal) {
                    continue;
                }
            }
            $placed = LayoutAt::of($design, $design->order[0], false)->placing()->seen()->placed;
            $upright = array_filter($placed, static fn ($one) => $one->turnCentidegrees === 0);
            $regions = array_map(
                static fn ($one) => new SmilRegion(
                    "r-{$one->zone}",
                    $one->rect,
                    $one->layer,
                    FitMode::Contain,
                    [50, 50],
                    null,
                ),
                array_values($upright),
            );
            $smil = SmilWriter::write($design->canvas, $regions)['smil'];
            [$read, $report] = SmilDesign::of($smil, 'Read', 500_000, 'z-n', 'Rest');
            $names = array_map(static fn ($zone) => $zone->name(), $read->zones);
            $again = $wanted = [];
            foreach (LayoutAt::of($read, 's-rest', false)->placing()->placed as $id => $one) {
                $again[$names[$id]] = $one->rect->toArray();
            }
            foreach ($upright as $one) {
                $wanted["r-{$one->zone}"] = $one->rect->toArray();
            }
            // Where nothing tiles, an empty pane lies under it all.
            unset($again['']);
            ksort($again);
            ksort($wanted);
            self::assertSame($wanted, $again, "seed $seed");
            self::assertSame(['smil.fit_later'], array_values(array_unique(array_column($report, 'code'))));
            self::assertSame($design->canvas->width * 500, $read->widthUm);
        }
    }

    public function testWhatTilesBecomesTheGlazingAndTheRestLiesAbove(): void
    {
        $region = static fn (string $id, array $at, string $more = '') => vsprintf(
            "<region xml:id=\"$id\" left=\"%d\" top=\"%d\" width=\"%d\" height=\"%d\" $more/>",
            $at,
        );
        [$read, $report] = SmilDesign::of(
            '<smil xmlns="http://www.w3.org/ns/SMIL" version="3.0"><head><layout><root-layout width="300" height="200"/>'.
                $region('left', [0, 0, 200, 200], 'backgroundColor="#336699"').
                $region('right', [200, 0, 100, 200]).
                $region('mark', [-5, 150, 40, 40], 'z-index="1" fit="meetBest"').
                '</layout></head></smil>',
            'Read',
            500_000,
            'z-n',
            'Rest',
        );
        $at = LayoutAt::of($read, 's-rest', false);

        self::assertSame(['split' => 'columns', 'parts' => 2, 'floats' => 1], [
            'split' => $at->tree()->toArray()['split'],
            'parts' => count($at->tree()->paneIds()),
            'floats' => count($at->layout->floats),
        ]);
        self::assertSame(
            [['left', '#336699'], ['right', null], ['mark', null]],
            array_map(
                static fn ($zone) => [$zone->name(), $zone->fill()->toArray()['colour'] ?? null],
                array_values($read->zones),
            ),
        );
        self::assertSame([-5, 150, 40, 40], $at->placing()->placed['z-n-2']->rect->toArray());
        self::assertSame(['smil.fit', 'smil.fit_later'], array_column($report, 'code'));
    }

    /** @param list<int> $rect */
    #[DataProvider('regions')]
    public function testPlacesARegionAsTheStandardSays(string $attributes, array $rect): void
    {
        $read = SmilReader::read(self::smil("<region xml:id=\"r\" $attributes/>"));

        self::assertSame([[640, 480], $rect], [$read['size']->toArray(), $read['regions'][0]->rect->toArray()]);
        self::assertSame([], $read['report']);
    }

    public function testReadsWhatEachRegionIsLike(): void
    {
        $read = SmilReader::read(self::smil(
            '<region xml:id="top" z-index="2" fit="slice" mediaAlign="bottomMid" backgroundColor="rgb(1, 2, 300)"/>'.
            '<region id="plain"/><region regionName="named" backgroundColor="#AbC" fit="fill" z-index="1"/>'.
            '<region xml:id="navy" backgroundColor="navy" fit="meet" mediaAlign="center"/>',
        ));
        $of = static fn (SmilRegion $one) => [$one->id, $one->z, $one->fit, $one->focus, $one->ground];

        self::assertSame(
            [
                ['plain', 0, FitMode::None, [0, 0], null],
                ['navy', 0, FitMode::Contain, [50, 50], '#000080'],
                ['named', 1, FitMode::Stretch, [0, 0], '#aabbcc'],
                ['top', 2, FitMode::Cover, [50, 100], '#0102ff'],
            ],
            array_map($of, $read['regions']),
            'by layer, then in document order',
        );
    }

    public function testPlacesRegionsInsideRegions(): void
    {
        $read = SmilReader::read(self::smil(
            '<region xml:id="out" left="100" top="50" width="400" height="200" z-index="4">'.
            '<region xml:id="in" left="25%" bottom="0" width="50%" height="10" z-index="7"/></region>',
        ));

        self::assertSame([200, 240, 200, 10], $read['regions'][1]->rect->toArray());
        self::assertSame(['in', 4], [$read['regions'][1]->id, $read['regions'][1]->z]);
        self::assertSame(['smil.nested_z', '/smil/head/layout/region[1]/region[1]'], [
            $read['report'][0]['code'],
            $read['report'][0]['path'],
        ]);
    }

    public function testSaysWhatIsNotTakenOver(): void
    {
        $read = SmilReader::read(self::smil(
            '<region xml:id="a b" soundLevel="50%" fit="scroll" backgroundColor="sky"/><region xml:id="a-b"/>'.
            '<regPoint xml:id="p" top="5"/><region width="0"/><region left="x"/>',
            '<par><img src="a.png"/></par>',
        ));

        self::assertSame(
            [
                'smil.body /smil/body',
                'smil.attribute /smil/head/layout/region[1]/@soundLevel',
                'smil.id /smil/head/layout/region[1]',
                'smil.fit /smil/head/layout/region[1]/@fit',
                'smil.colour /smil/head/layout/region[1]/@backgroundColor',
                'smil.id /smil/head/layout/region[2]',
                'smil.element /smil/head/layout/regPoint',
                'smil.no_place /smil/head/layout/region[3]',
                'smil.no_place /smil/head/layout/region[4]',
            ],
            array_map(static fn (array $line) => "{$line['code']} {$line['path']}", $read['report']),
        );
        self::assertSame(['a-b', 'a-b-2'], array_map(static fn ($one) => $one->id, $read['regions']));
    }

    #[TestWith(['', 'smil.xml'])]
    #[TestWith(['<smil>', 'smil.xml'])]
    #[TestWith(['<html/>', 'smil.none'])]
    #[TestWith(['<smil><head/></smil>', 'smil.no_size'])]
    #[TestWith(['<smil><head><layout><region/></layout></head></smil>', 'smil.no_size'])]
    #[TestWith(['<smil><head><layout><root-layout width="50%" height="9"/></layout></head></smil>', 'smil.no_size'])]
    #[TestWith(['<smil><head><layout><root-layout width="9" height="0"/></layout></head></smil>', 'smil.no_size'])]
    #[TestWith(['<smil><head><layout type="text/css"/></head></smil>', 'smil.layout_type'])]
    #[TestWith(['<!DOCTYPE smil [<!ENTITY a "aaaa">]><smil>&a;</smil>', 'smil.entities'])]
    public function testRefusesWhatIsNoLayout(string $xml, string $code): void
    {
        try {
            SmilReader::read($xml);
            self::fail("$code went through");
        } catch (Refusal $refusal) {
            self::assertSame($code, $refusal->refusalCode);
        }
    }

    public function testRefusesTooManyRegions(): void
    {
        self::assertCount(1000, SmilReader::read(self::smil(str_repeat('<region/>', 1000)))['regions']);
        $this->expectExceptionObject(Refusal::because('smil.too_many', '', ['most' => 1000]));
        SmilReader::read(self::smil(str_repeat('<region/>', 1001)));
    }

    /** What would take a parser minutes is refused before it; what is long is read, and told in part. */
    public function testReadsLongDocumentsAndRefusesVastOnes(): void
    {
        $report = SmilReader::read(self::smil(str_repeat('<a/>', 20_000)))['report'];
        self::assertCount(1001, $report);
        self::assertSame('smil.more', $report[1000]['code']);
        self::assertStringContainsString('19000', str_replace([',', ' '], '', $report[1000]['message']));
        $same = SmilReader::read(self::smil(str_repeat('<region id="x" width="9" height="9"/>', 1000)))['regions'];
        self::assertSame(['x', 'x-2', 'x-1000'], [$same[0]->id, $same[1]->id, $same[999]->id]);
        $attributes = implode(' ', array_map(static fn (int $one) => "a$one=\"1\"", range(1, 60_000)));
        foreach (["<region $attributes/>", str_repeat('<a></a>', 60_000)] as $vast) {
            try {
                SmilReader::read(self::smil($vast));
                self::fail('it was read');
            } catch (Refusal $refusal) {
                self::assertSame('smil.too_much', $refusal->refusalCode);
            }
        }
    }

    /** SMIL 3.0 §4.4 (the first that can be had), §7.4.4 and CSS 2.1 §4.3.1, §4.3.6 (numbers, colours). */
    public function testReadsWhatMayBeWrittenOtherwise(): void
    {
        $read = SmilReader::read(
            '<smil><head><switch><layout type="text/css"/><layout><root-layout width="100" height="90"/>'.
                '<region left=".5" width="10.75" backgroundColor="rgb(100%, 50%, 0%)" mediaAlign="mid" z-index="top"/>'.
                '</layout></switch></head></smil>',
        );

        self::assertSame([1, 0, 10, 90], $read['regions'][0]->rect->toArray());
        self::assertSame('#ff8000', $read['regions'][0]->ground);
        $path = '/smil/head/switch/layout/region[1]';
        self::assertSame(
            ["smil.layer $path/@z-index", "smil.id $path", "smil.align $path/@mediaAlign"],
            array_map(static fn (array $line) => "{$line['code']} {$line['path']}", $read['report']),
        );
    }

    /** Whatever is written is read back the same. */
    public function testReadsBackWhatItWrote(): void
    {
        $random = new Randomizer(new Mt19937(9));
        $size = Size::of(1920, 1080);
        for ($try = 0; $try < 30; ++$try) {
            $regions = array_map(
                static fn (int $number) => new SmilRegion(
                    "Zone-$number",
                    Rect::of(
                        $random->getInt(-90, 1900),
                        $random->getInt(-90, 1000),
                        $random->getInt(1, 1900),
                        $random->getInt(1, 900),
                    ),
                    $random->getInt(0, 3),
                    FitMode::cases()[$random->getInt(0, 3)],
                    [50 * $random->getInt(0, 2), 50 * $random->getInt(0, 2)],
                    $random->getInt(0, 1) === 1 ? sprintf('#%06x', $random->getInt(0, 0xFFFFFF)) : null,
                ),
                range(1, 8),
            );
            usort($regions, static fn (SmilRegion $a, SmilRegion $b) => $a->z <=> $b->z);
            $written = SmilWriter::write($size, $regions);
            $read = SmilReader::read($written['smil']);

            self::assertSame([], $written['findings']);
            self::assertEquals($regions, $read['regions']);
            self::assertSame([], $read['report']);
        }
    }

    public function testSaysThatAFocalPointIsRounded(): void
    {
        $region = new SmilRegion('9 & "<', Rect::of(0, 0, 9, 9), 0, FitMode::Cover, [24, 75], null);
        $written = SmilWriter::write(Size::of(9, 9), [$region]);

        self::assertSame(['smil.focus', 'smil.id'], array_map(static fn ($one) => $one->code, $written['findings']));
        self::assertSame([0, 100], SmilReader::read($written['smil'])['regions'][0]->focus);
        self::assertStringContainsString('xml:id="region-1" regionName="9-----"', $written['smil']);
    }

    /** The panes of any glazing tile, and the glazing that is found has the same panes. */
    public function testFindsAGlazingForTheTilesOfAnyGlazing(): void
    {
        $random = new RandomDesign(new Randomizer(new Mt19937(21)));
        $design = Build::board();
        $tried = 0;
        for ($step = 0; $step < 1500; ++$step) {
            try {
                $design = Build::apply($design, $random->command($design, (string) $step))->after;
            } catch (Refusal) {
                continue;
            }
            $at = LayoutAt::of($design, $design->order[0], false);
            $tiles = $at->glazing()->panes;
            if (array_sum(array_map(self::area(...), $tiles)) !== self::area($at->canvas()->rect())) {
                continue;
            }
            ++$tried;
            $found = Tiling::of($tiles, $at->canvas()->rect());
            self::assertNotNull($found);
            $panes = Glazing::resolve($found, $at->canvas())->panes;
            ksort($panes);
            ksort($tiles);
            self::assertEquals($tiles, $panes);
        }
        self::assertGreaterThan(100, $tried);
    }

    /** A pinwheel has no cut from edge to edge; gaps, overlaps and too much are no tiling. */
    public function testFindsNoneWhereThereIsNone(): void
    {
        $whole = Rect::of(0, 0, 3, 3);
        $rects = static fn (array ...$tiles): array => array_combine(
            array_map(static fn (int $i) => "t$i", array_keys($tiles)),
            array_map(static fn (array $tile) => Rect::of(...$tile), $tiles),
        );
        $none = [
            [[0, 0, 2, 1], [2, 0, 1, 2], [1, 2, 2, 1], [0, 1, 1, 2], [1, 1, 1, 1]],
            [[0, 0, 3, 1], [0, 2, 3, 1]],
            [[0, 0, 3, 2], [0, 1, 3, 2]],
            [[0, 0, 3, 4]],
            [[1, 0, 2, 3]],
            [[0, 0, 3, 3], [0, 0, 3, 3]],
        ];
        foreach ($none as $tiles) {
            self::assertNull(Tiling::of($rects(...$tiles), $whole), (string) json_encode($tiles));
        }
        self::assertNotNull(Tiling::of($rects([0, 0, 3, 1], [0, 1, 1, 2], [1, 1, 2, 2]), $whole));
    }

    private static function area(Rect $rect): int
    {
        return $rect->width * $rect->height;
    }

    private static function smil(string $layout, string $body = ''): string
    {
        return '<smil xmlns="http://www.w3.org/ns/SMIL"><head><layout><root-layout width="640" height="480px"/>'.
            "$layout</layout></head><body>$body</body></smil>";
    }
}
