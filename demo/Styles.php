<?php

declare(strict_types=1);

namespace UpperPane\Demo;

/** Two house styles of Harrowmere Landing: the same names, in other colours. */
final class Styles
{
    public const HARROWMERE = '0b0c1d01-0000-4000-8000-000000000001';
    /** id → name, as it is, as it is in fog */
    public const COLOURS = [
        'slate' => ['Slate', '#1D2A33', '#F2F5F7'],
        'chalk' => ['Chalk', '#F4F1EA', '#14212B'],
        'water' => ['Water', '#2E5F73', '#B9D6E2'],
        'pier' => ['Pier red', '#A63D2A', '#7A2E22'],
        'lamp' => ['Lamp', '#D9B44A', '#8A6A12'],
    ];
    /** id → name, face, weight, px, line height in thousandths */
    public const TYPES = [
        'headline' => ['Headline', 'Roboto', 700, 150, 1100],
        'title' => ['Title', 'Roboto', 700, 120, 1100],
        'body' => ['Body', 'Roboto', 400, 48, 1300],
        'times' => ['Times', 'JetBrains Mono', 700, 64, 1200],
    ];

    /** @return list<array{id: string, name: string, commands: list<array<string, mixed>>}> */
    public static function all(): array
    {
        return [
            self::style(self::HARROWMERE, 'Harrowmere', 1),
            self::style('0b0c1d01-0000-4000-8000-000000000002', 'Harrowmere in fog', 2),
        ];
    }

    /** @return array{id: string, name: string, commands: list<array<string, mixed>>} */
    private static function style(string $id, string $name, int $which): array
    {
        $commands = [];
        foreach (self::COLOURS as $colour => $of) {
            $put = ['name' => $of[0], 'hex' => $of[$which]];
            $commands[] = ['do' => 'style.colour', 'id' => $colour, 'colour' => $put];
        }
        foreach (self::TYPES as $type => [$called, $font, $weight, $size, $height]) {
            $step = ['name' => $called, 'font' => $font, 'weight' => $weight];
            $step += ['size' => $size, 'line_height' => $height];
            $commands[] = ['do' => 'style.type', 'id' => $type, 'type' => $step];
        }

        return ['id' => $id, 'name' => $name, 'commands' => $commands];
    }
}
