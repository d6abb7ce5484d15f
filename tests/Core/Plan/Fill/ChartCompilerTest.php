<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan\Fill;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Fill\ChartFill;
use UpperPane\Core\Design\Fill\FillReader;
use UpperPane\Core\Design\Fill\FreshFill;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Plan\ItemCompiler;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Preflight\Preflight;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Tests\Support\Build;

/** Charts: as long as their values, inside their box, readable or said not to be. */
final class ChartCompilerTest extends TestCase
{
    private const ROWS = [['Mon', '12'], ['Tue', '-6'], ['Wed', '24.5'], ['Thu', '0']];

    /** @return iterable<string, array{string}> */
    public static function forms(): iterable
    {
        foreach (ChartFill::FORMS as $form) {
            yield $form => [$form];
        }
    }

    #[DataProvider('forms')]
    public function testIsInThePublishedPlanAndReadBack(string $form): void
    {
        $fill = self::fill(['form' => $form, 'rows' => self::ROWS, 'unit' => '°C']);
        $plan = PlanCompiler::compile(
            Build::filled(Build::board(), 'a', $fill),
            Surface::ofPanel(Panel::of(Size::of(1920, 1080), 1_209_600, 680_400)),
            Build::context(),
        );
        $valid = (new Validator())->validate(
            json_decode(CanonicalJson::encode($plan->toArray())),
            (string) file_get_contents(\dirname(__DIR__, 4).'/docs/schema/plan.schema.json'),
        );
        self::assertTrue($valid->isValid(), (string) json_encode($valid->error()?->args()));
        self::assertSame($fill, FillReader::read(Input::of($fill))->toArray());
        self::assertNotSame([], $plan->toArray()['fonts']);
    }

    /** Any labels and values in any box: every word lies inside it, and no two of a row of words meet. */
    #[DataProvider('forms')]
    public function testNothingLeavesItsBox(string $form): void
    {
        $random = new Randomizer(new Mt19937(11));
        for ($try = 0; $try < 40; ++$try) {
            $rows = [];
            for ($count = $random->getInt(1, 12); $count > 0; --$count) {
                $value = sprintf('%.2f', $random->getInt(-50_000, 90_000) / 100);
                $rows[] = [str_repeat('Wm', $random->getInt(1, 9)), $value];
            }
            [$width, $height] = [$random->getInt(200, 1500), $random->getInt(200, 900)];
            $drawing = self::drawing(['form' => $form, 'rows' => $rows, 'padding' => 10], $width, $height);
            $ends = [];
            foreach ($drawing['words'] as $word) {
                self::assertGreaterThanOrEqual(10_000, $word['x_mpx']);
                self::assertLessThanOrEqual(1000 * ($width - 10), $word['x_mpx'] + $word['width_mpx']);
                self::assertGreaterThanOrEqual(10_000 - 1000, $word['y_mpx'], "$form in $width × $height");
                self::assertLessThanOrEqual(1000 * ($height - 10) + 1000, $word['y_mpx'] + $word['line_mpx']);
                self::assertLessThan($word['x_mpx'], $ends[$word['y_mpx']] ?? -1, 'beside each other');
                $ends[$word['y_mpx']] = $word['x_mpx'] + $word['width_mpx'];
            }
        }
    }

    public function testBarsAreAsLongAsTheirValues(): void
    {
        $drawing = self::drawing(['rows' => self::ROWS], 800, 600);
        $bars = array_map(self::bar(...), array_column($drawing['figures'], 'path'));
        [$monday, $tuesday, $wednesday, $thursday] = $bars;
        self::assertSame($monday['bottom'], $tuesday['top'], 'both begin at zero');
        self::assertSame($monday['bottom'], $wednesday['bottom']);
        self::assertSame($thursday['top'], $thursday['bottom'], 'nothing is drawn of nothing');
        $long = static fn (array $bar): int => $bar['bottom'] - $bar['top'];
        self::assertEqualsWithDelta(12 / 24.5, $long($monday) / $long($wednesday), 0.0001);
        self::assertEqualsWithDelta(6 / 12, $long($tuesday) / $long($monday), 0.0001);
        self::assertSame(140_000, $monday['width'], 'seven tenths of 200 px');
        self::assertSame(30_000, $monday['left']);
        $accents = array_column($drawing['figures'], 'colour');
        self::assertSame(['#5B88A5', '#5B88A5', '#5B88A5', '#D9B44A'], $accents);
        $said = array_column($drawing['words'], 'text');
        self::assertSame(['12', 'Mon', '−6', 'Tue', '24.5', 'Wed', '0', 'Thu'], $said);
        $size = $drawing['words'][0]['size'];
        self::assertSame($wednesday['top'] - 1250 * $size, $drawing['words'][4]['y_mpx'], 'stands on its bar');
        self::assertSame($tuesday['bottom'], $drawing['words'][2]['y_mpx'], 'hangs below its bar');
    }

    public function testALineGoesFromItsLeastToItsMost(): void
    {
        $drawing = self::drawing(['form' => 'line', 'rows' => self::ROWS], 800, 600);
        preg_match_all('/(\d+) (\d+)/', $drawing['figures'][0]['path'], $found);
        self::assertSame(['100000', '300000', '500000', '700000'], $found[1], 'in the middle of their places');
        $ys = array_map(intval(...), $found[2]);
        self::assertSame([1, 2], [array_search(max($ys), $ys, true), array_search(min($ys), $ys, true)]);
        self::assertEqualsWithDelta((12 + 6) / (24.5 + 6), ($ys[1] - $ys[0]) / ($ys[1] - $ys[2]), 0.0001);
        self::assertGreaterThan(0, $drawing['figures'][0]['line_mpx']);
        $even = self::drawing(['form' => 'line', 'rows' => [['a', '3'], ['b', '3']]], 800, 600);
        preg_match_all('/(\d+) (\d+)/', $even['figures'][0]['path'], $found);
        self::assertSame($found[2][0], $found[2][1]);
    }

    /** The end of the arc stands at the value's part of half a turn, counted from the left. */
    public function testAGaugeTurnsToItsValue(): void
    {
        foreach ([['25', 0.5], ['0', 0.0], ['40', 0.8], ['99', 1.0], ['-5', 0.0]] as [$value, $share]) {
            $drawing = self::drawing(
                ['form' => 'gauge', 'rows' => [['Old', '7'], ['Depth', $value]], 'to' => '50', 'unit' => 'm'],
                800,
                600,
            );
            self::assertCount($share > 0 ? 2 : 1, $drawing['figures']);
            preg_match('/^M(\d+) (\d+) A(\d+) \d+ 0 0 1 (\d+) (\d+)$/', $drawing['figures'][0]['path'], $whole);
            self::assertSame($whole[2], $whole[5], 'half a ring stands level');
            if ($share > 0) {
                preg_match('/1 (\d+) (\d+)$/', $drawing['figures'][1]['path'], $end);
                $middle = ((int) $whole[1] + (int) $whole[4]) / 2;
                $angle = atan2((int) $whole[2] - (int) $end[2], $middle - (int) $end[1]);
                self::assertEqualsWithDelta(\M_PI * $share, abs($angle), 0.0001, $value);
            }
            self::assertSame([str_replace('-', '−', $value).' m', 'Depth'], array_column($drawing['words'], 'text'));
        }
    }

    public function testAFigureSaysItsChange(): void
    {
        foreach (
            [
                ['100', '110', '+10 %', true],
                ['200', '100', '−50 %', false],
                ['-4', '-5', '−25 %', false],
                ['3', '4', '+33.3 %', true],
            ] as [$before, $now, $said, $up]
        ) {
            $drawing = self::drawing(['form' => 'figure', 'rows' => [['a', $before], ['Guests', $now]]], 800, 600);
            self::assertSame(
                ['Guests', str_replace('-', '−', $now), $said],
                array_column($drawing['words'], 'text'),
            );
            preg_match('/^M\d+ (\d+) L\d+ (\d+)/', $drawing['figures'][0]['path'], $at);
            self::assertSame($up, (int) $at[2] < (int) $at[1], 'the tip is where it goes');
            self::assertGreaterThan($drawing['words'][0]['size'], $drawing['words'][1]['size']);
        }
        $zero = self::drawing(['form' => 'figure', 'rows' => [['a', '0'], ['b', '9']]], 800, 600);
        self::assertSame(['b', '9'], array_column($zero['words'], 'text'), 'no share of nothing');
        self::assertSame([], $zero['figures']);
    }

    public function testWhatCannotBeIsRefusedAndWhatCannotBeReadIsFound(): void
    {
        foreach (
            [
                'chart.value' => ['rows' => [['a', '1,5']]],
                'chart.range' => ['from' => '5', 'to' => '5'],
                'input.count' => ['rows' => [['a', '1', '2']]],
            ] as $code => $with
        ) {
            try {
                FillReader::read(Input::of(self::fill($with)));
                self::fail($code);
            } catch (Refusal $refusal) {
                self::assertSame($code, $refusal->refusalCode);
            }
        }
        $many = array_fill(0, 40, ['Rather long labels', '5']);
        foreach (['chart.empty' => [], 'chart.small' => $many] as $code => $rows) {
            $plan = PlanCompiler::compile(
                Build::filled(Build::board(), 'a', self::fill(['rows' => $rows])),
                Surface::ofPanel(Panel::of(Size::of(1920, 1080), 1_209_600, 680_400)),
                Build::context(),
            );
            self::assertContains($code, array_map(
                static fn (Finding $one) => $one->code,
                Preflight::standard()->zones([$plan->zones()[0]]),
            ));
        }
    }

    /** @return array{left: int, width: int, top: int, bottom: int} */
    private static function bar(string $path): array
    {
        preg_match('/^M(\d+) (\d+) h(\d+) V(\d+) h-\3 Z$/', $path, $part);

        return [
            'left' => (int) $part[1],
            'width' => (int) $part[3],
            'top' => (int) $part[2],
            'bottom' => (int) $part[4],
        ];
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return array<string, mixed>
     */
    private static function fill(array $with): array
    {
        return array_replace(FreshFill::parse(Input::of(['kind' => 'chart']))->toArray(), $with);
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return array<string, mixed>
     */
    private static function drawing(array $with, int $width, int $height): array
    {
        $fill = FillReader::read(Input::of(self::fill($with + ['padding' => 0])));

        return (new ItemCompiler(Build::context()))->compile($fill, Size::of($width, $height))->drawing;
    }
}
