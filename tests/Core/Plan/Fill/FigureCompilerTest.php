<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan\Fill;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Fill\FillReader;
use UpperPane\Core\Design\Fill\Shape;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** Shapes, dials, QR codes and counts: whole, inside their box, and in the published plan. */
final class FigureCompilerTest extends TestCase
{
    private const QR = [
        'kind' => 'qr',
        'content' => ['as' => 'address', 'address' => 'https://harrowmere.example/tides'],
        'level' => 'M',
        'colour' => '#0C1216',
        'ground' => '#FFFFFF',
    ];
    private const SHAPE = [
        'kind' => 'shape',
        'shape' => 'rectangle',
        'colour' => '#276B62',
        'gradient' => ['to' => '#102030', 'angle' => 45],
        'line' => ['colour' => '#FFFFFF', 'px' => 10],
        'radius' => 40,
        'padding' => 30,
        'ground' => null,
    ];

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function fills(): iterable
    {
        yield 'a code' => [self::QR];
        yield 'a dial' => [
            [
                'kind' => 'dial',
                'hands' => '#000000',
                'face' => '#FFFFFF',
                'accent' => '#FF0000',
                'ground' => null,
                'seconds' => true,
            ],
        ];
        foreach (['bar', 'ring'] as $form) {
            yield "progress as a $form" => [
                ['kind' => 'progress', 'of' => 'scene', 'whole' => false, 'form' => $form, 'ground' => null] + [
                    'colour' => '#A63D2A',
                    'track' => '#4D5A62',
                ],
            ];
        }
        foreach (Shape::cases() as $shape) {
            yield $shape->value => [
                ['shape' => $shape->value, 'label' => Sketch::text('New', 100)] + self::SHAPE,
            ];
            $clip = ['shape' => $shape->value, 'radius' => 9, 'line' => ['colour' => '#FFFFFF', 'px' => 6]];
            yield "in a {$shape->value}" => [['clip' => $clip] + Sketch::picture('m')];
        }
    }

    /** @param array<string, mixed> $fill */
    #[DataProvider('fills')]
    public function testAllAreInThePublishedPlan(array $fill): void
    {
        $valid = (new Validator())->validate(
            json_decode(CanonicalJson::encode(self::plan($fill)->toArray())),
            (string) file_get_contents(\dirname(__DIR__, 4).'/docs/schema/plan.schema.json'),
        );

        self::assertTrue($valid->isValid(), (string) json_encode($valid->error()?->args()));
        self::assertSame($fill['kind'], FillReader::read(Input::of($fill))->toArray()['kind']);
    }

    /** 37 modules with the quiet zone in 600 × 880 px: 16 px each; read from ten widths of 0.63 mm px. */
    public function testACodeHasWholePxAndAReadingDistance(): void
    {
        $drawing = self::plan(self::QR, 'b')->zones()[1]->items[0]->drawing;

        self::assertSame([37, 16, [4, 144]], [count($drawing['rows']), $drawing['module_px'], $drawing['place_px']]);
        self::assertSame((int) round(29 * 16 * 0.63 * 10), $drawing['scan_mm']);
    }

    /** Words in a shape stand inside its box, and a picture is seen in the same path. */
    public function testShapesHoldWordsAndPictures(): void
    {
        foreach (Shape::cases() as $shape) {
            $plan = self::plan(['shape' => $shape->value, 'label' => Sketch::text('New', 100)] + self::SHAPE);
            $zone = $plan->zones()[0];
            $label = $zone->items[0]->drawing['label'];
            [$x, $y, $width, $height] = $label['rect_mpx'];
            foreach ($label['lines'] as $line) {
                self::assertGreaterThanOrEqual(0, $line['x_mpx'], $shape->value);
                self::assertLessThanOrEqual($width, $line['x_mpx'] + $line['width_mpx'], $shape->value);
            }
            self::assertLessThanOrEqual(1000 * $zone->rect->width, $x + $width);
            self::assertLessThanOrEqual(1000 * $zone->rect->height, $y + $height);

            $plain = ['line' => null, 'padding' => 0, 'shape' => $shape->value] + self::SHAPE;
            $path = self::plan($plain)->zones()[0]->items[0]->drawing['path'];
            $clip = ['shape' => $shape->value, 'radius' => self::SHAPE['radius']] + ['line' => [
                'colour' => '#FFFFFF',
                'px' => 6,
            ]];
            $clipped = self::plan(['clip' => $clip] + Sketch::picture('m'));
            $numbers = static fn (string $path) => array_map(
                floatval(...),
                preg_split('/[^\d.]+/', $path, flags: \PREG_SPLIT_NO_EMPTY) ?: [],
            );
            $thousandth = static fn (float $one) => $one > 1 ? $one / 1000 : $one;
            self::assertEqualsWithDelta(
                array_map($thousandth, $numbers($path)),
                $numbers($clipped->zones()[0]->clip['path'] ?? ''),
                0.001,
                $shape->value,
            );
        }
    }

    /** Every point of a shape and half its line lie inside the padding. */
    public function testShapesStayInsideTheirPadding(): void
    {
        foreach (Shape::cases() as $shape) {
            $zone = self::plan(['shape' => $shape->value] + self::SHAPE)->zones()[0];
            preg_match_all('/[ML](\d+) (\d+)|H(\d+)|V(\d+)/', $zone->items[0]->drawing['path'], $found);
            $xs = self::numbers($found[1], $found[3]);
            $ys = self::numbers($found[2], $found[4]);
            self::assertGreaterThanOrEqual(35_000, min([...$xs, ...$ys]), $shape->value);
            self::assertLessThanOrEqual(1000 * $zone->rect->width - 35_000, max($xs), $shape->value);
            self::assertLessThanOrEqual(1000 * $zone->rect->height - 35_000, max($ys), $shape->value);
        }
    }

    /**
     * @param list<string> ...$lists
     *
     * @return non-empty-list<int>
     */
    private static function numbers(array ...$lists): array
    {
        $numbers = array_map(
            intval(...),
            array_values(array_filter(array_merge(...$lists), static fn (string $number) => $number !== '')),
        );

        return $numbers === [] ? self::fail('no numbers') : $numbers;
    }

    /** Light modules on dark, or grey on grey, are refused; so are addresses without a scheme, and what is too long. */
    public function testCodesThatDoNotScanAreRefused(): void
    {
        foreach (
            [
                ['qr.colours', ['colour' => '#FFFFFF', 'ground' => '#000000']],
                ['qr.colours', ['colour' => '#777777']],
                ['qr.address', ['content' => ['as' => 'address', 'address' => 'harrowmere.example']]],
                ['qr.too_long', ['content' => ['as' => 'text', 'text' => str_repeat('a', 1274)], 'level' => 'H']],
            ] as [$code, $with]
        ) {
            try {
                FillReader::read(Input::of($with + self::QR));
                self::fail($code);
            } catch (Refusal $refusal) {
                self::assertSame($code, $refusal->refusalCode);
            }
        }
    }

    /** @param array<string, mixed> $fill */
    private static function plan(array $fill, string $zone = 'a'): Plan
    {
        return PlanCompiler::compile(
            Build::filled(Build::board(), $zone, $fill),
            Surface::ofPanel(Panel::of(Size::of(1920, 1080), 1_209_600, 680_400)),
            Build::context()->seenFrom(10_000, Rational::of(630)),
        );
    }
}
