<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Style;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Batch;
use UpperPane\Core\Design\Fill\Fill;
use UpperPane\Core\Design\Fill\FillKind;
use UpperPane\Core\Design\Fill\FillReader;
use UpperPane\Core\Design\Fill\FreshFill;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ItemCompiler;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Style\ContrastMatrix;
use UpperPane\Core\Style\CornerMark;
use UpperPane\Core\Style\DesignTokens;
use UpperPane\Core\Style\HouseStyle;
use UpperPane\Core\Style\Palette;
use UpperPane\Core\Style\StyleKind;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;
use UpperPane\Tests\Support\Declared;

/** House styles: what their names make of fills, their contrasts, and the way to design tokens and back. */
final class HouseStyleTest extends TestCase
{
    private const STEP = ['font' => 'Inter', 'weight' => 700, 'size' => 96, 'line_height' => 1100];

    /** In every kind of fill: with names it is drawn as one that has the style's colours as its own. */
    public function testNamesAreDrawnAsTheStyleSaysNow(): void
    {
        $style = self::style(['ink' => '#102030', 'paper' => '#FAF0E0']);
        $kinds = 0;
        foreach (FillKind::cases() as $kind) {
            $fresh = FreshFill::parse(Input::of(['kind' => $kind->value, 'media' => 'm1']))->toArray();
            $count = 0;
            $named = self::recoloured($fresh, $count, static fn (int $n) => ['ink@#000000', 'paper@#FFFFFF'][$n % 2]);
            $plain = self::recoloured($fresh, $count, static fn (int $n) => ['#102030', '#FAF0E0'][$n % 2]);
            $drawn = self::item($style, FillReader::read(Input::of($named)));
            self::assertSame(self::item(null, FillReader::read(Input::of($plain)))->drawing, $drawn->drawing);
            self::assertNull($drawn->unstyled);
            self::assertSame($named, FillReader::read(Input::of($named))->toArray(), 'kept as it was chosen');
            $kinds += $count > 0 ? 1 : 0;
        }
        self::assertGreaterThanOrEqual(11, $kinds);
    }

    public function testAStepOfTheTypeScaleGivesFaceAndSize(): void
    {
        $text = ['text' => 'Ness 12:45', 'type' => 'title', 'min_size' => 72]
            + FreshFill::parse(Input::of(['kind' => 'text']))->toArray();
        $style = self::style([], ['title' => self::STEP]);
        $styled = self::item($style, FillReader::read(Input::of($text)));
        $own = self::item(null, FillReader::read(Input::of(array_replace($text, self::STEP))));
        self::assertSame($own->drawing, $styled->drawing);
        self::assertSame('Inter', $styled->drawing['font']);
        $smaller = self::style([], ['title' => ['size' => 20] + self::STEP]);
        $item = self::item($smaller, FillReader::read(Input::of($text)));
        self::assertSame(20, $item->drawing['size'], 'below its least');
    }

    public function testWhatTheStyleHasNotStaysAsItWasChosen(): void
    {
        $fill = FillReader::read(Input::of(['kind' => 'colour', 'colour' => 'gone@#ABCDEF']));
        self::assertSame('#ABCDEF', self::item(self::style([]), $fill)->drawing['colour']);

        $code = ['colour' => 'ink@#0C1216'] + FreshFill::parse(Input::of(['kind' => 'qr']))->toArray();
        $item = self::item(self::style(['ink' => '#F0F0F0']), FillReader::read(Input::of($code)));
        self::assertSame('#0C1216', $item->drawing['colour'], 'a code that nobody can scan helps nobody');
        self::assertStringContainsString('#F0F0F0', (string) $item->unstyled);
    }

    public function testCommandsAreUndone(): void
    {
        $kind = new StyleKind();
        $before = self::style(['ink' => '#102030'], ['title' => self::STEP]);
        foreach (
            [
                ['do' => 'style.name', 'name' => 'Winter'],
                ['do' => 'style.colour', 'id' => 'ink', 'colour' => ['name' => 'Ink', 'hex' => '#111111']],
                ['do' => 'style.colour', 'id' => 'ink', 'colour' => null],
                ['do' => 'style.colour', 'id' => 'new', 'colour' => ['name' => 'New', 'hex' => '#222222']],
                ['do' => 'style.type', 'id' => 'title', 'type' => null],
                ['do' => 'style.type', 'id' => 'body', 'type' => ['name' => 'Body'] + self::STEP],
                ['do' => 'style.space', 'id' => 'gap', 'space' => ['name' => 'Gap', 'px' => 24]],
                ['do' => 'style.mark', 'mark' => ['media' => 'm', 'corner' => 'top-left'] + [
                    'width' => 150,
                    'margin' => 9,
                ]],
            ] as $command
        ) {
            $outcome = Batch::parse(Input::of([$command]), $kind)->apply($before);
            self::assertNotSame(self::bytes($before), self::bytes($outcome->after));
            self::assertSame([], Declared::beyond($before, $outcome, static fn (array $path) => $path));
            self::assertSame(self::bytes($before), self::bytes($outcome->inverse->apply($outcome->after)->after));
            self::assertSame(self::bytes($outcome->after), self::bytes($kind->stored($kind->parts($outcome->after))));
        }
        foreach (['Ink', 'a_b', 'a@b', ''] as $id) {
            try {
                $kind->commands()->read(Input::of(['do' => 'style.colour', 'id' => $id, 'colour' => null]));
                self::fail("'$id' was taken");
            } catch (Refusal $refusal) {
                self::assertStringStartsWith('input.', $refusal->refusalCode);
            }
        }
    }

    /** In its corner, as far from both edges, in the picture's ratio: on canvases of all shapes. */
    public function testACornerMarkStandsInItsCorner(): void
    {
        foreach ([[1920, 1080], [1080, 1920], [960, 96], [7731, 1760]] as [$width, $height]) {
            $canvas = Size::of($width, $height);
            $short = min($width, $height);
            foreach (CornerMark::CORNERS as $corner) {
                $mark = ['media' => 'm', 'corner' => $corner, 'width' => 300, 'margin' => 50];
                $rect = CornerMark::parse(Input::of($mark))->on($canvas, Size::of(400, 200));
                self::assertEqualsWithDelta([0.3 * $short, 0.15 * $short], [$rect->width, $rect->height], 0.8);
                $left = str_ends_with($corner, 'left') ? $rect->x : $width - $rect->right();
                $top = str_starts_with($corner, 'top') ? $rect->y : $height - $rect->bottom();
                self::assertEqualsWithDelta([0.05 * $short, 0.05 * $short], [$left, $top], 0.5);
            }
        }
    }

    public function testTheMarkAndTheDistancesAreInThePlan(): void
    {
        $style = HouseStyle::parse(Input::of([
            'mark' => ['media' => 'm', 'corner' => 'bottom-right', 'width' => 200, 'margin' => 0],
            'spaces' => ['gap' => ['name' => 'Gap', 'px' => 77]],
            'types' => [],
            'colours' => [],
            'name' => 'Harbour',
            'version' => 1,
        ]));
        $design = Build::filled(Build::design(), 'a', ['space' => 'gap', 'padding' => 5] + Sketch::text('Quay', 60, [
            'align' => 'left',
        ]));
        $plan = PlanCompiler::compile(
            $design,
            Surface::ofPanel(Panel::of(Size::of(1920, 1080), 1, 1)),
            Build::context(Build::picture('m', 500, 250))->styledBy(Palette::of($style)),
        );
        $scene = $plan->toArray()['scenes']['s-rest'];

        self::assertSame([1704, 972, 216, 108], $scene['mark']['rect']);
        self::assertSame(hash('sha256', 'm'), $scene['mark']['drawing']['sha256']);
        self::assertSame([hash('sha256', 'm')], array_column($plan->toArray()['media'], 'sha256'));
        self::assertSame(77_000, $scene['zones'][0]['items'][0]['lines'][0]['x_mpx']);
        $valid = (new Validator())->validate(
            json_decode(CanonicalJson::encode($plan->toArray())),
            (string) file_get_contents(\dirname(__DIR__, 3).'/docs/schema/plan.schema.json'),
        );
        self::assertTrue($valid->isValid(), (string) json_encode($valid->error()?->args()));
    }

    /**
     * WCAG 2.2, understanding 1.4.3: black on white has 21; #777777 on white 4.478, which is not
     * enough.
     */
    public function testContrastsAreThoseOfTheGuidelines(): void
    {
        $matrix = ContrastMatrix::of(self::style(['black' => '#000000', 'white' => '#FFFFFF', 'grey' => '#777777']));
        self::assertSame(['21.00', '4.47', '1.00'], [
            $matrix['black']['white']['ratio'],
            $matrix['grey']['white']['ratio'],
            $matrix['grey']['grey']['ratio'],
        ]);
        self::assertTrue($matrix['white']['black']['reads']);
        self::assertFalse($matrix['grey']['white']['reads']);
        self::assertSame($matrix['grey']['white'], $matrix['white']['grey'], 'either way round');
    }

    public function testTokensBringAStyleBackAsItWas(): void
    {
        $colours = [];
        for ($byte = 0; $byte < 256; $byte += 5) {
            $colours["c$byte"] = sprintf('#%02X%02X%02X', $byte, 255 - $byte, ($byte * 7) % 256);
        }
        $style = self::style($colours, ['title' => self::STEP]);
        $file = json_decode((string) json_encode(DesignTokens::of($style)), true);
        ['commands' => $commands, 'left' => $left] = DesignTokens::commands($file);
        self::assertSame([], $left);
        $after = Batch::parse(Input::of($commands), new StyleKind())->apply(HouseStyle::fresh('Back'))->after;
        self::assertSame(
            array_map(static fn ($one) => $one->toArray(), array_values($style->colours)),
            array_map(static fn ($one) => $one->toArray(), array_values($after->colours)),
        );
        self::assertSame(
            array_map(static fn ($one) => $one->toArray(), array_values($style->types)),
            array_map(static fn ($one) => $one->toArray(), array_values($after->types)),
        );
    }

    /** 200 names in another script, two that differ by case alone, the font's own line height, distances. */
    public function testNoTokenIsLostOrTakenForAnother(): void
    {
        $colours = [];
        for ($number = 0; $number < 200; ++$number) {
            $colours["c$number"] = ['name' => 'Цвет '.mb_chr(0x430 + $number % 32).$number, 'hex' => '#0000FF'];
        }
        $style = HouseStyle::parse(Input::of([
            'version' => 1,
            'name' => 'Море',
            'colours' => array_slice($colours, 0, HouseStyle::MOST - 2) + [
                'more' => ['name' => 'море', 'hex' => '#00AAAA'],
                'les' => ['name' => 'лес', 'hex' => '#00AA00'],
            ],
            'types' => ['less' => ['name' => 'Head', 'line_height' => 0] + self::STEP],
            'spaces' => ['wide' => ['name' => 'Поле', 'px' => 24]],
        ]));
        $file = json_decode((string) json_encode(DesignTokens::of($style)), true);
        ['commands' => $commands, 'left' => $left] = DesignTokens::commands($file);
        self::assertSame([], $left);
        $after = Batch::parse(Input::of($commands), new StyleKind())->apply(HouseStyle::fresh('Море'))->after;
        self::assertSame(self::bytes($style), self::bytes($after));

        $others = ['farben' => ['$type' => 'color']];
        foreach (['красный', 'синий', 'Blue', 'blue'] as $name) {
            $others['farben'][$name] = ['$value' => '#0000F0'];
        }
        ['commands' => $commands, 'left' => $left] = DesignTokens::commands($others);
        self::assertSame([], $left);
        self::assertCount(4, array_unique(array_column($commands, 'id')));
        foreach ($commands as $command) {
            self::assertMatchesRegularExpression('/^[a-z][a-z0-9-]*$/D', (string) $command['id']);
        }
    }

    /** An alias has the type of what it refers to; what is none of a style's is named. */
    public function testNamesWhatItLeavesOut(): void
    {
        ['commands' => $commands, 'left' => $left] = DesignTokens::commands([
            'base' => ['$type' => 'color', '$root' => ['$value' => '#112233'], 'red' => ['$value' => '#A63D2A']],
            'call' => ['$value' => '{base.red}'],
            'copy' => ['$extends' => '{base}'],
            'odd' => 'text',
        ]);

        self::assertSame(['base.$root', 'base.red', 'call'], array_column(array_column($commands, 'colour'), 'name'));
        self::assertSame('#A63D2A', $commands[2]['colour']['hex']);
        self::assertSame(['copy.$extends', 'odd'], $left);
        $weight = static fn (string $name) => DesignTokens::commands(['h' => [
            '$type' => 'typography',
            '$value' => ['fontFamily' => 'Inter', 'fontSize' => ['value' => 9, 'unit' => 'px'], 'fontWeight' => $name],
        ]])['commands'][0]['type']['weight'] ?? null;
        self::assertSame(
            [100, 200, 400, 600, 800, 900, 900],
            array_map($weight, ['hairline', 'ultra-light', 'book', 'demi-bold', 'extra-bold', 'heavy', 'extra-black']),
        );
    }

    /** What people write stays as they wrote it, whatever it looks like. */
    public function testNoWordIsTakenForAColour(): void
    {
        $style = self::style(['sea' => '#003333']);
        $code = FillReader::read(Input::of([
            'kind' => 'qr',
            'content' => ['as' => 'network', 'security' => 'WPA', 'name' => 'sea@#123456', 'password' => 'sea@#654321'],
            'level' => 'M',
            'colour' => 'sea@#000000',
            'ground' => '#FFFFFF',
        ]));

        self::assertSame($code->toArray()['content'], $code->resolved(Palette::of($style))->toArray()['content']);
    }

    /** The forms of the format's report, from memory: inherited types, aliases, groups, values that nobody knows. */
    public function testTokensOfOthersAreTakenAsFarAsTheyGo(): void
    {
        $srgb = static fn (array $components, array $more = []) => [
            '$type' => 'color',
            '$value' => ['colorSpace' => 'srgb', 'components' => $components] + $more,
        ];
        ['commands' => $commands, 'left' => $left] = DesignTokens::commands([
            'brand' => [
                '$type' => 'color',
                'red' => ['$value' => '#A63D2A'],
                'deep' => ['also red' => ['$value' => '{brand.red}']],
                'circle' => ['$value' => '{brand.circle}'],
            ],
            'veil' => $srgb([0, 0, 0], ['alpha' => 0.5]),
            'green' => $srgb([0, 0.501961, 0]),
            'wide' => ['$type' => 'color', '$value' => ['colorSpace' => 'display-p3', 'components' => [1, 0, 0]]],
            'gap' => ['$type' => 'dimension', '$value' => ['value' => 8, 'unit' => 'px']],
            'font' => ['$type' => 'fontFamily', '$value' => ['Inter', 'sans-serif']],
            'head' => [
                '$type' => 'typography',
                '$value' => [
                    'fontFamily' => '{font}',
                    'fontSize' => ['value' => 3, 'unit' => 'rem'],
                    'fontWeight' => 'semi-bold',
                    'lineHeight' => 1.25,
                ],
            ],
        ]);
        self::assertSame(['brand.circle', 'veil', 'wide', 'font'], $left);
        self::assertSame(['name' => 'gap', 'px' => 8], $commands[3]['space']);
        self::assertSame(
            [['brand.red', '#A63D2A'], ['brand.deep.also red', '#A63D2A'], ['green', '#008000']],
            array_map(array_values(...), array_column(array_slice($commands, 0, 3), 'colour')),
        );
        self::assertSame(
            ['name' => 'head', 'font' => 'Inter', 'weight' => 600, 'size' => 48, 'line_height' => 1250],
            $commands[4]['type'],
        );
        foreach ([null, 'x', [], [1, 2]] as $other) {
            try {
                DesignTokens::commands($other);
                self::fail('taken');
            } catch (Refusal $refusal) {
                self::assertSame('style.tokens', $refusal->refusalCode);
            }
        }
    }

    /**
     * @param array<string, string>               $colours
     * @param array<string, array<string, mixed>> $types
     */
    private static function style(array $colours, array $types = []): HouseStyle
    {
        return HouseStyle::parse(Input::of([
            'version' => 1,
            'name' => 'Harbour',
            'colours' => array_map(static fn (string $hex) => ['name' => "Colour $hex", 'hex' => $hex], $colours),
            'types' => array_map(static fn (array $step) => ['name' => 'Step'] + $step, $types),
        ]));
    }

    private static function item(?HouseStyle $style, Fill $fill): Item
    {
        $context = Build::context(Build::picture('m1', 1600, 900));

        return (new ItemCompiler($style === null ? $context : $context->styledBy(Palette::of($style))))
            ->compile($fill, Size::of(900, 700));
    }

    /**
     * @param array<mixed>          $fill
     * @param callable(int): string $as
     *
     * @return array<mixed> with its colours set anew, each with its number
     */
    private static function recoloured(array $fill, int &$count, callable $as): array
    {
        $count = 0;
        array_walk_recursive($fill, static function (mixed &$value) use (&$count, $as): void {
            if (is_string($value) && preg_match('/^#[0-9A-F]{6}$/', $value) === 1) {
                $value = $as($count++);
            }
        });

        return $fill;
    }

    private static function bytes(HouseStyle $style): string
    {
        return CanonicalJson::encode($style->toArray());
    }
}
