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
    /** By site. */
    public const GROUPS = ['harrowmere' => ['Gates', 'Hall'], 'aldermoor' => []];

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

    /** @return array<string, \Closure(string): void> file name → what draws it at a path */
    public static function media(): array
    {
        return [
            'Lake at dawn.jpg' => static fn (string $path) => Motifs::dawn($path, 3960, 2640),
            'Lake at noon.jpg' => static fn (string $path) => Motifs::noon($path, 2640, 1760),
            'Harbour at dusk.png' => static fn (string $path) => Motifs::harbour($path, 2640, 1485),
            'Porthole art.png' => static fn (string $path) => Prints::portholes($path, 1920, 1080),
            'Totem view.jpg' => static fn (string $path) => Motifs::lighthouse($path, 1080, 960),
            'Lake at noon, tall.jpg' => static fn (string $path) => Motifs::reeds($path, 1280, 2160),
            'Quay at dawn.jpg' => static fn (string $path) => Motifs::bollard($path, 800, 800),
            'Hall view.jpg' => static fn (string $path) => Motifs::islands($path, 3846, 2166),
            'Lookout by day.jpg' => static fn (string $path) => Motifs::panorama($path, 7731, 1760),
            'Lookout at dusk.jpg' => static fn (string $path) => Motifs::night($path, 7731, 1760),
            'Lantern evening poster.png' => static fn (string $path) => Prints::lanterns(
                ...[$path, 1320, 880, 'Lantern evening', 'On the long pier, every Friday in March'],
            ),
            'Season pass poster.webp' => static fn (string $path) => Prints::ticket(
                ...[$path, 1320, 880, 'Season pass', 'Cross as often as you like until October'],
            ),
            'Old timetable scan, kept for its lettering, 1000 by 800.jpg' => static fn (
                string $path,
            ) => Prints::timetable($path, 1000, 800, '1931', 'Steamers daily'),
            'Tides at Harrowmere.zip' => self::page(...),
            'Crossing to Ness.mp4' => static fn (string $path) => Footage::crossing($path, 1600, 900, 12),
            'Evening crossing.webm' => static fn (string $path) => Footage::lanterns($path, 640, 360, 6),
        ];
    }

    /** The page that ships with the app, as somebody would put it into the Stock. */
    private static function page(string $path): void
    {
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        $zip->addFile(\dirname(__DIR__).'/public/stand-in/tides.html', 'index.html');
        $zip->close();
    }
}
