<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Base;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Batch;
use UpperPane\Core\Design\DesignCommands;
use UpperPane\Core\Design\DesignKind;
use UpperPane\Core\Design\Fill\Colour;
use UpperPane\Core\Design\Fill\FillReader;
use UpperPane\Core\Design\Fill\Transition;
use UpperPane\Core\Design\Starters\OwnStarters;
use UpperPane\Core\Design\Starters\PutStarter;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Handoff\Proof;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Layout\Length;
use UpperPane\Core\Layout\PartSize;
use UpperPane\Core\Output\OutputMap;
use UpperPane\Core\Site\NamedArea;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Core\Surface\PanelGrid;
use UpperPane\Core\Time\ClockPattern;
use UpperPane\Demo\Sketch;

/**
 * Every bound is where the docs say: its own value goes through, the next one is refused with a code. (Bounds are
 * ours.)
 */
final class LimitsTest extends TestCase
{
    /** @return iterable<string, array{\Closure(mixed): mixed, mixed, mixed, string}> reader, in, out, code */
    public static function bounds(): iterable
    {
        $text = static fn (int $length) => str_repeat('é', $length);
        $all = DesignCommands::all();
        $command = static fn (string $do, string $key, array $rest) => static fn (mixed $value) => $all->read(
            Input::of(['do' => $do, $key => $value] + $rest),
        );
        $at = ['scene' => 's', 'layout' => 'own'];
        $least = 'input.length';
        foreach (
            [
                'scene.name' => ['name', ['scene' => 's'], 80],
                'design.name' => ['name', [], 120],
                'zone.name' => ['name', ['zone' => 'a'], 80],
                'scene.add' => ['name', ['scene' => 's', 'zone' => 'z', 'before' => null, 'joins' => true], 80],
                'scene.duplicate' => ['name', ['scene' => 's', 'as' => 't', 'copies' => [], 'joins' => true], 80],
            ] as $do => [$key, $rest, $most]
        ) {
            yield "$do: longest" => [$command($do, $key, $rest), $text($most), $text($most + 1), $least];
            if ($do !== 'zone.name') {
                yield "$do: empty" => [$command($do, $key, $rest), 'x', '', $least];
            }
        }
        $px = Size::LARGEST_PX;
        yield 'float.turn' => [$command('float.turn', 'turn', $at + ['zone' => 'f']), 35_999, 36_000, 'input.range'];
        yield 'float.turn back' => [
            $command('float.turn', 'turn', $at + ['zone' => 'f']),
            -35_999,
            -36_000,
            'input.range',
        ];
        yield 'split.gutter' => [
            $command('split.gutter', 'gutter', $at + ['split' => 'g']),
            $px,
            $px + 1,
            'input.range',
        ];
        yield 'split.gutter least' => [
            $command('split.gutter', 'gutter', $at + ['split' => 'g']),
            0,
            -1,
            'input.range',
        ];
        yield 'mullion.move' => [$command('mullion.move', 'at', $at + ['after' => ['b']]), $px, $px + 1, 'input.range'];
        $rounds = static fn (int $count) => array_map(static fn (int $i) => "s$i", range(1, $count));
        yield 'round.set' => [$command('round.set', 'round', []), $rounds(200), $rounds(201), 'input.count'];
        yield 'round.set: none' => [$command('round.set', 'round', []), ['s'], [], 'input.count'];

        $text = static fn (string $key, array $rest = []) => static fn (mixed $value) => FillReader::read(
            Input::of([$key => $value] + $rest + Sketch::text('x', 72, ['min_size' => 1])),
        );
        foreach (
            [
                'size' => [1, 4000],
                'weight' => [100, 900],
                'line_height' => [0, 5000],
                'padding' => [0, 10_000],
                'min_size' => [1, 72],
            ] as $key => [$low, $high]
        ) {
            yield "text $key" => [$text($key), $high, $high + 1, 'input.range'];
            yield "text $key least" => [$text($key), $low, $low - 1, 'input.range'];
        }
        $long = static fn (int $count) => str_repeat('é', $count);
        yield 'text' => [$text('text'), $long(5000), $long(5001), 'input.length'];
        yield 'text font' => [$text('font'), $long(80), $long(81), 'input.length'];
        yield 'text font: none' => [$text('font'), 'x', '', 'input.length'];
        $picture = static fn (string $key) => static fn (mixed $value) => FillReader::read(
            Input::of([$key => $value] + Sketch::picture('p')),
        );
        yield 'focus' => [$picture('focus'), [0, 100_000], [0, 100_001], 'input.range'];
        yield 'focus least' => [$picture('focus'), [0, 0], [-1, 0], 'input.range'];
        $page = static fn (string $key) => static fn (mixed $value) => FillReader::read(Input::of([$key => $value] + [
            'kind' => 'web',
            'address' => '',
            'width' => 1280,
            'scroll' => 0,
            'refresh_s' => null,
            'still' => null,
            'ground' => '#FFFFFF',
        ]));
        foreach (['width' => [200, 7680], 'scroll' => [0, 50_000], 'refresh_s' => [10, 86_400]] as $key => $ends) {
            yield "page $key" => [$page($key), $ends[1], $ends[1] + 1, 'input.range'];
            yield "page $key least" => [$page($key), $ends[0], $ends[0] - 1, 'input.range'];
        }
        $clip = static fn (mixed $radius) => FillReader::read(
            Input::of(['clip' => ['shape' => 'rectangle', 'radius' => $radius]] + Sketch::picture('p')),
        );
        yield 'clip radius' => [$clip, 10_000, 10_001, 'input.range'];
        yield 'clip radius least' => [$clip, 0, -1, 'input.range'];
        $starters = static fn (mixed $count) => array_reduce(
            range(1, is_int($count) ? $count : 0),
            static fn (OwnStarters $all, int $i) => PutStarter::parse(Input::of([
                'do' => 'starter.put',
                'id' => "k$i",
                'starter' => ['name' => 'Kept', 'tree' => ['pane' => '1']],
            ]))->apply($all)->after,
            OwnStarters::none(),
        );
        yield 'starters' => [$starters, 200, 201, 'starter.too_many'];
        $area = static fn (mixed $rect) => NamedArea::parse(Input::of(['name' => 'n', 'unit' => '%', 'rect' => $rect]));
        yield 'area in %' => [$area, [0, 0, 100, 100], [0, 0, 100, 100.001], 'input.range'];
        $faces = static fn (int $count) => array_fill(0, $count, [0, 0, 1, 1]);
        yield 'faces' => [$picture('faces'), $faces(50), $faces(51), 'input.count'];
        yield 'a face’s width' => [
            $picture('faces'),
            [[400_000, 0, 600_000, 1_000_000]],
            [[400_000, 0, 600_001, 1_000_000]],
            'input.range',
        ];
        yield 'a face’s height' => [$picture('faces'), [[0, 999_999, 1, 1]], [[0, 1_000_000, 1, 1]], 'input.range'];
        $entries = static fn (int $count) => Sketch::playlist(
            array_map(static fn () => [Sketch::colour('#000000'), 1], range(1, $count)),
        )['entries'];
        $playlist = static fn (mixed $value) => FillReader::read(
            Input::of(['kind' => 'playlist', 'entries' => $value]),
        );
        yield 'entries' => [$playlist, $entries(500), $entries(501), 'input.count'];
        $lasting = static fn (int $ms) => [['duration_ms' => $ms] + $entries(1)[0]];
        yield 'an entry’s duration' => [$playlist, $lasting(604_800_000), $lasting(604_800_001), 'input.range'];
        yield 'an entry’s duration, least' => [$playlist, $lasting(1), $lasting(0), 'input.range'];
        $fade = static fn (mixed $ms) => Transition::parse(Input::of(['kind' => 'fade', 'ms' => $ms]));
        yield 'a fade' => [$fade, 10_000, 10_001, 'input.range'];
        $clock = static fn (mixed $value) => ClockPattern::parse(Input::of($value));
        yield 'a clock’s pattern' => [$clock, str_repeat('HH:', 20), str_repeat('HH:', 20).' ', 'input.length'];

        $size = static fn (mixed $value) => Size::parse(Input::of($value));
        yield 'a size' => [$size, [$px, $px], [$px, $px + 1], 'input.range'];
        yield 'a size, least' => [$size, [1, 1], [0, 1], 'input.range'];
        $rect = static fn (mixed $value) => Rect::parse(Input::of($value));
        yield 'a rectangle' => [$rect, [0, 0, 1, 1], [0, 0, 1, 0], 'input.range'];
        yield 'a rectangle’s place' => [$rect, [$px, $px, $px, $px], [0, $px + 1, 1, 1], 'input.range'];
        yield 'a rectangle left of it all' => [$rect, [0, 0, 1, 1], [-1, 0, 1, 1], 'input.range'];
        $length = static fn (mixed $value) => Length::parse(Input::of($value));
        yield 'a length' => [$length, '-100000px', '100000.001px', 'length.text'];
        yield 'a length’s decimals' => [$length, '0.125%', '0.1255%', 'length.text'];
        $part = static fn (mixed $value) => PartSize::parse(Input::of($value));
        yield 'a part' => [$part, '1000000fr', '1000001fr', 'glaze.size'];
        yield 'a part, least' => [$part, '0.001%', '0.000%', 'glaze.size'];
        yield 'a part in whole px' => [$part, '2px', '2.5px', 'glaze.size'];
        $deep = static function (int $levels): array {
            $tree = ['pane' => 'p0'];
            for ($i = 1; $i <= $levels; ++$i) {
                $tree = ['split' => 'rows', 'parts' => [['size' => '1fr'] + $tree, ['size' => '1fr', 'pane' => "p$i"]]];
            }

            return $tree;
        };
        $tree = static fn (mixed $value) => GlazingReader::read(Input::of($value));
        yield 'a tree’s depth' => [$tree, $deep(64), $deep(65), 'glaze.too_deep'];

        $grid = static fn (mixed $value) => PanelGrid::parse(
            Input::of($value + ['panel' => ['native' => [2, 2], 'active_mm' => [1, 1]]]),
            true,
        );
        yield 'a grid' => [$grid, ['columns' => 20, 'rows' => 20], ['columns' => 20, 'rows' => 21], 'input.range'];
        yield 'a grid’s columns' => [
            $grid,
            ['columns' => 400, 'rows' => 1],
            ['columns' => 401, 'rows' => 1],
            'input.range',
        ];
        $sheet = static fn (string $key) => static fn (mixed $value) => SurfaceSheet::fresh(
            [$key => $value] + [
                'name' => 'R',
                'kind' => 'LED',
                'shape' => ['panels' => [['native' => [96, 96], 'active_mm' => [9, 9]]]],
            ],
        );
        foreach (['left_mm', 'floor_mm'] as $key) {
            yield "a sheet’s $key" => [$sheet($key), 1_000_000, 1_000_001, 'input.range'];
            yield "a sheet’s $key, least" => [$sheet($key), -1_000_000, -1_000_001, 'input.range'];
        }
        yield 'the nearest viewer' => [$sheet('viewing_mm'), [1, 1], [0, 1], 'input.range'];
        yield 'the order of viewers' => [$sheet('viewing_mm'), [2, 2], [3, 2], 'surface.viewing_order'];
        yield 'the farthest viewer' => [$sheet('viewing_mm'), [1, 1_000_000], [1, 1_000_001], 'input.range'];
        yield 'the safe area across' => [$sheet('safe_px'), [47, 0, 48, 0], [48, 0, 48, 0], 'surface.safe_too_wide'];
        yield 'the safe area down' => [$sheet('safe_px'), [0, 47, 0, 48], [0, 48, 0, 48], 'surface.safe_too_wide'];
        yield 'a sheet’s name' => [$sheet('name'), $long(120), $long(121), 'input.length'];
        yield 'a sheet’s name of spaces' => [$sheet('name'), ' x ', '   ', 'input.missing'];
        $groups = static fn (int $count, int $length = 1) => array_map(
            static fn (int $i) => str_pad("g$i", $length, 'x'),
            range(1, $count),
        );
        yield 'groups' => [$sheet('groups'), $groups(50), $groups(51), 'input.count'];
        yield 'a group’s name' => [$sheet('groups'), $groups(1, 60), $groups(1, 61), 'input.length'];
        $areas = static fn (int $count, int $length = 1) => array_map(
            static fn (int $i) => [
                'name' => str_pad("a$i", $length, 'x'),
                'unit' => 'px',
                'rect' => [0, 0, 1, 1],
            ],
            range(1, $count),
        );
        yield 'areas' => [$sheet('areas'), $areas(50), $areas(51), 'input.count'];
        yield 'an area’s name' => [$sheet('areas'), $areas(1, 60), $areas(1, 61), 'input.length'];
        yield 'an area’s name twice' => [$sheet('areas'), $areas(1), [...$areas(1), ...$areas(1)], 'area.name_twice'];
        yield 'a player’s outputs' => [$sheet('players'), ['p' => 64], ['p' => 65], 'input.range'];
        $output = ['px' => [9, 9], 'millihertz' => 60_000, 'slices' => []];
        $outputs = static fn (mixed $count) => OutputMap::parse(
            Input::of(array_map(static fn (int $i) => ['player' => "p$i", 'number' => 1] + $output, range(1, $count))),
        );
        yield 'outputs' => [$outputs, 400, 401, 'input.count'];
        $one = static fn (string $key) => static fn (mixed $value) => OutputMap::parse(
            Input::of([[$key => $value, 'player' => 'p'] + $output + ['number' => 1]]),
        );
        yield 'an output’s number' => [$one('number'), 64, 65, 'input.range'];
        yield 'an output’s number, least' => [$one('number'), 1, 0, 'input.range'];
        yield 'a refresh rate' => [$one('millihertz'), 1_000_000, 1_000_001, 'input.range'];
        yield 'a refresh rate, least' => [$one('millihertz'), 1000, 999, 'input.range'];
        $pairs = static fn (mixed $count) => DesignCommands::all()->read(
            Input::of(
                ['do' => 'float.size', 'zone' => 'f', 'size' => ['1px', '1px']] + $at +
                    ['offset' => array_fill(0, $count, '0px')],
            ),
        );
        yield 'an offset of two' => [$pairs, 2, 3, 'input.count'];
        yield 'an offset of one' => [$pairs, 2, 1, 'input.count'];
        $batch = static fn (mixed $count) => Batch::parse(
            Input::of(array_fill(0, $count, ['do' => 'design.name', 'name' => 'Hall'])),
            new DesignKind(),
        );
        yield 'a batch' => [$batch, 200, 201, 'input.count'];
        yield 'a batch of nothing' => [$batch, 1, 0, 'input.count'];
        $span = static fn (mixed $count) => DesignCommands::all()->read(
            Input::of(
                ['do' => 'pane.span', 'pane' => 'a', 'over' => array_fill(0, $count, [0, 0, 1, 1])] +
                    $at + ['new' => 'n'],
            ),
        );
        yield 'a span' => [$span, 400, 401, 'input.count'];
        yield 'a span of nothing' => [$span, 1, 0, 'input.count'];
        $proof = static fn (mixed $count) => Proof::parse(
            Input::of([
                'release' => 1,
                'at_ms' => 0,
                'offset_ms' => 0,
                'stepped' => false,
                'zones' => array_fill_keys(array_map(static fn (int $i) => "z$i", range(1, $count)), null),
            ]),
        );
        yield 'zones of a proof' => [$proof, 500, 501, 'input.count'];
        $colour = static fn (mixed $value) => Colour::parse(Input::of($value));
        yield 'a colour' => [$colour, '#A1b2C3', '#A1b2C', 'input.colour'];
    }

    /** @param \Closure(mixed): mixed $read */
    #[DataProvider('bounds')]
    public function testTakesTheBoundAndNothingBeyond(\Closure $read, mixed $in, mixed $out, string $code): void
    {
        $read($in);
        try {
            $read($out);
            self::fail('what lies beyond went through');
        } catch (Refusal $refusal) {
            self::assertSame($code, $refusal->refusalCode);
        }
    }
}
