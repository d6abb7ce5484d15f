<?php

declare(strict_types=1);

namespace UpperPane\Demo;

/**
 * A design of lists that belong together: the dishes go in step with their pictures, the season pass comes between the
 * posters, and the scene lasts as long as its pictures do.
 */
final class TodayAtTheCafe
{
    public const ID = '0b0c1d00-0000-4000-8000-00000000000a';
    private const FIRST = 'z-0b0c1d00';

    /**
     * @param array<string, string> $media name → id
     *
     * @return list<array<string, mixed>>
     */
    public static function commands(array $media): array
    {
        $dish = static fn (string $words) => Sketch::text($words, 150, ['valign' => 'middle', 'ground' => '#23343F']);
        $poster = static fn (string $words, string $ground) => Sketch::text($words, 170, [
            'align' => 'centre',
            'weight' => 700,
            'ground' => $ground,
            'colour' => '#FFFDF8',
        ]);
        $posters = Sketch::playlist([
            [Sketch::picture($media['Lantern evening poster.png'], 'contain'), 3500],
            [Sketch::picture($media['Lake at noon, tall.jpg']), 3500],
            [Sketch::picture($media['Season pass poster.webp'], 'contain'), 3500],
            [$poster("Lake swim\nSundays at 8", '#276B62'), 3500],
            [$poster("Bring your cup,\npay 40 less", '#A33F28'), 3500],
        ]);
        $posters['entries'][2] += ['between' => true];

        return [
            ['do' => 'scene.name', 'scene' => 's-rest', 'name' => 'Today'],
            Sketch::split(self::FIRST, 'columns', 2560, 'z-poster'),
            Sketch::split(self::FIRST, 'rows', 1440, 'z-dish'),
            Sketch::name(self::FIRST, 'Pictures'),
            Sketch::fill(self::FIRST, Sketch::playlist([
                [Sketch::picture($media['Lake at dawn.jpg']), 8000],
                [Sketch::picture($media['Harbour at dusk.png']), 6000],
                [Sketch::picture($media['Lake at noon.jpg']), 7000],
            ])),
            Sketch::name('z-dish', 'Dish'),
            Sketch::fill('z-dish', Sketch::playlist([
                [$dish("Smoked trout roll\n7.40"), 5000],
                [$dish("Leek pie\n6.80"), 5000],
                [$dish("Soup of the day\n5.50"), 5000],
            ])),
            ['do' => 'zone.follow', 'zone' => 'z-dish', 'follows' => ['zone' => self::FIRST, 'unequal' => 'wrap']],
            Sketch::name('z-poster', 'Posters'),
            Sketch::fill('z-poster', ['after' => 2] + $posters),
            ['do' => 'scene.length', 'scene' => 's-rest', 'length' => ['kind' => 'leader', 'zone' => self::FIRST]],
        ];
    }
}
