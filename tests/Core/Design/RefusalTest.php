<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Design;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignCommands;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/**
 * What every command on a design says that it refuses, it refuses, at the place that is wrong; and nothing is done
 * then.
 */
final class RefusalTest extends TestCase
{
    /** The least a command takes on {@see Design()}; each case changes what is wrong. */
    private const PLAIN = [
        'scene.duplicate' => ['scene' => 's-rest', 'as' => 's3', 'name' => 'Third', 'copies' => [], 'joins' => false],
        'scene.add' => ['scene' => 's3', 'name' => 'Third', 'zone' => 'z3', 'before' => null, 'joins' => true],
        'scene.move' => ['scene' => 's-rest', 'before' => null],
        'scene.name' => ['scene' => 's-rest', 'name' => 'Hall'],
        'scene.length' => ['scene' => 's-rest', 'length' => ['kind' => 'ms', 'ms' => 5000]],
        'scene.transition' => ['scene' => 's-rest', 'transition' => ['kind' => 'cut']],
        'scene.ground' => ['scene' => 's-rest', 'ground' => ['kind' => 'colour', 'colour' => '#000000']],
        'scene.remove' => ['scene' => 's2'],
        'round.set' => ['round' => ['s-rest']],
        'zone.name' => ['zone' => 'a', 'name' => 'Left'],
        'zone.runs_on' => ['zone' => 'a', 'on' => true],
        'zone.follow' => ['zone' => 'a', 'follows' => ['zone' => 'b', 'unequal' => 'wrap']],
        'zone.exchange' => ['scene' => 's2', 'from' => 'd', 'to' => 'a', 'zones' => []],
        'zone.copy' => ['scene' => 's2', 'zone' => 'd', 'as' => 'z9'],
        'fill.set' => ['zone' => 'a', 'fill' => ['kind' => 'empty']],
        'fill.begin' => ['zone' => 'a', 'kind' => 'text', 'entry' => 'e1'],
        'pane.split' => ['pane' => 'a', 'split' => 'rows', 'at' => 300, 'new_zone' => 'z3', 'new_split' => 'g3'],
        'pane.merge' => ['pane' => 'a', 'into' => 'b'],
        'pane.span' => ['pane' => 'a', 'over' => [[0, 0, 900, 880]], 'new' => 'n1'],
        'mullion.move' => ['after' => ['b'], 'at' => 900],
        'part.size' => ['part' => 'a', 'size' => '900px'],
        'sizes.set' => ['sizes' => ['a' => '900px']],
        'split.turn' => ['split' => 'g-b'],
        'split.gutter' => ['split' => 'g-b', 'gutter' => 4],
        'layout.make' => ['scene' => 's-rest', 'way' => 'same'],
        'layout.put' => ['scene' => 's-rest', 'content' => null, 'zones' => []],
        'float.place' => ['before' => null, 'zones' => []],
        'float.set' => [],
        'float.move' => ['zone' => 'f', 'offset' => ['0px', '0px']],
        'float.size' => ['zone' => 'f', 'size' => ['90px', '90px']],
        'float.turn' => ['zone' => 'f', 'turn' => 100],
        'float.anchor' => ['zone' => 'f', 'frame' => 'canvas', 'anchor' => 'top'],
        'float.order' => ['zone' => 'f', 'before' => null],
        'float.remove' => ['zone' => 'f'],
        'float.lay' => ['rects' => ['f' => [10, 20, 300, 200]]],
        'part.lock' => ['locked' => true],
        'guide.put' => ['guide' => 'i0', 'layout' => 'own', 'axis' => 'x', 'at' => 9],
        'float.traits' => ['zones' => ['f'], 'set' => ['locked' => true]],
        'float.align' => ['zones' => ['f'], 'edge' => 'left', 'within' => [0, 0, 1920, 1080]],
        'float.spread' => ['zones' => ['f', 'g', 'h'], 'axis' => 'x'],
        'float.match' => ['zones' => ['f', 'g'], 'like' => 'f', 'side' => 'both'],
        'entry.add' => ['zone' => 'c', 'before' => null],
        'entry.begin' => ['zone' => 'c', 'kind' => 'text', 'entry' => 'e9'],
        'entry.move' => ['zone' => 'c', 'entry' => 'e1', 'before' => null],
        'entry.remove' => ['zone' => 'c', 'entry' => 'e1'],
        'entry.set' => ['zone' => 'c'],
    ];

    /**
     * @return iterable<string, array{0: string, 1: array<string, mixed>, 2: string, 3: string, 4?: Design}> command,
     *     fault, code, place, and a design that it is tried on
     */
    public static function refused(): iterable
    {
        $float = static fn (string $zone, string $frame = 'canvas') => [
            'zone' => $zone,
            'frame' => $frame,
            'anchor' => 'top-left',
            'offset' => ['0px', '0px'],
            'size' => ['100px', '100px'],
        ];
        $entry = ['fill' => Sketch::colour('#445566'), 'enabled' => true, 'transition' => ['kind' => 'cut']];
        foreach (['move', 'name', 'length', 'transition', 'ground', 'remove', 'duplicate'] as $name) {
            yield "scene.$name: the scene is gone" => [
                "scene.$name",
                ['scene' => 'gone'],
                'document.scene_gone',
                '/scene',
            ];
        }
        foreach (['layout.make', 'layout.put'] as $name) {
            yield "$name: the scene is gone" => [$name, ['scene' => 'gone'], 'document.scene_gone', '/scene'];
        }
        foreach (['zone.name', 'zone.runs_on', 'zone.follow', 'fill.set', 'fill.begin'] as $name) {
            yield "$name: the zone is gone" => [$name, ['zone' => 'gone'], 'document.zone_gone', '/zone'];
        }
        foreach (['move', 'size', 'turn', 'anchor', 'order', 'remove'] as $name) {
            yield "float.$name: the float is gone" => ["float.$name", ['zone' => 'a'], 'float.gone', '/zone'];
        }
        foreach (['align', 'spread', 'match'] as $name) {
            $gone = ['zones' => ['f', 'a', 'b']];
            yield "float.$name: a float is gone" => ["float.$name", $gone, 'float.gone', '/zones'];
        }
        foreach (['move', 'size', 'turn', 'anchor', 'remove'] as $name) {
            yield "float.$name: the float is locked" => ["float.$name", ['zone' => 'k'], 'float.locked', '/zone'];
        }
        foreach (['align', 'spread', 'match'] as $name) {
            $held = ['zones' => ['k', 'f', 'a']];
            yield "float.$name: a float is locked" => ["float.$name", $held, 'float.locked', '/zones'];
        }
        $moved = ['rects' => ['k' => [0, 0, 9, 9]]];
        yield 'float.lay: a float is locked' => ['float.lay', $moved, 'float.locked', '/zones'];
        yield 'float.traits: a float is gone' => ['float.traits', ['zones' => ['f', 'a']], 'float.gone', '/zones'];
        $through = ['set' => ['opacity' => 9]];
        yield 'float.traits: seen through whole' => ['float.traits', $through, 'input.range', '/set/opacity'];
        yield 'design.lattice: finer than the px' => [
            'design.lattice',
            ['lattice' => [200, 200]],
            'lattice.too_fine',
            '',
            Build::design(100, 100),
        ];
        yield 'guide.put: beyond' => ['guide.put', ['at' => 1921], 'guide.outside', '/at'];
        yield 'guide.put: one too many' => ['guide.put', ['guide' => 'more'], 'guide.too_many', '/guide'];
        yield 'guide.remove: it is gone' => ['guide.remove', ['guide' => 'gone'], 'guide.gone', '/guide'];
        yield 'zones.letter: one twice' => [
            'zones.letter',
            ['letters' => ['a' => 'A', 'b' => 'A']],
            'document.letter_taken',
            '/letters/b',
        ];
        yield 'part.lock: it is gone' => ['part.lock', ['part' => 'gone'], 'document.part_gone', '/part'];
        $locked = Build::apply(Build::board(), ['do' => 'part.lock', 'part' => 'b', 'locked' => true] + [
            'scene' => 's-rest',
            'layout' => 'own',
        ])->after;
        $size = ['part' => 'b', 'size' => '9px'];
        yield 'part.size: it is locked' => ['part.size', $size, 'part.locked', '/part', $locked];
        yield 'mullion.move: beside a locked part' => [
            'mullion.move',
            ['after' => ['b'], 'at' => 900],
            'part.locked',
            '/after',
            $locked,
        ];
        yield 'split.turn: a pane' => ['split.turn', ['split' => 'a'], 'document.part_gone', '/split'];
        yield 'design.restore: another canvas' => [
            'design.restore',
            ['design' => Build::design(640, 480)->toArray()],
            'design.canvas',
            '/design/canvas',
        ];
        yield 'float.match: like one that is gone' => [
            'float.match',
            ['zones' => ['f'], 'like' => 'a'],
            'float.gone',
            '/like',
        ];
        yield 'float.lay: a float is gone' => ['float.lay', ['rects' => ['a' => [0, 0, 9, 9]]], 'float.gone', '/zones'];
        foreach (['add' => ['entry' => ['id' => 'e9'] + $entry], 'begin' => []] as $name => $new) {
            yield "entry.$name: twice" => [
                "entry.$name",
                $new === [] ? ['entry' => 'e1'] : ['entry' => ['id' => 'e1'] + $entry],
                'playlist.entry_twice',
                '/entry/id',
            ];
            yield "entry.$name: before one that is gone" => [
                "entry.$name",
                $new + ['before' => 'gone'],
                'playlist.entry_gone',
                '/before',
            ];
            yield "entry.$name: no playlist" => ["entry.$name", $new + ['zone' => 'a'], 'playlist.gone', '/zone'];
            yield "entry.$name: full" => [
                "entry.$name",
                ['zone' => 'full', 'entry' => $new === [] ? 'e900' : ['id' => 'e900'] + $entry],
                'playlist.full',
                '/entry',
            ];
        }
        foreach (['move' => 'e1', 'remove' => 'e1', 'set' => ['id' => 'e1'] + $entry] as $name => $known) {
            $gone = is_array($known) ? ['id' => 'gone'] + $entry : 'gone';
            yield "entry.$name: no playlist" => [
                "entry.$name",
                ['zone' => 'a', 'entry' => $known],
                'playlist.gone',
                '/zone',
            ];
            yield "entry.$name: it is gone" => [
                "entry.$name",
                ['entry' => $gone],
                'playlist.entry_gone',
                is_array($known) ? '/entry/id' : '/entry',
            ];
        }
        yield 'scene.add: an id that is taken' => ['scene.add', ['scene' => 's2'], 'document.id_taken', '/scene'];
        yield 'scene.add: a zone’s id that is taken' => ['scene.add', ['zone' => 'a'], 'document.id_taken', '/zone'];
        yield 'scene.add: before one that is gone' => [
            'scene.add',
            ['before' => 'gone'],
            'document.scene_gone',
            '/before',
        ];
        yield 'scene.duplicate: an id that is taken' => ['scene.duplicate', ['as' => 's2'], 'document.id_taken', '/as'];
        yield 'scene.duplicate: a copy of nothing' => [
            'scene.duplicate',
            ['copies' => ['d' => 'z9']],
            'document.zone_gone',
            '/copies',
        ];
        yield 'scene.remove: the last of the round' => [
            'scene.remove',
            ['scene' => 's-rest'],
            'scene.last_of_round',
            '/scene',
        ];
        yield 'scene.remove: a round with it' => [
            'scene.remove',
            ['scene' => 's2', 'round' => ['s-rest', 's2']],
            'document.scene_gone',
            '/round/1',
        ];
        yield 'scene.remove: a round with one twice' => [
            'scene.remove',
            ['scene' => 's2', 'round' => ['s-rest', 's-rest']],
            'document.round',
            '/round',
        ];
        yield 'round.set: one that is gone' => ['round.set', ['round' => ['gone']], 'document.scene_gone', '/round/0'];
        yield 'round.set: one twice' => ['round.set', ['round' => ['s2', 's2']], 'document.round', '/round'];
        yield 'zone.follow: it would lead itself' => [
            'zone.follow',
            ['follows' => ['zone' => 'a']],
            'sync.circle',
            '/follows/zone',
        ];
        yield 'zone.exchange: the scene is gone' => [
            'zone.exchange',
            ['scene' => 'gone'],
            'document.scene_gone',
            '/scene',
        ];
        yield 'zone.exchange: it is not there' => ['zone.exchange', ['from' => 'a'], 'document.zone_gone', '/from'];
        yield 'zone.exchange: it is there already' => [
            'zone.exchange',
            ['scene' => 's-rest', 'from' => 'a', 'to' => 'b'],
            'document.zone_twice',
            '/to',
        ];
        yield 'pane.split: the pane is gone' => ['pane.split', ['pane' => 'gone'], 'document.zone_gone', '/pane'];
        yield 'pane.split: a split’s id that is taken' => [
            'pane.split',
            ['new_split' => 'g-b'],
            'document.id_taken',
            '/new_split',
        ];
        yield 'pane.split: a zone that stands here' => [
            'pane.split',
            ['new_zone' => 'b'],
            'document.zone_twice',
            '/new_zone',
        ];
        yield 'pane.split: outside it' => ['pane.split', ['at' => 900], 'split.outside', '/at'];
        yield 'pane.merge: no neighbours' => ['pane.merge', ['into' => 'c'], 'merge.no_neighbours', '/into'];
        yield 'pane.merge: into nothing' => [
            'pane.merge',
            ['pane' => 'b', 'into' => 'gone'],
            'merge.no_neighbours',
            '/into',
        ];
        yield 'pane.span: the pane is gone' => ['pane.span', ['pane' => 'gone'], 'document.zone_gone', '/pane'];
        yield 'pane.span: outside the canvas' => [
            'pane.span',
            ['over' => [[0, 0, 2000, 100]]],
            'span.outside',
            '/over',
        ];
        yield 'pane.span: others hold the line' => [
            'pane.span',
            ['scene' => 's2', 'pane' => 'e', 'over' => [[490, 0, 1000, 1080]]],
            'span.blocked',
            '/over',
        ];
        yield 'mullion.move: the part is gone' => [
            'mullion.move',
            ['after' => ['gone']],
            'document.part_gone',
            '/after',
        ];
        yield 'mullion.move: beyond' => ['mullion.move', ['at' => 1920], 'mullion.beyond', '/at'];
        yield 'part.size: the part is gone' => ['part.size', ['part' => 'gone'], 'document.part_gone', '/part'];
        yield 'sizes.set: a part is gone' => [
            'sizes.set',
            ['sizes' => ['gone' => '1fr']],
            'document.part_gone',
            '/sizes',
        ];
        yield 'split.gutter: the split is gone' => [
            'split.gutter',
            ['split' => 'gone'],
            'document.part_gone',
            '/split',
        ];
        yield 'layout.make: there is one' => ['layout.make', ['scene' => 's2'], 'document.layout_there', '/scene'];
        yield 'layout.put: a zone comes that stands nowhere' => [
            'layout.put',
            ['zones' => ['z9' => ['letter' => 'H', 'name' => '', 'fill' => ['kind' => 'empty'], 'runs_on' => false]]],
            'document.zone_unplaced',
            '/zones',
        ];
        yield 'float.place: it stands here' => [
            'float.place',
            ['float' => $float('a')],
            'document.zone_twice',
            '/float/zone',
        ];
        yield 'float.place: behind one that is gone' => [
            'float.place',
            ['float' => $float('z9'), 'before' => 'gone'],
            'float.gone',
            '/before',
        ];
        yield 'float.place: a zone comes that is there' => [
            'float.place',
            [
                'float' => $float('d'),
                'zones' => ['d' => ['letter' => 'H', 'name' => '', 'fill' => ['kind' => 'empty'], 'runs_on' => false]],
            ],
            'document.id_taken',
            '/zones',
        ];
        yield 'float.place: a letter that is given' => [
            'float.place',
            [
                'float' => $float('z9'),
                'zones' => ['z9' => ['letter' => 'A', 'name' => '', 'fill' => ['kind' => 'empty'], 'runs_on' => false]],
            ],
            'document.letter_taken',
            '/zones',
        ];
        yield 'float.set: it is gone' => ['float.set', ['float' => $float('a')], 'float.gone', '/float/zone'];
        yield 'float.size: nothing' => ['float.size', ['size' => ['0px', '9px']], 'float.no_size', '/size/0'];
        yield 'float.anchor: a frame of no kind' => ['float.anchor', ['frame' => 'window'], 'float.frame', '/frame'];
        yield 'float.anchor: a pane that is gone' => [
            'float.anchor',
            ['frame' => 'pane:gone'],
            'float.frame_unknown',
            '/frame',
        ];
        $zone = ['letter' => 'H', 'name' => '', 'fill' => ['kind' => 'empty'], 'runs_on' => false];
        $parts = static fn (string ...$panes) => [
            'split' => 'columns',
            'id' => 'g-b',
            'parts' => array_map(static fn (string $pane) => ['size' => '1fr', 'pane' => $pane], $panes),
        ];
        $put = ['part' => 'g-b', 'size' => '880px', 'tree' => $parts('a', 'z9'), 'zones' => ['z9' => $zone]];
        foreach (
            [
                'the part is gone' => [['part' => 'gone'], 'document.part_gone', '/part'],
                'a pane twice' => [['tree' => $parts('a', 'c'), 'zones' => []], 'document.id_taken', '/tree'],
                'a zone that lies elsewhere in it' => [['tree' => $parts('a', 'f')], 'document.zone_twice', '/tree'],
                'a zone without its facts' => [['zones' => []], 'document.zone_unplaced', '/tree'],
                'a letter that is given' => [
                    ['zones' => ['z9' => ['letter' => 'A'] + $zone]],
                    'document.letter_taken',
                    '/zones',
                ],
            ] as $what => [$wrong, $code, $path]
        ) {
            yield "glazing.put: $what" => ['glazing.put', $wrong + $put, $code, $path];
        }
        $content = [
            'name' => 'Third',
            'layouts' => ['own' => ['glazing' => ['pane' => 'z9'], 'floats' => []]],
            'ground' => ['kind' => 'colour', 'colour' => '#000000'],
            'length' => ['kind' => 'ms', 'ms' => 5000],
            'transition' => ['kind' => 'cut', 'ms' => 0],
        ];
        $scene = ['scene' => 's3', 'content' => $content, 'zones' => ['z9' => $zone], 'before' => null];
        foreach (
            [
                'an id that is taken' => [['scene' => 's2'], 'document.id_taken', '/scene'],
                'before one that is gone' => [['before' => 'gone'], 'document.scene_gone', '/before'],
                'a round with one twice' => [['round' => ['s2', 's2']], 'document.round', '/round'],
            ] as $what => [$wrong, $code, $path]
        ) {
            yield "scene.put: $what" => ['scene.put', $wrong + $scene + ['round' => ['s-rest']], $code, $path];
        }
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('refused')]
    public function testRefusesAtThePlaceThatIsWrong(
        string $name,
        array $wrong,
        string $code,
        string $path,
        ?Design $on = null,
    ): void {
        $design = $on ?? self::design();
        $command = ['do' => $name] + $wrong + (self::PLAIN[$name] ?? []);
        if (preg_match('/^(pane|mullion|part|sizes|split|float|glazing)\./', $name) === 1) {
            $command += ['scene' => 's-rest', 'layout' => 'own'];
        }
        $before = json_encode($design->toArray());
        try {
            Build::apply($design, $command);
            self::fail("$name was done");
        } catch (Refusal $refusal) {
            self::assertSame([$code, "/commands/0$path"], [$refusal->refusalCode, $refusal->path]);
            self::assertSame($before, json_encode($design->toArray()));
        }
    }

    /** The docblock of a command is its contract: no refusal is named there that no case shows. */
    public function testShowsEveryRefusalThatACommandNames(): void
    {
        $shown = [];
        foreach (self::refused() as [$name, , $code]) {
            $shown[$name][$code] = true;
        }
        $missing = [];
        foreach (DesignCommands::all()->byName as $name => $class) {
            preg_match('/Refuses(.*)\*\//s', (string) (new \ReflectionClass($class))->getDocComment(), $promise);
            preg_match_all('/`([a-z]+\.[a-z_]+)`/', $promise[1] ?? '', $codes);
            foreach ($codes[1] as $code) {
                if (!isset($shown[$name][$code]) && !isset(DesignCommands::all()->byName[$code])) {
                    $missing[] = "$name: $code";
                }
            }
        }

        self::assertSame([], $missing);
    }

    /**
     * Panes a, b over c, a float f above them, a float k that is locked, a zone with a full playlist; a second scene
     * that is not in the round;
     * and a letter, H, that was given to a zone that is gone.
     */
    private static function design(): Design
    {
        static $design = null;
        $entries = array_map(static fn (int $i) => [Sketch::colour('#445566'), 1000 + $i], range(1, 500));

        return $design ??= Build::apply(
            Build::board(),
            Sketch::fill('c', Sketch::playlist([[Sketch::colour('#112233'), 1000], [Sketch::colour('#223344'), 1000]])),
            [
                'do' => 'scene.add',
                'scene' => 's2',
                'name' => 'Second',
                'zone' => 'd',
                'before' => null,
                'joins' => false,
            ],
            ['do' => 'layout.make', 'scene' => 's2', 'way' => 'same'],
            ['do' => 'float.place', 'scene' => 's-rest', 'layout' => 'own', 'before' => null, 'zones' => []] + [
                'float' => [
                    'zone' => 'f',
                    'frame' => 'pane:a',
                    'anchor' => 'top-left',
                    'offset' => ['0px', '0px'],
                    'size' => ['100px', '100px'],
                ],
            ],
            ['scene' => 's2'] + Sketch::split('d', 'columns', 500, 'full'),
            Sketch::fill('full', Sketch::playlist($entries)),
            ['scene' => 's2'] + Sketch::split('full', 'rows', 540, 'e'),
            Sketch::split('a', 'rows', 300, 'once'),
            ['do' => 'pane.merge', 'scene' => 's-rest', 'layout' => 'own', 'pane' => 'once', 'into' => 'a'],
            ['do' => 'float.place', 'scene' => 's-rest', 'layout' => 'own', 'before' => null, 'zones' => []] + [
                'float' => [
                    'zone' => 'k',
                    'frame' => 'canvas',
                    'anchor' => 'centre',
                    'offset' => ['0px', '0px'],
                    'size' => ['50px', '50px'],
                    'locked' => true,
                ],
            ],
            ...array_map(static fn (int $at) => ['do' => 'guide.put', 'guide' => "i$at"] + [
                'layout' => 'own',
                'axis' => 'x',
                'at' => $at,
            ], range(1, Design::MOST_GUIDES)),
        )->after;
    }
}
