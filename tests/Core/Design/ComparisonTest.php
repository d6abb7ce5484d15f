<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Design\Comparison;
use UpperPane\Core\Design\Design;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** What a person is shown to choose from: only what both touched, in both versions. */
final class ComparisonTest extends TestCase
{
    public function testShowsAZoneInBothVersionsWithWhereItLies(): void
    {
        $mine = Build::apply(
            Build::board(),
            Sketch::fill('a', Sketch::colour('#111111')),
            ['do' => 'mullion.move', 'scene' => 's-rest', 'layout' => 'own', 'after' => ['b'], 'at' => 900],
        );
        $theirs = Build::filled(Build::board(), 'a', Sketch::colour('#222222'));
        $lines = array_column(Comparison::of($theirs, $mine->after, $mine->writes), null, 'zone');

        self::assertSame(['a', 'b'], array_keys($lines), 'c lies and shows what it did');
        self::assertSame(
            ['A', '#222222', '#111111', [0, 0, 1320, 880], [0, 0, 900, 880]],
            [
                $lines['a']['letter'],
                $lines['a']['theirs']['fill']['colour'],
                $lines['a']['yours']['fill']['colour'],
                $lines['a']['theirs']['rect'],
                $lines['a']['yours']['rect'],
            ],
        );
    }

    /** One that only one of them has stands beside nothing. */
    public function testShowsWhatIsGoneBesideNothing(): void
    {
        $board = Build::board();
        $merged = Build::apply($board, [
            'do' => 'pane.merge',
            'scene' => 's-rest',
            'layout' => 'own',
            'pane' => 'b',
            'into' => 'a',
        ]);
        $lines = array_column(Comparison::of($board, $merged->after, $merged->writes), null, 'zone');

        self::assertNull($lines['b']['yours']);
        self::assertSame('C', $lines['b']['letter']);
        self::assertSame([1320, 0, 600, 880], $lines['b']['theirs']['rect']);
    }

    public function testShowsScenesAndTheDesignsOwnFields(): void
    {
        $board = Build::board();
        $lines = static function (Design $theirs, array ...$commands) use ($board): array {
            $mine = Build::apply($board, ...$commands);

            return Comparison::of($theirs, $mine->after, $mine->writes);
        };
        $named = ['do' => 'scene.name', 'scene' => 's-rest', 'name' => 'Morning'];

        self::assertSame(
            [['scene', 'Rest', 'Morning']],
            array_map(
                static fn (array $line) => [$line['what'], $line['theirs']['name'], $line['yours']['name']],
                $lines($board, $named),
            ),
        );
        self::assertSame(
            [['what' => 'name', 'theirs' => 'Test', 'yours' => 'Board']],
            $lines($board, ['do' => 'design.name', 'name' => 'Board']),
        );
        self::assertSame([], $lines(Build::apply($board, $named)->after, $named), 'both did the same');

        $added = Build::apply($board, [
            'do' => 'scene.add',
            'scene' => 's2',
            'name' => 'Second',
            'zone' => 'd',
            'before' => null,
            'joins' => true,
        ]);
        $of = array_column(Comparison::of($board, $added->after, $added->writes), null, 'what');
        self::assertSame([null, 'Second'], [$of['scene']['theirs'], $of['scene']['yours']['name']]);
        self::assertSame([['s-rest'], ['s-rest', 's2']], [$of['round']['theirs'], $of['round']['yours']]);
        self::assertSame([null, 'D'], [$of['zone']['theirs'], $of['zone']['letter']]);
    }
}
