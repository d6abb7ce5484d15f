<?php

declare(strict_types=1);

namespace UpperPane\Core\Exchange;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignReader;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\FitMode;

/**
 * A design from a SMIL document's layout: the regions that tile the whole become its glazing, the others floats above
 * it, by layer. Fills are no part of a layout: a region's ground becomes a colour, all else is empty.
 */
final class SmilDesign
{
    private const LONGEST_NAME = 80;

    /**
     * @param string $ids what ids of zones and splits begin with
     * @param int    $nm  pixel pitch in nm
     *
     * @return array{Design, list<array<string, string>>} and what was not taken over
     *
     * @throws Refusal what {@see SmilReader::read()} refuses
     */
    public static function of(string $smil, string $name, int $nm, string $ids, string $sceneName): array
    {
        $read = SmilReader::read($smil);
        $panes = $read['tree']?->paneIds() ?? [];
        $zones = $floats = $named = [];
        $tiles = array_filter($read['regions'], static fn (SmilRegion $one) => in_array($one->id, $panes, true));
        $others = array_filter($read['regions'], static fn (SmilRegion $one) => !in_array($one->id, $panes, true));
        $report = $read['report'];
        if ($tiles === []) {
            $zones["$ids-0"] = self::zone(0, '', null);
        }
        foreach ([...$tiles, ...$others] as $region) {
            $id = "$ids-".count($zones);
            $named[$region->id] = $id;
            $zones[$id] = self::zone(count($zones), $region->id, $region->ground);
            // Of what the standard takes when nothing is said, nothing is said here.
            if ($region->fit !== FitMode::None || $region->focus !== [0, 0]) {
                $left = Finding::of('smil.fit_later', Severity::Note, "#{$region->id}", ['fit' => $region->fit->value]);
                $report[] = array_intersect_key($left->toArray(), ['code' => 0, 'path' => 0, 'message' => 0]);
            }
        }
        foreach ($others as $region) {
            $floats[] = [
                'zone' => $named[$region->id],
                'frame' => 'canvas',
                'anchor' => 'top-left',
                'offset' => ["{$region->rect->x}px", "{$region->rect->y}px"],
                'size' => ["{$region->rect->width}px", "{$region->rect->height}px"],
                'turn' => 0,
            ];
        }
        $split = 0;
        $glazing = $read['tree'] === null
            ? ['pane' => "$ids-0"]
            : self::named(array_diff_key($read['tree']->toArray(true), ['size' => 0]), $named, $ids, $split);

        return [self::design($name, $read['size'], $nm, $zones, $glazing, $floats, $sceneName), $report];
    }

    /**
     * @param array<string, mixed>       $zones
     * @param array<string, mixed>       $glazing
     * @param list<array<string, mixed>> $floats
     */
    private static function design(
        string $name,
        Size $size,
        int $nm,
        array $zones,
        array $glazing,
        array $floats,
        string $sceneName,
    ): Design {
        $um = static fn (int $px) => max(1, intdiv($px * $nm + 500, 1000));

        return DesignReader::read(
            Input::of([
                'version' => Design::VERSION,
                'name' => $name,
                'canvas' => ['px' => $size->toArray(), 'um' => [$um($size->width), $um($size->height)]],
                'letters_used' => count($zones),
                'reflow' => 'short_side',
                'order' => ['s-rest'],
                'round' => ['s-rest'],
                'zones' => $zones,
                'scenes' => [
                    's-rest' => [
                        'name' => $sceneName,
                        'layouts' => ['own' => ['glazing' => $glazing, 'floats' => $floats]],
                        'ground' => ['kind' => 'colour', 'colour' => '#0C1216'],
                        'length' => ['kind' => 'open'],
                        'transition' => ['kind' => 'cut', 'ms' => 0],
                    ],
                ],
            ]),
        );
    }

    /** @return array<string, mixed> */
    private static function zone(int $number, string $name, ?string $ground): array
    {
        return [
            'letter' => Letters::at($number),
            'name' => mb_substr($name, 0, self::LONGEST_NAME),
            'fill' => $ground === null ? ['kind' => 'empty'] : ['kind' => 'colour', 'colour' => strtoupper($ground)],
        ];
    }

    /**
     * Panes called by their zones; splits get ids.
     *
     * @param array<string, mixed>  $part
     * @param array<string, string> $named zones by region
     *
     * @return array<string, mixed>
     */
    private static function named(array $part, array $named, string $ids, int &$split): array
    {
        if (is_string($part['pane'] ?? null)) {
            return ['pane' => $named[$part['pane']]] + $part;
        }
        $parts = [];
        $id = 'g-'.$ids.'-'.++$split;
        /** @var list<array<string, mixed>> $children */
        $children = $part['parts'] ?? [];
        foreach ($children as $child) {
            $parts[] = self::named($child, $named, $ids, $split);
        }

        return ['id' => $id, 'parts' => $parts] + $part;
    }
}
