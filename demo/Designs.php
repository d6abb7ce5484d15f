<?php

declare(strict_types=1);

namespace UpperPane\Demo;

/** The designs of Harrowmere Landing, each as the commands a designer would have given. */
final class Designs
{
    /**
     * @param array<string, string> $media name → id
     *
     * @return list<array{surface: string, id: string, name: string, commands: list<array<string, mixed>>,
     *     release: bool}>
     */
    public static function all(array $media): array
    {
        return [
            [
                'surface' => 'booking',
                'id' => '0b0c1d00-0000-4000-8000-000000000001',
                'name' => 'Booking office board',
                'commands' => self::booking($media),
                'release' => true,
            ],
            [
                'surface' => 'gate-1',
                'id' => '0b0c1d00-0000-4000-8000-000000000002',
                'name' => 'Gate 1, sailings and notices',
                'commands' => self::gate($media, '1', 'Ness and Aldermoor'),
                'release' => true,
            ],
            [
                'surface' => 'gate-2',
                'id' => '0b0c1d00-0000-4000-8000-000000000003',
                'name' => 'Gate 2, sailings and notices',
                'commands' => self::gate($media, '2', 'Whinfell via Tarn Holm'),
                'release' => false,
            ],
            [
                'surface' => 'hall',
                'id' => '0b0c1d00-0000-4000-8000-000000000004',
                'name' => 'Welcome to the lake',
                'commands' => self::hall($media),
                'release' => true,
            ],
            [
                'surface' => 'kiosk',
                'id' => '0b0c1d00-0000-4000-8000-000000000006',
                'name' => 'Buy your ticket here',
                'commands' => self::kiosk($media),
                'release' => true,
            ],
            [
                'surface' => 'ribbon',
                'id' => '0b0c1d00-0000-4000-8000-000000000007',
                'name' => 'Next boats',
                'commands' => self::ribbon(),
                'release' => true,
            ],
            [
                'surface' => 'lookout',
                'id' => '0b0c1d00-0000-4000-8000-000000000008',
                'name' => 'What you see from here',
                'commands' => self::lookout($media),
                'release' => true,
            ],
            [
                'surface' => 'cafe',
                'id' => TodayAtTheCafe::ID,
                'name' => 'Today at the café',
                'commands' => TodayAtTheCafe::commands($media),
                'release' => false,
            ],
            [
                'surface' => 'cafe',
                'id' => DayOnTheLake::ID,
                'name' => 'A day on the lake',
                'commands' => DayOnTheLake::commands($media),
                'release' => false,
            ],
            [
                'surface' => 'cafe',
                'id' => '0b0c1d00-0000-4000-8000-000000000005',
                'name' => 'Café menu',
                'commands' => self::cafe($media),
                'release' => false,
            ],
        ];
    }

    /**
     * @param array<string, string> $media
     *
     * @return list<array<string, mixed>>
     */
    private static function booking(array $media): array
    {
        return [
            Sketch::split('z-0b0c1d00', 'rows', 880, 'z-strip'),
            Sketch::split('z-0b0c1d00', 'columns', 1320, 'z-notice'),
            Sketch::size('z-strip', '200px'),
            Sketch::split('z-notice', 'rows', 560, 'z-clock'),
            Sketch::fill(
                'z-0b0c1d00',
                Sketch::playlist([
                    [Sketch::picture($media['Lake at dawn.jpg']), 8000],
                    [Sketch::picture($media['Lantern evening poster.png'], 'contain'), 6000],
                    [Sketch::video($media['Crossing to Ness.mp4']), null],
                    [Sketch::picture($media['Season pass poster.webp'], 'contain'), 6000],
                ]),
            ),
            Sketch::name('z-0b0c1d00', 'Main picture'),
            Sketch::fill(
                'z-notice',
                Sketch::text(
                    "Low water at Aldermoor\n\nBetween 11:40 and 13:10 boats for Aldermoor leave ".
                    'from the outer pontoon. Please allow ten minutes for the walk.',
                    56,
                    ['valign' => 'top'],
                ),
            ),
            Sketch::name('z-notice', 'Notice'),
            Sketch::fill(
                'z-clock',
                Sketch::clock('HH:mm', 190, ['align' => 'centre', 'ground' => '#276B62', 'weight' => 700]),
            ),
            Sketch::fill(
                'z-strip',
                Sketch::text('Harrowmere Landing   ·   Tickets until 20:30   ·   Last boat to Ness 21:15', 64, [
                    'ground' => '#A33F28',
                    'colour' => '#FFFDF8',
                    'mode' => 'shrink',
                    'align' => 'centre',
                ]),
            ),
        ];
    }

    /**
     * @param array<string, string> $media
     *
     * @return list<array<string, mixed>>
     */
    private static function gate(array $media, string $gate, string $to): array
    {
        return [
            Sketch::split('z-0b0c1d00', 'rows', 320, 'z-view'),
            Sketch::split('z-view', 'rows', 1280, 'z-notice'),
            Sketch::split('z-notice', 'rows', 1720, 'z-clock'),
            Sketch::fill('z-0b0c1d00', Sketch::text("Gate $gate\n$to", 96, ['ground' => '#276B62', 'weight' => 700])),
            Sketch::fill('z-view', Sketch::picture($media['Totem view.jpg'])),
            Sketch::fill(
                'z-notice',
                Sketch::text('Bicycles board first. Dogs on a lead are welcome on the open deck.', 64),
            ),
            Sketch::fill(
                'z-clock',
                Sketch::clock('EEEE d MMMM HH:mm', 72, ['align' => 'centre', 'ground' => '#0F1A21']),
            ),
        ];
    }

    /**
     * @param array<string, string> $media
     *
     * @return list<array<string, mixed>>
     */
    private static function hall(array $media): array
    {
        return [
            Sketch::split('z-0b0c1d00', 'columns', 3846, 'z-side'),
            Sketch::split('z-side', 'rows', 1083, 'z-poster'),
            Sketch::fill('z-0b0c1d00', Sketch::picture($media['Hall view.jpg'])),
            Sketch::fill('z-side', Sketch::video($media['Crossing to Ness.mp4'])),
            Sketch::fill('z-poster', Sketch::text('Welcome to Harrowmere Landing', 220, ['align' => 'centre'])),
        ];
    }

    /**
     * @param array<string, string> $media
     *
     * @return list<array<string, mixed>>
     */
    private static function cafe(array $media): array
    {
        return [
            Sketch::split('z-0b0c1d00', 'columns', 1280, 'z-middle'),
            Sketch::split('z-middle', 'columns', 2560, 'z-right'),
            Sketch::fill(
                'z-0b0c1d00',
                Sketch::text("Tea 2.80\nCoffee 3.20\nCocoa 3.60\nApple juice 2.90", 150, ['valign' => 'top']),
            ),
            Sketch::fill(
                'z-middle',
                Sketch::text("Smoked trout roll 7.40\nLeek pie 6.80\nSoup of the day 5.50", 150, [
                    'valign' => 'top',
                    'ground' => '#23343F',
                ]),
            ),
            Sketch::fill('z-right', Sketch::picture($media['Lake at noon, tall.jpg'])),
        ];
    }

    /**
     * @param array<string, string> $media
     *
     * @return list<array<string, mixed>>
     */
    private static function kiosk(array $media): array
    {
        return [
            Sketch::split('z-0b0c1d00', 'columns', 800, 'z-word'),
            Sketch::split('z-word', 'rows', 560, 'z-clock'),
            Sketch::fill('z-0b0c1d00', Sketch::picture($media['Quay at dawn.jpg'])),
            Sketch::fill(
                'z-word',
                Sketch::text('Touch to buy your ticket', 72, [
                    'weight' => 700,
                    'ground' => '#A33F28',
                    'colour' => '#FFFDF8',
                    'align' => 'centre',
                ]),
            ),
            Sketch::fill('z-clock', Sketch::clock('HH:mm', 96, ['align' => 'centre', 'ground' => '#0F1A21'])),
            ['do' => 'layout.make', 'scene' => 's-rest', 'way' => 'crossed'],
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function ribbon(): array
    {
        $words = static fn (string $text) => Sketch::text($text, 56, [
            'mode' => 'shrink',
            'ground' => '#0F1A21',
            'weight' => 700,
            'padding' => 12,
        ]);

        return [
            Sketch::split('z-0b0c1d00', 'columns', 760, 'z-clock'),
            Sketch::size('z-clock', '200px'),
            Sketch::fill(
                'z-0b0c1d00',
                Sketch::playlist([
                    [$words('12:45 Ness, gate 1'), 6000],
                    [$words('13:10 Aldermoor, gate 2'), 6000],
                    [$words('13:30 Tarn Holm, gate 1'), 6000],
                ]),
            ),
            Sketch::fill(
                'z-clock',
                Sketch::clock('HH:mm', 64, ['align' => 'centre', 'ground' => '#276B62', 'padding' => 6]),
            ),
        ];
    }

    /**
     * @param array<string, string> $media
     *
     * @return list<array<string, mixed>>
     */
    private static function lookout(array $media): array
    {
        $view = Sketch::picture($media['Lookout by day.jpg']);

        return [
            Sketch::split('z-0b0c1d00', 'rows', 1760, 'z-word'),
            Sketch::size('z-word', '400px'),
            Sketch::split('z-word', 'columns', 3866, 'z-time'),
            Sketch::fill('z-time', Sketch::clock('HH:mm', 240, ['align' => 'centre', 'ground' => '#0F1A21'])),
            Sketch::fill('z-0b0c1d00', $view),
            Sketch::fill(
                'z-word',
                Sketch::text(
                    'Ness lies to the left, Aldermoor straight ahead, and on clear days Tarn Holm far behind it',
                    140,
                    ['align' => 'left'],
                ),
            ),
            Sketch::name('z-word', 'What lies where'),
            ['do' => 'scene.name', 'scene' => 's-rest', 'name' => 'By day'],
            [
                'do' => 'scene.duplicate',
                'scene' => 's-rest',
                'as' => 's-night',
                'name' => 'At dusk',
                'copies' => ['z-0b0c1d00' => 'z-dusk'],
                'joins' => true,
            ],
            Sketch::fill('z-dusk', Sketch::picture($media['Lookout at dusk.jpg'])),
            ['do' => 'scene.length', 'scene' => 's-rest', 'length' => ['kind' => 'ms', 'ms' => 12_000]],
            ['do' => 'scene.length', 'scene' => 's-night', 'length' => ['kind' => 'ms', 'ms' => 8000]],
            ['do' => 'scene.transition', 'scene' => 's-night', 'transition' => ['kind' => 'fade', 'ms' => 1500]],
            ['do' => 'scene.transition', 'scene' => 's-rest', 'transition' => ['kind' => 'fade', 'ms' => 1500]],
        ];
    }
}
