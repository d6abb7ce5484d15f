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

    /** @return list<array{code: string, name: string, kind: string, shape: array<string, mixed>, left: int, floor: int, player: string}> */
    public static function surfaces(): array
    {
        $panel = static fn (array $native, array $mm, float $bezel, int $rotation = 0) => [
            'native' => $native, 'active_mm' => $mm, 'bezel_mm' => [$bezel, $bezel, $bezel, $bezel], 'rotation' => $rotation,
        ];
        $one = static fn (array $panel) => ['panels' => [$panel]];

        return [
            ['code' => 'kiosk', 'name' => 'Ticket kiosk', 'kind' => 'LCD', 'shape' => $one($panel([1280, 800], [344.6, 215.4], 9)), 'left' => 300, 'floor' => 1150, 'player' => 'kiosk-1'],
            ['code' => 'booking', 'name' => 'Booking office', 'kind' => 'LCD', 'shape' => $one($panel([1920, 1080], [1209.6, 680.4], 9)), 'left' => 1000, 'floor' => 1900, 'player' => 'booking-1'],
            ['code' => 'gate-1', 'name' => 'Gate 1 totem', 'kind' => 'LCD', 'shape' => $one($panel([1080, 1920], [604.8, 1075.2], 12)), 'left' => 2600, 'floor' => 500, 'player' => 'gate-1'],
            ['code' => 'gate-2', 'name' => 'Gate 2 totem', 'kind' => 'LCD', 'shape' => $one($panel([1920, 1080], [1075.2, 604.8], 12, 90)), 'left' => 3950, 'floor' => 500, 'player' => 'gate-2'],
            ['code' => 'hall', 'name' => 'Hall wall', 'kind' => 'LCD', 'shape' => ['grid' => ['columns' => 3, 'rows' => 2, 'panel' => $panel([1920, 1080], [1209.6, 680.4], 1.89)]], 'left' => 5300, 'floor' => 1500, 'player' => 'hall-1'],
            ['code' => 'ribbon', 'name' => 'Quay ribbon', 'kind' => 'LED', 'shape' => $one($panel([960, 96], [5760, 576], 0)), 'left' => 4300, 'floor' => 3300, 'player' => 'ribbon-1'],
            ['code' => 'lookout', 'name' => 'Lookout pair', 'kind' => 'LCD', 'shape' => ['grid' => ['columns' => 2, 'rows' => 1, 'panel' => $panel([3840, 2160], [1209.6, 680.4], 8)]], 'left' => 9500, 'floor' => 1050, 'player' => 'lookout-1'],
            ['code' => 'cafe', 'name' => 'Café menu board', 'kind' => 'LCD', 'shape' => $one($panel([3840, 2160], [1428.5, 803.5], 10)), 'left' => 10400, 'floor' => 2500, 'player' => 'cafe-1'],
        ];
    }

    /** @return array<string, \Closure(string, string): void> file name → what draws it at a path with a font */
    public static function media(): array
    {
        return [
            'Lake at dawn.jpg' => static fn (string $path, string $font) => Brush::lake($path, 3960, 2640, 7),
            'Lake at noon.jpg' => static fn (string $path, string $font) => Brush::lake($path, 2640, 1760, 12),
            'Harbour at dusk.png' => static fn (string $path, string $font) => Brush::lake($path, 1920, 1080, 20, 250),
            'Totem view.jpg' => static fn (string $path, string $font) => Brush::lake($path, 1080, 1440, 15, 300),
            'Lantern evening poster.png' => static fn (string $path, string $font) => Brush::poster($path, 1320, 880, $font, 'Lantern evening', 'On the long pier, every Friday in March', '#1F3B4D', '#F2C879'),
            'Season pass poster.webp' => static fn (string $path, string $font) => Brush::poster($path, 1320, 880, $font, 'Season pass', 'Cross as often as you like until October', '#F4F1EA', '#A33F28'),
            'Old timetable scan, kept for its lettering, 1000 by 800.jpg' => static fn (string $path, string $font) => Brush::poster($path, 1000, 800, $font, '1931', 'Steamers daily', '#E9DDC4', '#4A3B2A'),
            'Crossing to Ness.mp4' => static fn (string $path, string $font) => Footage::crossing($path, 1280, 720, 12, 12),
            'Evening crossing.webm' => static fn (string $path, string $font) => Footage::crossing($path, 640, 360, 6, 20),
        ];
    }
}
