<?php

declare(strict_types=1);

namespace UpperPane\Demo;

/** Short ways to write commands and fills, for the demo and for tests. */
final class Sketch
{
    /** @return array<string, mixed> */
    public static function split(string $pane, string $split, int $at, string $newZone): array
    {
        return [
            'do' => 'pane.split',
            'scene' => 's-rest',
            'layout' => 'own',
            'pane' => $pane,
            'split' => $split,
            'at' => $at,
            'new_zone' => $newZone,
            'new_split' => "g-$newZone",
        ];
    }

    /**
     * @param array<string, mixed> $fill
     *
     * @return array<string, mixed>
     */
    public static function fill(string $zone, array $fill): array
    {
        return ['do' => 'fill.set', 'zone' => $zone, 'fill' => $fill];
    }

    /** @return array<string, mixed> */
    public static function name(string $zone, string $name): array
    {
        return ['do' => 'zone.name', 'zone' => $zone, 'name' => $name];
    }

    /** @return array<string, mixed> */
    public static function size(string $part, string $size): array
    {
        return ['do' => 'part.size', 'scene' => 's-rest', 'layout' => 'own', 'part' => $part, 'size' => $size];
    }

    /**
     * In the middle of the canvas of the first scene, as long as nothing else is said.
     *
     * @param array{string, string} $size
     * @param array<string, mixed>  $with
     *
     * @return array<string, mixed>
     */
    public static function float(string $zone, array $size, array $with = []): array
    {
        return [
            'do' => 'float.place',
            'scene' => 's-rest',
            'layout' => 'own',
            'float' => $with + [
                'zone' => $zone,
                'frame' => 'canvas',
                'anchor' => 'centre',
                'offset' => ['0px', '0px'],
                'size' => $size,
                'turn' => 0,
            ],
            'before' => null,
        ];
    }

    /** @return array<string, mixed> */
    public static function colour(string $hex): array
    {
        return ['kind' => 'colour', 'colour' => $hex];
    }

    /** @return array<string, mixed> */
    public static function picture(string $media, string $fit = 'cover'): array
    {
        return [
            'kind' => 'picture',
            'media' => $media,
            'fit' => $fit,
            'focus' => [50_000, 50_000],
            'ground' => '#1D2A33',
        ];
    }

    /** @return array<string, mixed> */
    public static function video(string $media, string $fit = 'cover'): array
    {
        return [
            'kind' => 'video',
            'media' => $media,
            'fit' => $fit,
            'focus' => [50_000, 50_000],
            'ground' => '#1D2A33',
            'sound' => false,
        ];
    }

    /**
     * @param array<string, mixed> $style
     *
     * @return array<string, mixed>
     */
    public static function text(string $text, int $size, array $style = []): array
    {
        return ['kind' => 'text', 'text' => $text] + $style + self::style($size);
    }

    /**
     * @param array<string, mixed> $style
     *
     * @return array<string, mixed>
     */
    public static function clock(string $pattern, int $size, array $style = []): array
    {
        return ['kind' => 'clock', 'pattern' => $pattern] + $style + self::style($size);
    }

    /**
     * @param list<array{array<string, mixed>, ?int}> $entries fill and ms
     *
     * @return array<string, mixed>
     */
    public static function playlist(array $entries): array
    {
        return [
            'kind' => 'playlist',
            'entries' => array_map(
                static fn (int $i) => [
                    'id' => 'e'.($i + 1),
                    'fill' => $entries[$i][0],
                    'duration_ms' => $entries[$i][1],
                    'enabled' => true,
                    'transition' => ['kind' => 'fade', 'ms' => 600],
                ],
                array_keys($entries),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function style(int $size): array
    {
        return [
            'font' => 'Roboto',
            'weight' => 500,
            'size' => $size,
            'min_size' => max(12, intdiv($size, 2)),
            'mode' => 'wrap_shrink',
            'line_height' => 1200,
            'colour' => '#F4F1EA',
            'ground' => '#1D2A33',
            'align' => 'left',
            'valign' => 'middle',
            'padding' => intdiv($size, 2),
        ];
    }
}
