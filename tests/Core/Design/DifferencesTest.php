<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Design\Differences;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** What people are told of two states of a design: each change is one line, and nothing else is. */
final class DifferencesTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, list<string>}> a command, and what is then said */
    public static function changes(): iterable
    {
        $here = ['scene' => 's-rest', 'layout' => 'own'];
        yield 'another name' => [['do' => 'design.name', 'name' => 'Night'], ['design name']];
        yield 'other surfaces' => [['do' => 'design.surfaces', 'surfaces' => ['totem']], ['design surfaces']];
        yield 'archived' => [['do' => 'design.archive', 'archived' => true], ['design archived']];
        yield 'a fill' => [Sketch::fill('a', Sketch::colour('#010203')), ['zone fill A']];
        yield 'the same fill' => [Sketch::fill('a', ['kind' => 'empty']), []];
        yield 'a zone’s name' => [['do' => 'zone.name', 'zone' => 'b', 'name' => 'Times'], ['zone name C']];
        yield 'in step' => [
            ['do' => 'zone.follow', 'zone' => 'b', 'follows' => ['zone' => 'a']],
            ['zone follows C'],
        ];
        yield 'running on' => [['do' => 'zone.runs_on', 'zone' => 'b', 'on' => true], ['zone runs_on C']];
        yield 'a wider part' => [Sketch::size('a', '1400px'), ['zone place A Rest', 'zone place C Rest']];
        yield 'a split' => [
            Sketch::split('a', 'rows', 300, 'z9'),
            ['zone new D', 'zone place A Rest'],
        ];
        yield 'a merge' => [
            ['do' => 'pane.merge', 'pane' => 'b', 'into' => 'a'] + $here,
            ['zone gone C', 'zone place A Rest'],
        ];
        yield 'a scene' => [
            ['do' => 'scene.add', 'scene' => 's2', 'name' => 'Two', 'zone' => 'z9', 'before' => null, 'joins' => false],
            ['design order', 'scene new Two', 'zone new D'],
        ];
        yield 'a scene’s fields' => [
            ['do' => 'scene.length', 'scene' => 's-rest', 'length' => ['kind' => 'ms', 'ms' => 9000]],
            ['scene length Rest'],
        ];
        yield 'the other layout' => [
            ['do' => 'layout.make', 'scene' => 's-rest', 'way' => 'same'],
            ['scene layout Rest'],
        ];
    }

    /**
     * @param array<string, mixed> $command
     * @param list<string>         $lines
     */
    #[DataProvider('changes')]
    public function testSaysWhatOneCommandDidAndTheOtherWayRound(array $command, array $lines): void
    {
        $then = Build::board();
        $now = Build::apply($then, $command)->after;
        $said = static fn (array $differences): array => array_map(
            static fn (array $line) => implode(
                ' ',
                array_filter([$line['what'], $line['change'], $line['letter'] ?? '', $line['name'] ?? '']),
            ),
            $differences,
        );

        self::assertEqualsCanonicalizing($lines, $said(Differences::between($then, $now)));
        $back = array_map(
            static fn (string $line) => strtr($line, [' new ' => ' gone ', ' gone ' => ' new ']),
            $lines,
        );
        self::assertEqualsCanonicalizing($back, $said(Differences::between($now, $then)));
        self::assertSame([], Differences::between($now, $now));
    }

    public function testSaysWhereAZoneLay(): void
    {
        $then = Build::board();
        $place = Differences::between($then, Build::apply($then, Sketch::size('a', '1400px'))->after)[0];

        self::assertSame([[0, 0, 1320, 880], [0, 0, 1400, 880]], [$place['was'], $place['is']]);
    }
}
