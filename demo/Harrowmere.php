<?php

declare(strict_types=1);

namespace UpperPane\Demo;

/** Harrowmere Landing, a ferry terminal on a tidal lake: its displays and people. All invented. */
final class Harrowmere
{
    public const PASSWORD = 'harrowmere';

    public const PEOPLE = [
        'designer' => ['Dina Okafor', 'dina@harrowmere.example'],
        'editor' => ['Emil Sørensen', 'emil@harrowmere.example'],
        'operator' => ['Olga Lindqvist', 'olga@harrowmere.example'],
        'technician' => ['Theo Marchetti', 'theo@harrowmere.example'],
        'administrator' => ['Ada Wren', 'ada@harrowmere.example'],
    ];

    /** slug → name, address, time zone */
    public const SITES = [
        'harrowmere' => ['Harrowmere Landing', 'Pier Road 1, Harrowmere', 'Europe/London'],
        'aldermoor' => ['Aldermoor jetty', 'Mole 3, Aldermoor', 'Europe/London'],
    ];

    /** role → where it is theirs */
    public const ACCESS = [
        'designer' => ['harrowmere', 'aldermoor'],
        'editor' => ['harrowmere'],
        'operator' => ['harrowmere'],
        'technician' => ['harrowmere'],
        'administrator' => ['harrowmere', 'aldermoor'],
    ];

    /** @return array{code: string, player: string, sheet: array<string, mixed>} the one display across the lake */
    public static function jetty(): array
    {
        $panel = [
            'native' => [1920, 1080],
            'active_mm' => [698.4, 392.85],
            'bezel_mm' => [11, 11, 11, 11],
            'rotation' => 0,
        ];

        return self::surface('jetty', 'jetty-1', 'Jetty shelter', ['panels' => [$panel]], 0, 1600, [
            'viewing_mm' => [1000, 5000],
        ]);
    }

    /** @return list<array{code: string, player: string, sheet: array<string, mixed>}> */
    public static function surfaces(): array
    {
        $panel = static fn (array $native, array $mm, float $bezel, int $rotation = 0) => [
            'native' => $native,
            'active_mm' => $mm,
            'bezel_mm' => [$bezel, $bezel, $bezel, $bezel],
            'rotation' => $rotation,
        ];
        $one = static fn (array $panel) => ['panels' => [$panel]];
        $grid = static fn (int $columns, int $rows, array $panel) => [
            'grid' => ['columns' => $columns, 'rows' => $rows, 'panel' => $panel],
        ];
        $ribbon = [
            [
                'player' => 'ribbon-1',
                'number' => 1,
                'px' => [1920, 1080],
                'millihertz' => 60_000,
                'slices' => [
                    [
                        'panel' => '1',
                        'canvas' => [0, 0, 960, 96],
                        'raster' => [0, 0, 960, 96],
                        'turn' => 0,
                        'mirror' => false,
                    ],
                ],
            ],
        ];
        $lowerStrip = ['name' => 'Lower strip', 'unit' => '%', 'rect' => [0, 80, 100, 20]];
        $rightColumn = ['name' => 'Right column', 'unit' => 'px', 'rect' => [3852, 0, 1920, 2166]];

        return [
            self::surface('kiosk', 'kiosk-1', 'Ticket kiosk', $one($panel([1280, 800], [344.6, 215.4], 9)), 300, 1150, [
                'touch' => true,
                'sound' => true,
                'viewing_mm' => [400, 1200],
            ]),
            self::surface(
                'booking',
                'booking-1',
                'Booking office',
                $one($panel([1920, 1080], [1209.6, 680.4], 9)),
                1000,
                1900,
                ['viewing_mm' => [1000, 3500], 'areas' => [$lowerStrip]],
            ),
            self::surface(
                'gate-1',
                'gate-1',
                'Gate 1 totem',
                $one($panel([1080, 1920], [604.8, 1075.2], 12)),
                2600,
                650,
                ['groups' => ['Gates'], 'viewing_mm' => [1000, 4000]],
            ),
            self::surface(
                'gate-2',
                'gate-2',
                'Gate 2 totem',
                $one($panel([1920, 1080], [1075.2, 604.8], 12, 90)),
                3950,
                650,
                ['groups' => ['Gates'], 'viewing_mm' => [1000, 4000]],
            ),
            self::surface(
                'hall',
                'hall-1',
                'Hall wall',
                $grid(3, 2, $panel([1920, 1080], [1209.6, 680.4], 1.89)),
                5300,
                1500,
                [
                    'groups' => ['Hall'],
                    'viewing_mm' => [3000, 16_000],
                    'sound' => true,
                    'safe_px' => [60, 60, 60, 60],
                    'areas' => [$lowerStrip, $rightColumn],
                ],
            ),
            self::surface('ribbon', 'ribbon-1', 'Quay ribbon', $one($panel([960, 96], [5760, 576], 0)), 4300, 3550, [
                'kind' => 'LED',
                'viewing_mm' => [10_000, 40_000],
                'outputs' => $ribbon,
            ]),
            self::surface(
                'lookout',
                'lookout-1',
                'Lookout pair',
                $grid(2, 1, $panel([3840, 2160], [1209.6, 680.4], 8)),
                9500,
                1050,
                ['groups' => ['Hall'], 'viewing_mm' => [1500, 4500]],
            ),
            self::surface(
                'cafe',
                'cafe-1',
                'Café menu board',
                $one($panel([3840, 2160], [1428.5, 803.5], 10)),
                10_400,
                2500,
                ['viewing_mm' => [1500, 5000]],
            ),
        ];
    }

    /**
     * @param array<string, mixed> $shape
     * @param array<string, mixed> $more
     *
     * @return array{code: string, player: string, sheet: array<string, mixed>}
     */
    private static function surface(
        string $code,
        string $player,
        string $name,
        array $shape,
        int $leftMm,
        int $floorMm,
        array $more,
    ): array {
        return [
            'code' => $code,
            'player' => $player,
            'sheet' => $more + [
                'name' => $name,
                'kind' => 'LCD',
                'shape' => $shape,
                'left_mm' => $leftMm,
                'floor_mm' => $floorMm,
            ],
        ];
    }

    /** @return array<string, \Closure(string, string): void> file name → what draws it at a path with a font */
    public static function media(): array
    {
        return [
            'Lake at dawn.jpg' => static fn (string $path, string $font) => Brush::lake($path, 3960, 2640, 7),
            'Lake at noon.jpg' => static fn (string $path, string $font) => Brush::lake($path, 2640, 1760, 12),
            'Harbour at dusk.png' => static fn (string $path, string $font) => Brush::lake($path, 1920, 1080, 20, 250),
            'Porthole art.png' => static fn (string $path, string $font) => Brush::portholes($path, 1920, 1080),
            'Totem view.jpg' => static fn (string $path, string $font) => Brush::lake($path, 1080, 960, 15, 300),
            'Lake at noon, tall.jpg' => static fn (string $path, string $font) => Brush::lake($path, 1280, 2160, 12),
            'Quay at dawn.jpg' => static fn (string $path, string $font) => Brush::lake($path, 800, 800, 7, 250),
            'Hall view.jpg' => static fn (string $path, string $font) => Brush::lake($path, 3846, 2166, 12),
            'Lookout by day.jpg' => static fn (string $path, string $font) => Brush::lake($path, 7731, 1760, 12),
            'Lookout at dusk.jpg' => static fn (string $path, string $font) => Brush::lake($path, 7731, 1760, 20),
            'Lantern evening poster.png' => static fn (string $path, string $font) => Brush::poster(
                $path,
                1320,
                880,
                $font,
                'Lantern evening',
                'On the long pier, every Friday in March',
                '#1F3B4D',
                '#F2C879',
            ),
            'Season pass poster.webp' => static fn (string $path, string $font) => Brush::poster(
                $path,
                1320,
                880,
                $font,
                'Season pass',
                'Cross as often as you like until October',
                '#F4F1EA',
                '#A33F28',
            ),
            'Old timetable scan, kept for its lettering, 1000 by 800.jpg' => static fn (
                string $path,
                string $font,
            ) => Brush::poster($path, 1000, 800, $font, '1931', 'Steamers daily', '#E9DDC4', '#4A3B2A'),
            'Crossing to Ness.mp4' => static fn (string $path, string $font) => Footage::crossing(
                $path,
                1600,
                900,
                12,
                12,
            ),
            'Evening crossing.webm' => static fn (string $path, string $font) => Footage::crossing(
                $path,
                640,
                360,
                6,
                20,
            ),
        ];
    }
}
