<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignKind;
use UpperPane\Core\Design\Fill\FillKind;
use UpperPane\Core\Design\Fill\FillReader;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\LightGrid;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Plan\Inputs\Inputs;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Preflight\Judgement;
use UpperPane\Core\Preflight\Preflight;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Core\Style\HouseStyle;
use UpperPane\Core\Style\Palette;
use UpperPane\Core\Style\StyleKind;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;
use UpperPane\Tests\Support\FromSchema;
use UpperPane\Tests\Support\TestFonts;

/**
 * Whatever the published schema of designs allows, and no command refuses, can be planned and judged: zones that lie
 * over each other, filled at random, on surfaces of several sizes; and is read back as it was stored.
 */
final class EverythingTest extends TestCase
{
    private const ROUNDS = 60;
    private const WORDS = [
        'font' => ['Inter', 'Roboto', 'Noto Sans Hebrew', 'Amiri'],
        'weight' => [400, 700],
        'text' => [
            '',
            ' ',
            "\n\n",
            'Mind the gap',
            "שלום to all\tالسفينة",
            "👩‍👩‍👧‍👦 e\u{301}",
            'Donaudampfschifffahrt',
            '1 2 3 4 5 6 7 8 9',
        ],
        'start' => ['2026-12-07T06:00:00'],
        'end' => ['09:00', '24:00', '06:00'],
        'rrule' => ['FREQ=DAILY', 'FREQ=WEEKLY;BYDAY=MO'],
        'media' => ['tall', 'wide', 'dot', 'clip', 'blink', 'page', 'new', 'gone'],
        'pattern' => ['HH:mm', 'EEEE, d MMMM yyyy', 'h:mm:ss a', "H 'h' m", 'D', 'd', 'm'],
        'at' => ['2026-03-29T01:30', '1970-01-01T00:00:00', '9999-12-31T23:59'],
        'colour' => ['#000000', '#FFFFFF', '#276B62', 'lake@#1F6F8B'],
        'address' => ['https://example.org/', 'https://refuses.example.org/menu?x=1', ''],
        'name' => ['', 'Television', 'Ness & Co.; “gap”'],
        'password' => ['', 'a;b:c\\d"'],
        'phone' => ['', '+44 1632 960000'],
        'email' => ['', 'dina@example.org'],
        'type' => ['big'],
        'space' => ['wide'],
        'of' => ['scene', 'a', 'gone'],
        'id' => ['e1', 'e2', 'e3', 'e4'],
        'unit' => ['', '°C', ' boats'],
        'rows0' => ['', 'Mon', 'A name that is too long for any bar of the chart'],
        'rows1' => ['0', '-12.5', '999999999.999', '41'],
        'from' => ['0', '-10'],
        'to' => ['100', '-10', '0.001'],
        'still' => ['tall', 'clip', 'gone'],
        'style' => ['lake'],
    ];

    /** @return iterable<string, array{Size, int}> */
    public static function surfaces(): iterable
    {
        yield 'a screen' => [Size::of(1920, 1080), 20];
        yield 'a totem' => [Size::of(1080, 1920), 21];
        yield 'a ribbon' => [Size::of(2880, 64), 22];
        yield 'a few px' => [Size::of(16, 16), 23];
    }

    #[DataProvider('surfaces')]
    public function testWhatIsAllowedCanBeShown(Size $size, int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $folder = \dirname(__DIR__, 3).'/docs/schema';
        $schema = json_decode((string) file_get_contents("$folder/design.schema.json"), true);
        $published = (string) file_get_contents("$folder/plan.schema.json");
        $some = new FromSchema((array) $schema, $random, self::WORDS);
        $surface = Surface::ofPanel(Panel::of($size, 1, 1));
        [$validator, $kind] = [new Validator(), new DesignKind()];
        $kinds = [];
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            $design = self::laid($size);
            foreach (['a', 'over', 'top'] as $zone) {
                $fill = $some->at(['$defs', 'zone', 'properties', 'fill']);
                try {
                    $design = Build::filled($design, $zone, (array) $fill);
                    $kinds[$fill['kind']] = true;
                } catch (Refusal) {
                    continue;
                }
            }
            self::assertSame(
                CanonicalJson::encode($design->toArray()),
                CanonicalJson::encode($kind->stored($kind->parts($design))->toArray()),
                'read back as it was stored',
            );
            $plan = self::planned($design, $surface);
            $result = $validator->validate(json_decode(CanonicalJson::encode($plan->toArray())), $published);
            $faults = $result->error() === null ? [] : (new ErrorFormatter())->formatKeyed($result->error());
            self::assertSame([], $faults, json_encode($design->toArray(), \JSON_UNESCAPED_UNICODE) ?: '');
            $round % 4 === 0 && self::assertComesAgain($design, $size);
        }
        self::assertGreaterThanOrEqual(12, count($kinds), implode(' ', array_keys($kinds)));
    }

    /** A colour that a name stands for is the new one wherever the schema has a colour, and nothing else changes. */
    public function testEveryColourThatIsNamedFollowsItsName(): void
    {
        $schema = json_decode((string) file_get_contents(\dirname(__DIR__, 3).'/docs/schema/design.schema.json'), true);
        $words = ['colour' => ['lake@#1F6F8B'], 'type' => [''], 'space' => ['']] + self::WORDS;
        $some = new FromSchema((array) $schema, new Randomizer(new Mt19937(24)), $words);
        $style = (new StyleKind())->commands()->read(Input::of([
            'do' => 'style.colour',
            'id' => 'lake',
            'colour' => ['name' => 'Lake', 'hex' => '#ABCDEF'],
        ]))->apply(HouseStyle::fresh('Harbour'))->after;
        $followed = [];
        for ($round = 0; $round < 600; ++$round) {
            try {
                $fill = FillReader::read(Input::of((array) $some->at(['$defs', 'zone', 'properties', 'fill'])));
            } catch (Refusal) {
                continue;
            }
            $said = CanonicalJson::encode($fill->toArray());
            self::assertSame(
                str_replace('lake@#1F6F8B', 'lake@#ABCDEF', $said),
                CanonicalJson::encode($fill->resolved(Palette::of($style))->toArray()),
            );
            $followed += str_contains($said, 'lake@#') ? [$fill->kind()->value => true] : [];
        }
        // Two colours of a QR code are never one; an empty zone has none.
        $kinds = array_diff(array_column(FillKind::cases(), 'value'), array_keys($followed));
        self::assertSame(['empty', 'qr'], array_values($kinds), 'of each kind there was one');
    }

    /** What was sealed of its inputs gives the same bytes, also where the Stock is empty by then. */
    private static function assertComesAgain(Design $design, Size $size): void
    {
        $sheet = SurfaceSheet::ofSize($size, 1000 * $size->width, 1000 * $size->height);
        [$asking, $inputs] = Inputs::recording($design, null, $sheet, null, Build::context(...self::media()));
        $plan = Judgement::of($design, $sheet, null, $asking)->plan;
        $sealed = CanonicalJson::encode($inputs()->toArray());
        $again = Inputs::read((array) json_decode($sealed, true))->plan(new TestFonts());
        self::assertSame(CanonicalJson::encode($plan->toArray()), CanonicalJson::encode($again->toArray()));
    }

    private static function planned(Design $design, Surface $surface): Plan
    {
        $plan = PlanCompiler::compile($design, $surface, Build::context(...self::media()));
        Preflight::standard()->plan($plan);

        return $plan;
    }

    private static function laid(Size $size): Design
    {
        return Build::apply(
            Build::design(...$size->toArray()),
            Sketch::float('over', ['60%', '40%']),
            Sketch::float('top', ['30%', '40%'], ['turn' => 1500]),
        )->after;
    }

    /** @return list<MediaFacts> */
    private static function media(): array
    {
        $grid = LightGrid::ofBytes(LightGrid::ofPixels(Size::of(2, 1), "\0\0\0\xFF\xFF\xFF\xFF\xFF")->bytes());
        $lit = static fn (string $id, string $mime, ?Size $size, ?int $ms) => new MediaFacts(
            ...[$id, $id, hash('sha256', $id), $mime, 1000, $size, $ms],
            light: static fn () => $grid,
        );

        return [
            $lit('tall', 'image/jpeg', Size::of(400, 4000), null),
            $lit('wide', 'image/png', Size::of(8000, 90), null),
            $lit('dot', 'image/webp', Size::of(1, 1), null),
            $lit('clip', 'video/mp4', Size::of(1600, 900), 12_000),
            $lit('blink', 'video/webm', Size::of(64, 64), 40),
            $lit('page', MediaFacts::PAGE, null, null),
            new MediaFacts('new', 'new.png', hash('sha256', 'new'), 'image/png', 1000, null, null),
        ];
    }
}
