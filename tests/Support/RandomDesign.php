<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use Random\Randomizer;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Demo\Sketch;

/** Random commands on a design, most of which can be done. Of every kind there is. */
final class RandomDesign
{
    private const ANCHORS = ['top-left', 'top', 'centre', 'bottom-right', 'left'];

    /** @var array<string, mixed>|null */
    private ?array $earlier = null;

    public function __construct(private readonly Randomizer $random)
    {
    }

    /** @return array<string, mixed> */
    public function command(Design $design, string $new): array
    {
        $scene = $this->one($design->order);
        $turned = $design->scene($scene)->turned !== null && $this->chance(2);
        $at = LayoutAt::of($design, $scene, $turned);
        $here = ['scene' => $scene, 'layout' => $at->name()];
        $zone = $this->one($at->layout->zones());
        $pane = $this->one($at->tree()->paneIds());

        return match ($this->random->getInt(0, 9)) {
            0 => $this->ofDesign($design, $scene, $new),
            1, 2 => $this->ofScenes($design, $at, $new),
            3, 4, 5 => $this->ofGlazing($at, $here, $pane, $new),
            6, 7 => $this->ofFloats($at, $here, $zone, $new),
            default => $this->ofZones($design, $scene, $this->chance(2) ? self::playing($design) : $zone, $new),
        };
    }

    /** A zone with a playlist, so that its entries are tried too. */
    private static function playing(Design $design): string
    {
        foreach ($design->zones as $id => $zone) {
            if ($zone->fill() instanceof PlaylistFill) {
                return (string) $id;
            }
        }

        return 'a';
    }

    /** @return array<string, mixed> */
    private function ofDesign(Design $design, string $scene, string $new): array
    {
        $this->earlier = $this->earlier === null || $this->chance(8) ? $design->toArray() : $this->earlier;

        $guide = $design->guides === [] ? 'none' : $this->one(array_map(strval(...), array_keys($design->guides)));

        return match ($this->random->getInt(0, 12)) {
            11 => ['do' => 'design.lattice', 'lattice' => $this->chance(3) ? null : [$this->random->getInt(1, 40), 7]],
            9 => ['do' => 'guide.put', 'guide' => $this->chance(2) ? "i$new" : $guide, 'layout' => 'own'] + [
                'axis' => $this->one(['x', 'y']),
                'at' => $this->random->getInt(0, 1100),
            ],
            10 => $guide === 'none' || $this->chance(2)
                ? ['do' => 'zones.letter']
                : ['do' => 'guide.remove', 'guide' => $guide],
            7 => ['do' => 'design.archive', 'archived' => $this->chance(2)],
            8 => ['do' => 'design.surfaces', 'surfaces' => $this->chance(2) ? [] : ['totem', "wall-$new"]],
            12 => $this->one([
                ['do' => 'design.style', 'style' => $this->chance(2) ? null : "style-$new"],
                ['do' => 'design.still', 'still' => $this->chance(2)],
            ]),
            6 => $this->chance(2)
                ? ['do' => 'design.restore', 'design' => $this->earlier]
                : ['do' => 'design.name', 'name' => "Called $new"],
            0 => ['do' => 'design.name', 'name' => "Name $new 北京"],
            1 => ['do' => 'design.reflow', 'by' => $this->one(['short_side', 'same_mm', 'same_px'])],
            2 => ['do' => 'layout.make', 'scene' => $scene, 'way' => $this->one(['same', 'crossed'])],
            3 => ['do' => 'layout.put', 'scene' => $scene, 'content' => null, 'zones' => []],
            4 => [
                'do' => 'round.set',
                'round' => array_values(
                    array_unique([$scene, ...array_slice($design->order, 0, $this->random->getInt(0, 3))]),
                ),
            ],
            default => [
                'do' => 'scene.move',
                'scene' => $scene,
                'before' => $this->chance(2) ? null : $this->one($design->order),
            ],
        };
    }

    /** @return array<string, mixed> */
    private function ofScenes(Design $design, LayoutAt $at, string $new): array
    {
        $scene = $at->scene->id;

        return match ($this->random->getInt(0, 6)) {
            0 => [
                'do' => 'scene.add',
                'scene' => "s$new",
                'name' => "Scene $new",
                'zone' => "z$new",
                'before' => $this->chance(2) ? null : $scene,
                'joins' => $this->chance(2),
            ],
            1 => [
                'do' => 'scene.duplicate',
                'scene' => $scene,
                'as' => "s$new",
                'name' => 'Again',
                'copies' => $this->chance(2) ? [] : [$at->tree()->paneIds()[0] => "z$new"],
                'joins' => $this->chance(2),
            ],
            2 => ['do' => 'scene.remove', 'scene' => $scene],
            3 => ['do' => 'scene.name', 'scene' => $scene, 'name' => "Scene $new"],
            4 => [
                'do' => 'scene.length',
                'scene' => $scene,
                'length' => $this->one([
                    ['kind' => 'open'],
                    ['kind' => 'longest'],
                    ['kind' => 'ms', 'ms' => 9000],
                    ['kind' => 'leader', 'zone' => 'a'],
                ]),
            ],
            5 => ['do' => 'scene.ground', 'scene' => $scene] +
                ($this->chance(3)
                    ? ['media' => "m$new"]
                    : ['ground' => Sketch::colour('#'.substr(md5($new), 0, 6))]),
            default => [
                'do' => 'scene.transition',
                'scene' => $scene,
                'transition' => $this->one([
                    ['kind' => 'cut', 'ms' => 0],
                    ['kind' => 'fade', 'ms' => 700],
                    ['kind' => 'slide_from_top', 'ms' => 700],
                    ['kind' => 'wipe', 'ms' => 700],
                ]),
            ],
        };
    }

    /**
     * @param array<string, string> $here
     *
     * @return array<string, mixed>
     */
    private function ofGlazing(LayoutAt $at, array $here, string $pane, string $new): array
    {
        $line = $at->glazing()->mullions() === [] ? null : $this->one($at->glazing()->mullions());
        $canvas = $at->canvas();
        [$x, $y] = [$this->random->getInt(0, $canvas->width - 10), $this->random->getInt(0, $canvas->height - 10)];
        $rect = $at->glazing()->panes[$pane];
        $axis = $this->one(['columns', 'rows']);

        return $here +
            match ($this->random->getInt(0, 9)) {
                9 => ['do' => 'part.lock', 'part' => $line->partIds[1] ?? 'none', 'locked' => $this->chance(4)],
                8 => ['do' => 'split.turn', 'split' => $line->splitId ?? 'none'],
                0, 1 => [
                    'do' => 'pane.split',
                    'pane' => $pane,
                    'split' => $axis,
                    'new_zone' => $this->chance(4)
                        ? $this->one(array_map(strval(...), array_keys($at->design->zones)))
                        : "z$new",
                    'new_split' => "g$new",
                    'at' => $axis === 'columns'
                        ? $rect->x + intdiv($rect->width, 2)
                        : $rect->y + intdiv($rect->height, 2),
                    'new_first' => $this->chance(3),
                ],
                2 => [
                    'do' => 'pane.merge',
                    'pane' => $line?->partIds[1] ?? 'none',
                    'into' => $line?->partIds[0] ?? 'none',
                ],
                3 => [
                    'do' => 'mullion.move',
                    'after' => [$line?->partIds[1] ?? 'none'],
                    'at' => max(0, ($line->at ?? 0) + $this->random->getInt(-40, 40)),
                ],
                4 => [
                    'do' => 'part.size',
                    'part' => $pane,
                    'size' => $this->random->getInt(50, 700).$this->one(['px', 'fr']),
                ],
                5 => [
                    'do' => 'split.gutter',
                    'split' => $line->splitId ?? 'none',
                    'gutter' => $this->random->getInt(0, 20),
                ],
                6 => [
                    'do' => 'pane.span',
                    'pane' => $pane,
                    'over' => [
                        [
                            $x,
                            $y,
                            $this->random->getInt(1, $canvas->width - $x),
                            $this->random->getInt(1, $canvas->height - $y),
                        ],
                    ],
                    'new' => "n$new",
                ],
                default => [
                    'do' => 'glazing.put',
                    'part' => $pane,
                    'size' => '1fr',
                    'zones' => ["z$new" => ['name' => '', 'fill' => ['kind' => 'empty']]],
                    'tree' => [
                        'id' => "g$new",
                        'split' => $axis,
                        'gutter' => 0,
                        'parts' => [
                            ['size' => '30%', 'pane' => $pane],
                            ['size' => '1fr', 'min' => 5, 'pane' => "z$new"],
                        ],
                    ],
                ],
            };
    }

    /**
     * @param array<string, string> $here
     *
     * @return array<string, mixed>
     */
    private function ofFloats(LayoutAt $at, array $here, string $zone, string $new): array
    {
        $floats = $at->layout->floats;
        $float = $floats === [] ? null : $this->one($floats);
        $known = $float->zone ?? 'none';
        $all = array_map(static fn ($one) => $one->zone, $floats);
        $lengths = fn () => [$this->random->getInt(5, 600).'px', $this->random->getInt(1, 60).'.5%'];
        $pane = $at->tree()->paneIds()[0];

        return $here +
            match (count($floats) < 3 && $this->chance(2) || $float === null ? 0 : $this->random->getInt(0, 11)) {
                0 => [
                    'do' => 'float.place',
                    'float' => [
                        'zone' => $this->chance(5) ? $zone : "z$new",
                        'frame' => $this->one(['canvas', "pane:$pane"]),
                        'anchor' => $this->one(self::ANCHORS),
                        'offset' => $lengths(),
                        'size' => $lengths(),
                        'turn' => 0,
                    ],
                    'before' => $this->chance(2) ? null : $known,
                ],
                1 => ['do' => 'float.move', 'zone' => $known, 'offset' => $lengths()],
                2 => ['do' => 'float.size', 'zone' => $known, 'size' => $lengths()],
                3 => ['do' => 'float.turn', 'zone' => $known, 'turn' => $this->random->getInt(-9000, 9000)],
                4 => [
                    'do' => 'float.anchor',
                    'zone' => $known,
                    'frame' => "pane:$pane",
                    'anchor' => $this->one(self::ANCHORS),
                ],
                5 => [
                    'do' => 'float.order',
                    'zone' => $known,
                    'before' => $this->chance(2) ? null : $this->one($floats)->zone,
                ],
                6 => ['do' => 'float.remove', 'zone' => $known],
                7 => [
                    'do' => 'float.lay',
                    'rects' => [$known => array_map(fn () => $this->random->getInt(1, 900), range(0, 3))],
                ],
                8 => [
                    'do' => 'float.align',
                    'zones' => $all,
                    'edge' => $this->one(['left', 'centre', 'bottom']),
                ] + (count($all) < 2 || $this->chance(2) ? ['within' => [0, 0, 901, 777]] : []),
                11 => ['do' => 'float.traits', 'zones' => [$known, $this->one($all)]] + [
                    'set' => $this->one([
                        ['opacity' => $this->random->getInt(10, 1000)],
                        ['locked' => $this->chance(4)],
                        ['hidden' => $this->chance(2), 'group' => "p$new"],
                        ['group' => null],
                    ]),
                ],
                9 => ['do' => 'float.spread', 'zones' => $all, 'axis' => $this->one(['x', 'y'])],
                default => [
                    'do' => 'float.match',
                    'zones' => $all,
                    'like' => $known,
                    'side' => $this->one(['width', 'height', 'both']),
                ],
            };
    }

    /** @return array<string, mixed> */
    private function ofZones(Design $design, string $scene, string $zone, string $new): array
    {
        $fill = ($design->zones[$zone] ?? null)?->fill();
        $entries = $fill instanceof PlaylistFill ? $fill->entries : [];
        $known = $entries === [] ? 'none' : $this->one($entries)->id;
        $entry = static fn (string $id) => [
            'id' => $id,
            'fill' => Sketch::colour('#445566'),
            'duration_ms' => 1000,
            'enabled' => true,
            'transition' => ['kind' => 'cut', 'ms' => 0],
        ];
        $here = ['zone' => $zone];

        return match ($this->random->getInt(0, 10)) {
            0 => Sketch::name($zone, "Zone $new"),
            1 => [
                'do' => 'fill.set',
                'fill' => $this->one([
                    Sketch::clock('HH:mm', 90),
                    Sketch::text("Text $new", 40),
                    Sketch::playlist([[Sketch::colour('#112233'), 5000], [Sketch::text('Hi', 40), null]]),
                ]),
            ] + $here,
            9 => ['do' => 'fill.begin', 'kind' => $this->one(['empty', 'colour', 'text', 'clock', 'playlist'])] + [
                'entry' => "e$new",
            ] +
                $here,
            10 => ['do' => 'entry.begin', 'entry' => "e$new", 'kind' => $this->one(['colour', 'text', 'clock'])] +
                ['text' => "Text $new"] +
                $here,
            2 => $this->chance(2)
                ? ['do' => 'zone.runs_on', 'on' => $this->chance(2)] + $here
                : ['do' => 'zone.follow', 'follows' => $this->chance(4) ? null : [
                    'zone' => $this->one(array_map(strval(...), array_keys($design->zones))),
                    'unequal' => $this->one(['wrap', 'hold', 'clear']),
                ]] + $here,
            3 => [
                'do' => 'zone.exchange',
                'scene' => $scene,
                'from' => $zone,
                'to' => $this->one(array_map(strval(...), array_keys($design->zones))),
                'zones' => [],
            ],
            4 => ['do' => 'zone.copy', 'scene' => $scene, 'zone' => $zone, 'as' => "z$new"],
            5 => ['do' => 'entry.add', 'entry' => $entry("e$new"), 'before' => $known === 'none' ? null : $known] +
                $here,
            6 => ['do' => 'entry.remove', 'entry' => count($entries) < 2 ? 'none' : $known] + $here,
            7 => [
                'do' => 'entry.move',
                'entry' => $known,
                'before' => $entries === [] || $this->chance(2) ? null : $this->one($entries)->id,
            ] + $here,
            default => [
                'do' => 'entry.set',
                'entry' => ['duration_ms' => $this->random->getInt(1, 9000)] + $entry($known),
            ] + $here,
        };
    }

    /**
     * @template T
     *
     * @param array<T> $list
     *
     * @return T
     */
    private function one(array $list): mixed
    {
        $list = array_values($list);

        return $list[$this->random->getInt(0, count($list) - 1)];
    }

    private function chance(int $oneIn): bool
    {
        return $this->random->getInt(1, $oneIn) === 1;
    }
}
