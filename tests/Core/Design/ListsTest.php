<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignKind;
use UpperPane\Core\Design\DesignReader;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Design\Lists;
use UpperPane\Core\Geometry\Size;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** Playlists of the Stock: one list that fills its canvas, whose entries zones of other designs have. */
final class ListsTest extends TestCase
{
    public function testAZoneHasTheEntriesThatThePlaylistHasNow(): void
    {
        $design = self::showing('list-1');
        self::assertSame(['list-1'], Lists::usedBy($design));
        $fill = static fn (Design ...$lists): array => Lists::into($design, $lists)->zone('a')->fill()->toArray();
        self::assertSame([], $fill()['entries'], 'of one that is not there nothing is known');
        $list = self::list();
        $was = $list->toArray();
        self::assertSame($list->list()?->toArray()['entries'], $fill(...['list-1' => $list])['entries']);
        $fewer = Build::apply($list, ['do' => 'entry.remove', 'zone' => 'z', 'entry' => 'e1'])->after;
        self::assertSame(['e2'], array_column($fill(...['list-1' => $fewer])['entries'], 'id'));
        self::assertSame($was, $list->toArray());
    }

    /** What a page sends back with the entries it was shown is kept without them. */
    public function testKeepsNoEntriesOfIts(): void
    {
        $filled = Lists::into(self::showing('list-1'), ['list-1' => self::list()]);
        $fill = $filled->zone('a')->fill()->toArray();
        $again = Build::apply(self::showing('list-1'), ['do' => 'fill.set', 'zone' => 'a', 'fill' => $fill])->after;
        self::assertSame([], $again->zone('a')->fill()->toArray()['entries']);
        $this->expectExceptionObject(Refusal::because('playlist.elsewhere', '/commands/0/zone', ['letter' => 'A']));
        Build::apply($again, ['do' => 'entry.remove', 'zone' => 'a', 'entry' => 'e1']);
    }

    /** @param array<string, mixed> $command */
    #[DataProvider('layouts')]
    public function testHasNoLayout(array $command): void
    {
        $this->expectExceptionMessage('A playlist has no layout');
        Build::apply(self::list(), $command);
    }

    /** @return iterable<array{array<string, mixed>}> */
    public static function layouts(): iterable
    {
        yield 'a pane that is split' => [Sketch::split('z', 'columns', 500, 'z2')];
        yield 'another fill' => [Sketch::fill('z', Sketch::colour('#112233'))];
        yield 'the entries of another playlist' => [
            Sketch::fill('z', ['kind' => 'playlist', 'entries' => [], 'of' => 'list-2']),
        ];
        yield 'another scene' => [
            ['do' => 'scene.add', 'scene' => 's2', 'name' => 'Second', 'zone' => 'z2', 'before' => null] +
                ['joins' => false],
        ];
    }

    public function testIsReadAndStoredAsOne(): void
    {
        $list = self::list();
        $kind = new DesignKind();
        self::assertTrue($kind->stored(array_filter($kind->parts($list)))->isList);
        self::assertEquals($list->toArray(), DesignReader::read(Input::of($list->toArray()))->toArray());
        $split = Build::apply(
            Design::fresh('Two', Size::of(1000, 1000), 1, 1, 's-rest', 'z', 'Rest'),
            Sketch::split('z', 'columns', 500, 'z2'),
        )->after;
        $this->expectExceptionMessage('A playlist has no layout');
        DesignReader::read(Input::of(['list' => true] + $split->toArray()));
    }

    private static function list(): Design
    {
        $entries = Sketch::playlist([[Sketch::colour('#112233'), 4000], [Sketch::colour('#223344'), 2000]]);

        return Design::fresh('Offers', Size::of(1080, 1920), 680_000, 1_209_600, 's-rest', 'z', 'Rest')
            ->asList(PlaylistFill::parse(Input::of($entries)));
    }

    private static function showing(string $list): Design
    {
        return Build::filled(Build::board(), 'a', ['kind' => 'playlist', 'entries' => [], 'of' => $list]);
    }
}
