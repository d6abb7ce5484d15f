<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/**
 * Glazings to begin with. In shares only, so that each fits any canvas; none is another one mirrored. Written in short:
 * `c(…)` are columns, `r(…)` rows, each part its shares, and what divides it.
 */
final class Starters
{
    /** By what they suit: a canvas that is wider than high, higher than wide, very wide, or of several panels. */
    private const ALL = [
        'landscape' => [
            'halves' => 'c(1 1)',
            'main-side' => 'c(2 1)',
            'main-strip' => 'r(5 1)',
            'main-side-strip' => 'r(5c(2 1) 1)',
            'columns' => 'c(1 1 1)',
            'quarters' => 'r(1c(1 1) 1c(1 1))',
            'head-side-main' => 'r(1 6c(1 2))',
            'main-two' => 'c(2 1r(1 1))',
        ],
        'portrait' => [
            'stack' => 'r(1 1)',
            'upper-lower' => 'r(3 2)',
            'head-body-foot' => 'r(1 4 1)',
            'upper-two' => 'r(3 2c(1 1))',
            'three-rows' => 'r(1 1 1)',
            'head-upper-two' => 'r(1 3 2c(1 1))',
        ],
        'wide' => [
            'long-end' => 'c(3 1)',
            'ends' => 'c(1 4 1)',
            'four' => 'c(1 1 1 1)',
            'middle' => 'c(1 2 1)',
            'mark-two-lines' => 'c(1 5r(2 1))',
            'two-long' => 'c(1 1 2)',
        ],
        'wall' => [
            'grid' => 'r(1c(1 1 1) 1c(1 1 1))',
            'two-tall' => 'c(2r(1 1) 1)',
            'over-three' => 'r(1 1c(1 1 1))',
            'wings' => 'c(1r(1 1) 1 1r(1 1))',
            'over-four' => 'r(2 1c(1 1 1 1))',
            'three-main' => 'c(1r(1 1 1) 2)',
        ],
    ];
    private const VERY_WIDE = [12, 5];

    /** @return array<string, string> what each is called, to what it suits */
    public static function kinds(): array
    {
        $kinds = [];
        foreach (self::ALL as $kind => $starters) {
            $kinds += array_fill_keys(array_keys($starters), $kind);
        }

        return $kinds;
    }

    /**
     * All of them as they would be on a canvas, those that suit it first.
     *
     * @return list<array{name: string, suits: bool, tree: array<string, mixed>, panes: list<list<int>>}> panes are
     *     called `1`, `2` … in the tree, in the order of their rectangles
     */
    public static function on(Size $canvas, bool $isWall): array
    {
        $kind = match (true) {
            $isWall => 'wall',
            $canvas->width * self::VERY_WIDE[1] >= $canvas->height * self::VERY_WIDE[0] => 'wide',
            default => $canvas->width >= $canvas->height ? 'landscape' : 'portrait',
        };
        $starters = [];
        foreach (self::ALL as $of => $all) {
            foreach ($all as $name => $text) {
                $tree = self::tree($text);
                $panes = Glazing::resolve(GlazingReader::read(Input::of($tree)), $canvas)->panes;
                $starters[] = [
                    'name' => $name,
                    'suits' => $of === $kind,
                    'tree' => $tree,
                    'panes' => array_values(array_map(static fn (Rect $rect) => $rect->toArray(), $panes)),
                ];
            }
        }
        usort($starters, static fn (array $a, array $b) => $b['suits'] <=> $a['suits']);

        return $starters;
    }

    /** @return array<string, mixed> */
    private static function tree(string $text): array
    {
        preg_match_all('/\d+|[cr]\(|\)/', $text, $tokens);
        $list = $tokens[0];
        $pane = 0;

        return self::split($list, $pane);
    }

    /**
     * @param list<string> $tokens taken from the front
     *
     * @return array<string, mixed>
     */
    private static function split(array &$tokens, int &$pane): array
    {
        $axis = array_shift($tokens) === 'c(' ? 'columns' : 'rows';
        $parts = [];
        while (($tokens[0] ?? ')') !== ')') {
            $size = array_shift($tokens).'fr';
            $isSplit = str_ends_with($tokens[0] ?? '', '(');
            $parts[] = ['size' => $size] + ($isSplit ? self::split($tokens, $pane) : ['pane' => (string) ++$pane]);
        }
        array_shift($tokens);

        return ['split' => $axis, 'gutter' => 0, 'parts' => $parts];
    }
}
