<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

use UpperPane\Core\Design\Fill\Colour;
use UpperPane\Core\Geometry\Polygon;
use UpperPane\Core\Plan\Item;

/**
 * What is drawn of an item → its coats, read from the same drawing that the renderer gets. Thin lines of dials are left
 * out; what comes from elsewhere has colours that nobody knows.
 */
final class Coats
{
    /** Paths and boxes of figures are in thousandths of a px. */
    private const UNIT = 0.001;
    /** Of a dial's circle, the part that its face takes. */
    private const FACE = 0.99;

    /** @return list<Coat> back to front */
    public static function of(Item $item): array
    {
        $drawing = $item->drawing;
        $ground = $drawing['ground'] ?? null;

        return [
            ...is_string($ground) ? [Flat::everywhere($ground)] : [],
            ...match ($drawing['kind']) {
                'standby' => [Flat::everywhere(Colour::ofNothing()->hex)],
                'colour' => [Flat::everywhere(self::hex($drawing['colour'] ?? null))],
                'picture', 'video' => self::photo($item),
                'text', 'clock', 'count' => self::plate($drawing, 0, 0),
                'shape' => self::shape($drawing),
                'chart' => self::chart($drawing),
                'dial' => self::dial($drawing),
                'progress' => self::progress($drawing),
                'qr' => self::modules($drawing),
                default => [Flat::everywhere(null)],
            },
        ];
    }

    /** @return list<Coat> */
    private static function photo(Item $item): array
    {
        if ($item->fit === null || $item->media === null) {
            return [Flat::everywhere(null)];
        }
        /** @var array{behind?: array{drawn_mpx: array{int, int, int, int}, blur_mpx: int}} $drawing */
        $drawing = $item->drawing;
        $behind = $drawing['behind'] ?? null;
        $drawn = $behind === null ? null : Box::ofMpx($behind['drawn_mpx']);

        return [
            ...$drawn === null || $behind === null
                ? []
                : [new Photo($item->media, $drawn, $drawn, $behind['blur_mpx'] / 1000)],
            new Photo($item->media, Box::ofPx($item->fit->drawn), Box::ofPx($item->fit->window)),
        ];
    }

    /**
     * Behind words; where they run through their box, it comes by everywhere with them.
     *
     * @param array<string, mixed> $drawing
     *
     * @return list<Coat>
     */
    private static function plate(array $drawing, float $x, float $y): array
    {
        /** @var array{plate?: array{colour: string, rect_mpx: array{int, int, int, int}, radius_mpx: int}} $drawing */
        $plate = $drawing['plate'] ?? null;

        return match (true) {
            $plate === null => [],
            isset($drawing['ticker']) => [Flat::everywhere($plate['colour'])],
            default => [
                Flat::in(
                    Box::ofMpx($plate['rect_mpx'])->movedBy($x, $y),
                    $plate['colour'],
                    $plate['radius_mpx'] / 1000,
                ),
            ],
        };
    }

    /**
     * @param array<string, mixed> $drawing
     *
     * @return list<Coat>
     */
    private static function shape(array $drawing): array
    {
        /**
         * @var array{path: string, colour: string, gradient?: array{to: string, line: array{int, int, int, int}},
         *     line?: array{colour: string, width_mpx: int},
         *     label?: array{rect_mpx: array{int, int, int, int}}} $drawing
         */
        $path = Polygon::ofPath($drawing['path'], self::UNIT);
        [$gradient, $line, $label] = [
            $drawing['gradient'] ?? null,
            $drawing['line'] ?? null,
            $drawing['label'] ?? null,
        ];

        return [
            Figure::filled(
                $path,
                $gradient === null
                    ? Blend::plain($drawing['colour'])
                    : Blend::across($path, $drawing['colour'], $gradient['to'], $gradient['line']),
            ),
            ...$line === null ? [] : [Figure::line($path, $line['colour'], $line['width_mpx'] / 1000)],
            ...$label === null
                ? []
                : self::plate($label, $label['rect_mpx'][0] / 1000, $label['rect_mpx'][1] / 1000),
        ];
    }

    /**
     * @param array<string, mixed> $drawing
     *
     * @return list<Coat>
     */
    private static function chart(array $drawing): array
    {
        /**
         * @var array{box_mpx: array{int, int, int, int},
         *     figures: list<array{path: string, colour: string, line_mpx: int}>} $drawing
         */
        [$x, $y] = [-$drawing['box_mpx'][0] / 1000, -$drawing['box_mpx'][1] / 1000];

        return array_map(static function (array $figure) use ($x, $y): Coat {
            $path = Polygon::ofPath($figure['path'], self::UNIT)->turned(0, 1, 0, 0, $x, $y);

            return $figure['line_mpx'] > 0
                ? Figure::line($path, $figure['colour'], $figure['line_mpx'] / 1000, false)
                : Figure::filled($path, Blend::plain($figure['colour']));
        }, $drawing['figures']);
    }

    /**
     * @param array<string, mixed> $drawing
     *
     * @return list<Coat>
     */
    private static function dial(array $drawing): array
    {
        /** @var array{circle_mpx: array{int, int, int}, face: string} $drawing */
        [$x, $y, $radius] = array_map(static fn (int $mpx) => $mpx / 1000, $drawing['circle_mpx']);

        return [new Ring($x, $y, 0, self::FACE * $radius, $drawing['face'])];
    }

    /**
     * @param array<string, mixed> $drawing
     *
     * @return list<Coat>
     */
    private static function progress(array $drawing): array
    {
        /** @var array{colour: string, track: string, ring_mpx?: array{int, int, int, int}} $drawing */
        $ring = isset($drawing['ring_mpx'])
            ? array_map(static fn (int $mpx) => $mpx / 1000, $drawing['ring_mpx'])
            : null;
        $coat = static fn (string $hex): Coat => $ring === null
            ? Flat::everywhere($hex)
            : new Ring($ring[0], $ring[1], $ring[2] - $ring[3], $ring[2], $hex);

        return [new Passing($coat($drawing['track']), $coat($drawing['colour']))];
    }

    /**
     * @param array<string, mixed> $drawing
     *
     * @return list<Coat>
     */
    private static function modules(array $drawing): array
    {
        /** @var array{rows: ?list<string>, module_px: int, place_px: array{int, int}, colour: string} $drawing */
        $rows = $drawing['rows'] ?? [];
        $side = count($rows) * $drawing['module_px'];

        return $side === 0
            ? []
            : [new Modules(
                $rows,
                Box::of($drawing['place_px'][0], $drawing['place_px'][1], $side, $side),
                $drawing['module_px'],
                $drawing['colour'],
            )];
    }

    private static function hex(mixed $hex): ?string
    {
        return is_string($hex) ? $hex : null;
    }
}
