<?php

declare(strict_types=1);

namespace UpperPane\Demo;

use UpperPane\Core\Web\WebAddress;

/** A design in one house style throughout: a film under art, a page, a live picture, a chart, three scenes. */
final class DayOnTheLake
{
    public const ID = '0b0c1d00-0000-4000-8000-000000000009';
    private const FIRST = 'z-0b0c1d00';

    /**
     * @param array<string, string> $media name → id
     *
     * @return list<array<string, mixed>>
     */
    public static function commands(array $media): array
    {
        return [
            ['do' => 'design.style', 'style' => Styles::HARROWMERE],
            ...self::aboard($media),
            ...self::water($media),
            ...self::evening($media),
        ];
    }

    /**
     * @param array<string, string> $media
     *
     * @return list<array<string, mixed>>
     */
    private static function aboard(array $media): array
    {
        $art = ['anchor' => 'top-left', 'offset' => ['0px', '0px']];
        $words = ['anchor' => 'top-left', 'offset' => ['1227px', '297px']];

        return [
            ['do' => 'scene.name', 'scene' => 's-rest', 'name' => 'Aboard'],
            Sketch::split(self::FIRST, 'columns', 1920, 'z-noon'),
            Sketch::split(self::FIRST, 'rows', 1080, 'z-words'),
            Sketch::split('z-noon', 'rows', 1440, 'z-dial'),
            Sketch::split('z-dial', 'columns', 2880, 'z-code'),
            Sketch::name(self::FIRST, 'Film'),
            Sketch::fill(self::FIRST, Sketch::video($media['Crossing to Ness.mp4'])),
            Sketch::float('f-art', ['1920px', '1080px'], $art),
            Sketch::name('f-art', 'Bulkhead'),
            Sketch::fill('f-art', ['ground' => null] + Sketch::picture($media['Porthole art.png'])),
            Sketch::float('f-next', ['558px', '486px'], $words),
            Sketch::name('f-next', 'Next boat'),
            Sketch::fill('f-next', self::text("Ness\n12:45", 'headline', 'chalk', 'slate', ['align' => 'centre'])),
            Sketch::name('z-words', 'Welcome'),
            Sketch::fill('z-words', self::text(
                "Sit on the left for the islands.\nSoup and bread are served until Aldermoor.",
                ...['title', 'chalk', 'water'],
            )),
            Sketch::name('z-noon', 'The lake'),
            Sketch::fill('z-noon', Sketch::picture($media['Lake at noon.jpg'])),
            Sketch::fill('z-dial', [
                'kind' => 'dial',
                'hands' => self::colour('slate'),
                'face' => self::colour('chalk'),
                'accent' => self::colour('pier'),
                'ground' => self::colour('lamp'),
                'seconds' => true,
            ]),
            Sketch::name('z-code', 'Timetable to take along'),
            Sketch::fill('z-code', [
                'kind' => 'qr',
                'content' => ['as' => 'address', 'address' => 'https://harrowmere.example/boats'],
                'level' => 'M',
                'colour' => self::colour('slate'),
                'ground' => self::colour('chalk'),
            ]),
            ...self::lasting('s-rest', 12_000),
        ];
    }

    /**
     * @param array<string, string> $media
     *
     * @return list<array<string, mixed>>
     */
    private static function water(array $media): array
    {
        $in = static fn (array $command) => ['scene' => 's-water'] + $command;

        return [
            self::scene('s-water', 'How the lake is', 'z-page'),
            $in(Sketch::split('z-page', 'columns', 2080, 'z-camera')),
            $in(Sketch::split('z-camera', 'rows', 990, 'z-level')),
            Sketch::name('z-page', 'Tides'),
            Sketch::fill('z-page', [
                'kind' => 'web',
                'address' => WebAddress::STOCK.$media['Tides at Harrowmere.zip'],
                'width' => 820,
                'scroll' => 0,
                'refresh_s' => 600,
                'still' => null,
                'ground' => self::colour('chalk'),
            ]),
            Sketch::name('z-camera', 'The quay now'),
            Sketch::fill('z-camera', [
                'kind' => 'live',
                'source' => ['as' => 'stand-in', 'name' => 'camera'],
                'fit' => 'cover',
                'sound' => false,
                'still' => $media['Harbour at dusk.png'],
                'ground' => self::colour('slate'),
            ]),
            Sketch::name('z-level', 'Water at the landing'),
            Sketch::fill('z-level', [
                'kind' => 'chart',
                'form' => 'bars',
                'rows' => [['06:00', '3.1'], ['09:00', '4.4'], ['12:00', '2.6'], ['15:00', '1.2'], ['18:00', '2.9']],
                'unit' => 'm',
                'from' => '0',
                'to' => '5',
                'font' => 'Roboto',
                'weight' => 700,
                'size' => 110,
                'min_size' => 90,
                'padding' => 70,
                'ink' => self::colour('chalk'),
                'colour' => '#5B88A5',
                'accent' => self::colour('lamp'),
                'ground' => self::colour('slate'),
            ]),
            ...self::lasting('s-water', 15_000),
        ];
    }

    /**
     * @param array<string, string> $media
     *
     * @return list<array<string, mixed>>
     */
    private static function evening(array $media): array
    {
        $in = static fn (array $command) => ['scene' => 's-evening'] + $command;
        $friday = (new \DateTimeImmutable('first friday of march next year'))->format('Y-m-d');
        $count = ['kind' => 'count', 'at' => $friday.'T19:00:00', 'up' => false];
        $count += ['pattern' => "'Lanterns are lit in' D 'days' HH:mm"];

        return [
            self::scene('s-evening', 'Lantern evening', 'z-film'),
            $in(Sketch::split('z-film', 'rows', 2060, 'z-bar')),
            $in(Sketch::split('z-film', 'rows', 1485, 'z-count')),
            $in(Sketch::split('z-film', 'columns', 2640, 'z-poster')),
            Sketch::name('z-film', 'Harbour'),
            Sketch::fill('z-film', ['ground' => self::colour('slate')] + Sketch::picture(
                $media['Harbour at dusk.png'],
            )),
            Sketch::name('z-poster', 'Poster'),
            Sketch::fill('z-poster', ['ground' => self::colour('slate')] + Sketch::picture(
                $media['Lantern evening poster.png'],
                'contain',
            )),
            Sketch::name('z-count', 'How long still'),
            Sketch::fill('z-count', $count + ['align' => 'centre'] + array_diff_key(
                self::text('', 'title', 'slate', 'lamp'),
                ['kind' => 0, 'text' => 0],
            )),
            Sketch::fill('z-bar', [
                'kind' => 'progress',
                'of' => 'scene',
                'whole' => false,
                'form' => 'bar',
                'colour' => self::colour('pier'),
                'track' => self::colour('slate'),
                'ground' => self::colour('chalk'),
            ]),
            ...self::lasting('s-evening', 9000),
        ];
    }

    /** @return array<string, mixed> */
    private static function scene(string $id, string $name, string $zone): array
    {
        return ['do' => 'scene.add', 'scene' => $id, 'name' => $name, 'zone' => $zone] +
            ['before' => null, 'joins' => true];
    }

    /** @return list<array<string, mixed>> */
    private static function lasting(string $scene, int $ms): array
    {
        return [
            ['do' => 'scene.length', 'scene' => $scene, 'length' => ['kind' => 'ms', 'ms' => $ms]],
            ['do' => 'scene.transition', 'scene' => $scene, 'transition' => ['kind' => 'fade', 'ms' => 1200]],
        ];
    }

    /**
     * In a step of the style's scale and its colours.
     *
     * @param array<string, mixed> $with
     *
     * @return array<string, mixed>
     */
    private static function text(string $words, string $type, string $ink, string $ground, array $with = []): array
    {
        [, $font, $weight, $size, $height] = Styles::TYPES[$type];
        $with += ['type' => $type, 'colour' => self::colour($ink), 'ground' => self::colour($ground)];

        return Sketch::text($words, $size, $with + ['font' => $font, 'weight' => $weight, 'line_height' => $height]);
    }

    /** As a fill names a colour of the style, and what it was when it was chosen. */
    private static function colour(string $id): string
    {
        return $id.'@'.Styles::COLOURS[$id][1];
    }
}
