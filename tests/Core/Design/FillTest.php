<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\Fill\FillKind;
use UpperPane\Core\Design\Fill\FreshFill;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** What a fill of each kind begins with, and how one becomes another. */
final class FillTest extends TestCase
{
    /** @return iterable<string, array{FillKind}> */
    public static function kinds(): iterable
    {
        foreach (FillKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    /** A fresh fill is a whole one: the design that holds it satisfies the published schema (JSON Schema 2020-12). */
    #[DataProvider('kinds')]
    public function testAFreshFillIsWhole(FillKind $kind): void
    {
        $design = self::begun('a', $kind->value);
        $schema = json_decode((string) file_get_contents(__DIR__.'/../../../docs/schema/design.schema.json'));
        self::assertInstanceOf(\stdClass::class, $schema);
        $result = (new Validator())->validate(json_decode((string) json_encode($design->toArray())), $schema);

        self::assertSame($kind, $design->zone('a')->fill()->kind());
        self::assertTrue($result->isValid(), (string) json_encode($result->error()?->args()));
    }

    /** A playlist begins with what the zone showed, for as long as its content where that has a length. */
    public function testAPictureBehindASceneLeavesNoBars(): void
    {
        $command = ['do' => 'scene.ground', 'scene' => 's-rest', 'media' => 'm-lake'];
        $ground = Build::apply(Build::board(), $command)->after->restScene()->ground->toArray();

        self::assertSame(['picture', 'm-lake', 'cover'], [$ground['kind'], $ground['media'], $ground['fit']]);
    }

    public function testAPlaylistKeepsWhatWasThere(): void
    {
        $entries = static function (Design $design): array {
            $fill = $design->zone('a')->fill()->toArray();

            return array_map(
                static fn (array $entry) => [$entry['id'], $entry['fill']['kind'], $entry['duration_ms']],
                $fill['entries'],
            );
        };
        $colour = self::begun('a', 'playlist', Build::filled(Build::design(), 'a', Sketch::colour('#123456')));

        self::assertSame([['e1', 'colour', 10_000]], $entries($colour));
        self::assertSame([], $entries(self::begun('a', 'playlist')), 'nothing was there');
        self::assertSame([['e1', 'colour', 10_000]], $entries(self::begun('a', 'playlist', $colour)), 'unchanged');
        $video = Build::filled(Build::design(), 'a', Sketch::video('v'));
        self::assertSame([['e1', 'video', null]], $entries(self::begun('a', 'playlist', $video)));

        $grown = Build::apply(
            $colour,
            [
                'do' => 'entry.begin',
                'zone' => 'a',
                'entry' => 'e2',
                'kind' => 'video',
                'media' => 'v',
                'before' => 'e1',
            ],
            ['do' => 'entry.begin', 'zone' => 'a', 'entry' => 'e3', 'kind' => 'text', 'text' => 'Hi'],
        )->after;
        self::assertSame([['e2', 'video', null], ['e1', 'colour', 10_000], ['e3', 'text', 10_000]], $entries($grown));
        self::assertSame('Hi', $grown->zone('a')->fill()->toArray()['entries'][2]['fill']['text']);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> a command, the code and the place */
    public static function refused(): iterable
    {
        $entry = ['do' => 'entry.begin', 'zone' => 'a', 'entry' => 'e1'];
        $fill = ['do' => 'fill.begin', 'zone' => 'a', 'entry' => 'e1'];
        yield 'a picture of nothing' => [$fill + ['kind' => 'picture'], 'input.missing', '/commands/0/media'];
        yield 'a kind nobody knows' => [$fill + ['kind' => 'smoke'], 'input.choice', '/commands/0/kind'];
        yield 'a playlist in a playlist' => [$entry + ['kind' => 'playlist'], 'input.choice', '/commands/0/kind'];
        yield 'an id like a number' => [['entry' => '1e'] + $fill, 'input.new_id', '/commands/0/entry'];
    }

    /** @param array<string, mixed> $command */
    #[DataProvider('refused')]
    public function testSaysWhatIsWrongAndWhere(array $command, string $code, string $path): void
    {
        try {
            Build::apply(self::begun('a', 'playlist'), $command + ['kind' => 'text']);
            self::fail('nothing was refused');
        } catch (Refusal $refusal) {
            self::assertSame([$code, $path], [$refusal->refusalCode, $refusal->path]);
        }
    }

    /** A page of the Stock is put like a picture: what is written of the command begins the same again. */
    public function testAPageOfTheStockIsBegunWithItsAddress(): void
    {
        $page = Input::of(['kind' => 'web', 'media' => 'tides']);
        $fresh = FreshFill::parse($page);

        self::assertSame('stock:tides', $fresh->toArray()['address']);
        self::assertEquals($fresh, FreshFill::parse(Input::of(['kind' => 'web'] + FreshFill::given($fresh))));
        self::assertSame('', FreshFill::parse(Input::of(['kind' => 'web']))->toArray()['address']);
    }

    /** What is left out of an entry is the usual: a fade's time, and the duration of its content. */
    public function testAnEntryKnowsWhatIsUsual(): void
    {
        $playlist = self::begun('a', 'playlist', Build::filled(Build::design(), 'a', Sketch::colour('#123456')));
        $set = Build::apply($playlist, [
            'do' => 'entry.set',
            'zone' => 'a',
            'entry' => [
                'id' => 'e1',
                'fill' => Sketch::colour('#000000'),
                'enabled' => true,
                'transition' => ['kind' => 'fade'],
            ],
        ])
            ->after->zone('a')
            ->fill()
            ->toArray()['entries'][0];

        self::assertSame([10_000, ['kind' => 'fade', 'ms' => 600]], [$set['duration_ms'], $set['transition']]);
        $long = FreshFill::entry('e', FreshFill::parse(Input::of(['kind' => 'video', 'media' => 'v'])));
        self::assertNull($long->durationMs);
    }

    private static function begun(string $zone, string $kind, ?Design $design = null): Design
    {
        return Build::apply(
            $design ?? Build::design(),
            ['do' => 'fill.begin', 'zone' => $zone, 'kind' => $kind, 'entry' => 'e1'] +
                (in_array($kind, ['picture', 'video'], true) ? ['media' => 'm1'] : []),
        )->after;
    }
}
