<?php

declare(strict_types=1);

namespace UpperPane\Demo;

/** The demo's pictures, no two of the same motif: around a tidal lake from dawn to night. */
final class Motifs
{
    /** Around an island: shallows, sand, meadow, wood, as wide to it and as much seen through. */
    private const SHORES = [
        ['#bfe0d2', 1.24, 0.5],
        ['#e8d9a8', 1.07, 1.0],
        ['#4f7d4c', 1.0, 1.0],
        ['#3b6742', 0.8, 1.0],
    ];

    /** First light: mist between the hills, and the early boat. */
    public static function dawn(string $path, int $width, int $height): void
    {
        $s = new Scenery($width, $height, 7);
        $shore = $s->y(0.6);
        $s->band(0, $shore, ['0' => '#5d7d9c', '0.5' => '#d9a98f', '0.85' => '#f8d7a6', '1' => '#fdebc8']);
        $s->clouds(7, $s->y(0.05), $s->y(0.3), '#f7c9a8');
        $s->glow($s->x(0.68), $s->y(0.53), $s->unit(48), '#fff1c9', 230);
        $s->draw(
            '<circle cx="%f" cy="%f" r="%f" fill="#fffaea"/>',
            ...[$s->x(0.68), $s->y(0.53), $s->unit(3.4)],
        );
        $s->ridge($s->y(0.5), $s->unit(16), $shore, '#a79aa6', '#e3c3ac', 2.2);
        $s->ridge($s->y(0.55), $s->unit(10), $shore, '#857f92', '#d9b9a4', 3.4);
        $s->band($s->y(0.53), $shore, ['0' => '#fbe6c700', '1' => '#fbe6c7cc']);
        $s->ridge($s->y(0.59), $s->unit(4), $shore, '#5e6478', '#8a8088', 6);
        $s->water($shore, ['0' => '#f3d3ac', '0.25' => '#b79f9c', '1' => '#3f5a6b'], '#fff0d4');
        $s->path($s->x(0.68), $shore, '#fff3cf');
        $s->ferry($s->x(0.16), $s->y(0.72), $s->unit(46));
        $s->grain()->save($path);
    }

    /** A regatta at noon. */
    public static function noon(string $path, int $width, int $height): void
    {
        $s = new Scenery($width, $height, 12);
        $shore = $s->y(0.5);
        $s->band(0, $shore, ['0' => '#3f86b5', '0.7' => '#a7d3e3', '1' => '#e2f1ef']);
        $s->clouds(12, $s->y(0.06), $s->y(0.32), '#ffffff', 18);
        $s->ridge($s->y(0.44), $s->unit(12), $shore, '#7fa3a6', '#b4cdc6', 2);
        $s->ridge($s->y(0.48), $s->unit(6), $shore, '#4f7f72', '#7ba38b', 4);
        $s->water($shore, ['0' => '#8fc3cc', '0.3' => '#3f8ba0', '1' => '#124a5f'], '#e9fbff', 900);
        foreach ([[0.2, 0.55, 14], [0.34, 0.57, 17], [0.47, 0.54, 12], [0.83, 0.6, 24], [0.64, 0.76, 46]] as $at) {
            $s->sail($s->x($at[0]), $s->y($at[1]), $s->unit($at[2]), ['#fbf6ea', '#f3d9a4', '#e6efe9'][$at[2] % 3]);
        }
        $s->grain(0.04)->save($path);
    }

    /** The harbour when its lamps are lit. */
    public static function harbour(string $path, int $width, int $height): void
    {
        $s = new Scenery($width, $height, 20);
        $shore = $s->y(0.56);
        $s->band(0, $shore, ['0' => '#141c38', '0.55' => '#5a4a72', '0.85' => '#c77f6c', '1' => '#eaa873']);
        $s->clouds(5, $s->y(0.2), $s->y(0.42), '#d58f7b');
        $s->ridge($s->y(0.5), $s->unit(12), $shore, '#3a3556', '#6e5063', 2.6);
        $s->water($shore, ['0' => '#b5765f', '0.3' => '#4c3f5e', '1' => '#131a30'], '#ffc98f', 420);
        foreach ([0.08, 0.19, 0.3, 0.41, 0.52] as $index => $at) {
            [$x, $y] = [$s->x($at), $s->y(0.62 + 0.03 * ($index % 2))];
            $s->draw(
                '<path d="M%f %f q%f %f %f 0 l%f %f h%f Z" fill="#1a1b2c"/>',
                ...[$x - $s->unit(7), $y, $s->unit(7), $s->unit(1.2), $s->unit(14), -$s->unit(1.6)],
                ...[$s->unit(3), -$s->unit(10.4)],
            );
            $s->draw(
                '<path d="M%f %f V%f M%f %f L%f %f" stroke="#1a1b2c" stroke-width="%f"/>',
                ...[$x, $y, $y - $s->unit(22 + 5 * ($index % 3)), $x, $y - $s->unit(21), $x + $s->unit(6)],
                ...[$y, $s->unit(0.35)],
            );
        }
        foreach ([0.6, 0.66] as $lamp) {
            $s->path($s->x($lamp), $s->y(0.62), '#ffd48a', 70, 2);
        }
        $s->draw(
            '<path d="M%f %f L%f %f L%f %f L%f %f Z" fill="#262236"/>',
            ...[$s->x(0.56), $s->height, $s->x(0.7), $s->y(0.6), $s->width, $s->y(0.57), $s->width],
            ...[$s->height],
        );
        $s->draw(
            '<path d="M%f %f L%f %f L%f %f L%f %f Z" fill="#3a3048"/>',
            ...[$s->x(0.6), $s->height, $s->x(0.71), $s->y(0.6), $s->width, $s->y(0.57), $s->width],
            ...[$s->y(0.86)],
        );
        foreach ([[0.74, 0.6, 20], [0.82, 0.64, 27], [0.93, 0.71, 38]] as [$x, $y, $high]) {
            [$left, $foot, $top] = [$s->x($x), $s->y($y), $s->y($y) - $s->unit($high)];
            $s->draw(
                '<path d="M%f %f V%f h%f" fill="none" stroke="#171526" stroke-width="%f"/>',
                ...[$left, $foot, $top, -$s->unit($high / 7), $s->unit(0.55)],
            );
            $s->glow($left - $s->unit($high / 7), $top, $s->unit($high * 0.7), '#ffd48a', 220);
        }
        $s->grain(0.06)->save($path);
    }

    /** The light on the mole. */
    public static function lighthouse(string $path, int $width, int $height): void
    {
        $s = new Scenery($width, $height, 15);
        $shore = $s->y(0.68);
        $s->band(0, $shore, ['0' => '#2f6f9a', '0.6' => '#8fc0d2', '1' => '#f1ead2']);
        $s->clouds(9, $s->y(0.08), $s->y(0.5), '#ffffff', 16);
        $s->ridge($s->y(0.65), $s->unit(7), $shore, '#6f96a0', '#a9c3bd', 2);
        $s->water($shore, ['0' => '#7fb4bd', '1' => '#1c5061'], '#f2fbf8', 500);
        $x = $s->x(0.62);
        $s->draw(
            '<path d="M%f %f Q%f %f %f %f T%f %f L%f %f Z" fill="#4a4d4f"/>',
            ...[$x - $s->unit(34), $s->y(0.8), $x - $s->unit(14), $s->y(0.66), $x, $s->y(0.7)],
            ...[$x + $s->unit(36), $s->y(0.82), $x, $s->y(0.86)],
        );
        $u = $s->unit();
        $s->add("<g transform=\"translate($x {$s->y(0.71)}) scale($u)\">".
            '<path d="M-8 0 L-5.2 -48 H5.2 L8 0 Z" fill="#f7f2e6"/>'.
            '<path d="M-7.4 -10 L-6.7 -22 H6.7 L7.4 -10 Z M-6 -34 L-5.4 -45 H5.4 L6 -34 Z" fill="#a63d2a"/>'.
            '<path d="M1 0 L1 -48 H5.2 L8 0 Z" fill="#000000" opacity="0.14"/>'.
            '<rect x="-7" y="-50.4" width="14" height="2.4" fill="#22363f"/>'.
            '<rect x="-4" y="-57" width="8" height="6.8" fill="#ffe6a3"/><path d="M-4 -57 V-50.4 M0 -57 '.
            'V-50.4 M4 -57 V-50.4" stroke="#22363f" stroke-width="0.7"/>'.
            '<path d="M-5 -57 Q0 -63 5 -57 Z" fill="#a63d2a"/><rect x="-2" y="-7" width="4" height="7" '.
            'fill="#22363f"/></g>');
        $s->glow($x, $s->y(0.71) - $s->unit(53.6), $s->unit(20), '#fff2c0', 170);
        foreach ([[0.2, 0.24], [0.28, 0.2], [0.33, 0.3]] as [$gx, $gy]) {
            $s->draw(
                '<path d="M%f %f q%f %f %f 0 q%f %f %f 0" fill="none" stroke="#33454d" '.
                    'stroke-width="%f"/>',
                ...[$s->x($gx), $s->y($gy), $s->unit(1.5), -$s->unit(2), $s->unit(3), $s->unit(1.5)],
                ...[-$s->unit(2), $s->unit(3), $s->unit(0.4)],
            );
        }
        $s->grain(0.04)->save($path);
    }

    /** Reeds before a mountain, upright. */
    public static function reeds(string $path, int $width, int $height): void
    {
        $s = new Scenery($width, $height, 31);
        $shore = $s->y(0.52);
        $s->band(0, $shore, ['0' => '#dfeadb', '0.6' => '#f3efd8', '1' => '#fbf5df']);
        $s->glow($s->x(0.3), $s->y(0.2), $s->unit(60), '#fff6d2', 220);
        $s->draw(
            '<path d="M%f %f L%f %f L%f %f L%f %f L%f %f Z" fill="%s"/>',
            ...[-$s->unit(10), $shore, $s->x(0.34), $s->y(0.3), $s->x(0.58), $s->y(0.2), $s->x(0.8)],
            ...[$s->y(0.37), $s->x(1.15), $shore, $s->fill(['0' => '#6f8f8d', '1' => '#c9d6bf'])],
        );
        $s->draw(
            '<path d="M%f %f L%f %f L%f %f L%f %f Z" fill="#f4f3ea"/>',
            ...[$s->x(0.5), $s->y(0.235), $s->x(0.58), $s->y(0.2), $s->x(0.65), $s->y(0.255), $s->x(0.57)],
            ...[$s->y(0.25)],
        );
        $s->ridge($s->y(0.49), $s->unit(14), $shore, '#5d8168', '#8fa97f', 2.5);
        $s->water($shore, ['0' => '#cfdcc4', '0.4' => '#86a89a', '1' => '#33584f'], '#f6f7e4', 420);
        for ($reed = 0; $reed < 120; ++$reed) {
            [$x, $foot] = [$s->between(-0.05, 1.05) * $s->width, $s->height + $s->unit(4)];
            $high = $s->unit($s->between(28, 78));
            $lean = $s->unit($s->between(-9, 12));
            $colour = ['#2c4a2f', '#3e5f36', '#577a41', '#7b8f4b'][$reed % 4];
            $s->draw(
                '<path d="M%.1f %.1f Q%.1f %.1f %.1f %.1f" fill="none" stroke="%s" '.
                    'stroke-width="%.1f" stroke-linecap="round"/>',
                ...[$x, $foot, $x, $foot - $high / 2, $x + $lean, $foot - $high, $colour],
                ...[$s->unit($s->between(0.4, 1))],
            );
            if ($reed % 5 === 0) {
                $s->draw(
                    '<ellipse cx="%.1f" cy="%.1f" rx="%.1f" ry="%.1f" fill="#5b3d26"/>',
                    ...[$x + $lean, $foot - $high, $s->unit(1.1), $s->unit(4.6)],
                );
            }
        }
        $s->grain(0.05)->save($path);
    }

    /** A bollard with its rope, on the planks. */
    public static function bollard(string $path, int $width, int $height): void
    {
        $s = new Scenery($width, $height, 5);
        $s->band(0, $s->y(0.46), ['0' => '#e8b68f', '1' => '#f9e3c1']);
        $s->glow($s->x(0.2), $s->y(0.3), $s->unit(40), '#fff1cf', 230);
        $s->band($s->y(0.4), $s->y(0.56), ['0' => '#c79c86', '1' => '#6a7480']);
        $s->path($s->x(0.2), $s->y(0.41), '#fff0cc', 90);
        for ($plank = 0; $plank < 9; ++$plank) {
            $top = $s->y(0.54) + ($s->height - $s->y(0.54)) * ($plank / 9) ** 1.35;
            $next = $s->y(0.54) + ($s->height - $s->y(0.54)) * (($plank + 1) / 9) ** 1.35;
            $s->band($top, $next, ['0' => '#a4846a', '0.85' => '#7d6250', '1' => '#3c2e27']);
        }
        [$x, $u] = [$s->x(0.58), $s->unit()];
        $rope = '';
        for ($turn = 0; $turn < 4; ++$turn) {
            $y = -16 - 4.2 * $turn;
            $round = "M-13 $y Q0 ".($y + 7)." 13 $y";
            $rope .= "<path d=\"$round\" fill=\"none\" stroke=\"#e3cfa3\" stroke-width=\"4\"/>".
                "<path d=\"$round\" fill=\"none\" stroke=\"#9a7f52\" stroke-width=\"4\" stroke-dasharray=\"0.8 2.4\"/>";
        }
        $s->add("<g transform=\"translate($x {$s->y(0.86)}) scale($u)\">".
            '<ellipse cx="16" cy="0" rx="34" ry="6" fill="#1d1410" opacity="0.4"/>'.
            '<path d="M-13 0 L-11 -36 H11 L13 0 Q0 5 -13 0 Z" fill="#2b2f33"/><path d="M3 1.8 L3 -36 H11 '.
            'L13 0 Q9 1.6 3 1.8 Z" fill="#000" opacity="0.35"/>'.
            '<path d="M-18 -36 Q-19 -45 0 -45 Q19 -45 18 -36 Q0 -31 -18 -36 Z" fill="#3a4045"/><path '.
            'd="M-14 -41 Q0 -45.6 12 -42" stroke="#8a949b" stroke-width="1.4" fill="none"/>'.
            $rope.'<path d="M13 -16 Q40 -8 62 -22" fill="none" stroke="#e3cfa3" stroke-width="3.4"/></g>');
        $s->grain(0.07)->save($path);
    }

    /** The lake from above, with its islands. */
    public static function islands(string $path, int $width, int $height): void
    {
        $s = new Scenery($width, $height, 44);
        $s->band(0, $s->height, ['0' => '#6fb1bb', '0.5' => '#2c7f92', '1' => '#0f4f63']);
        $s->glow($s->x(0.2), $s->y(0.1), $s->unit(90), '#e6fbf6', 120);
        for ($i = 0; $i < 900; ++$i) {
            $s->draw(
                '<ellipse cx="%.0f" cy="%.0f" rx="%.1f" ry="%.1f" fill="#dff5f2" '.
                    'fill-opacity="%.2f" transform="rotate(-8 %.0f %.0f)"/>',
                ...[$x = $s->between(0, $s->width), $y = $s->between(0, $s->height)],
                ...[$s->unit($s->between(0.5, 2.2)), $s->unit(0.12), $s->between(0.08, 0.3), $x, $y],
            );
        }
        $islands = [[0.2, 0.3, 17], [0.47, 0.18, 9], [0.76, 0.36, 22], [0.4, 0.86, 9], [0.1, 0.8, 13]];
        $islands[] = [0.66, 0.84, 10];
        foreach ($islands as [$cx, $cy, $size]) {
            foreach (self::SHORES as [$colour, $scale, $opacity]) {
                $points = [];
                for ($turn = 0; $turn < 40; ++$turn) {
                    $bay = 0.8 + 0.16 * sin($turn * 0.63 + $size) + 0.1 * sin($turn * 1.41 + 3 * $size);
                    [$reach, $angle] = [$s->unit($size) * $scale * $bay, $turn * \M_PI / 20];
                    $points[] = sprintf(
                        '%.1f %.1f',
                        $s->x($cx) + 1.5 * $reach * cos($angle),
                        $s->y($cy) + 0.72 * $reach * sin($angle),
                    );
                }
                $s->add('<polygon points="'.implode(' ', $points)."\" fill=\"$colour\" fill-opacity=\"$opacity\"/>");
            }
            $trees = [];
            for ($tree = 0; $tree < 4 * $size; ++$tree) {
                $angle = $s->between(0, 2 * \M_PI);
                $reach = $s->unit($size) * 0.62 * sqrt($s->between(0, 1));
                $trees[] = [$s->x($cx) + 1.5 * $reach * cos($angle), $s->y($cy) + 0.72 * $reach * sin($angle)];
            }
            usort($trees, static fn (array $a, array $b) => $a[1] <=> $b[1]);
            foreach ($trees as $index => [$x, $y]) {
                $s->tree($x, $y, $s->unit($s->between(3, 6)), ['#224a35', '#2d5a3c', '#1b3d2f'][$index % 3]);
            }
        }
        $s->draw(
            '<path d="M%f %f L%f %f L%f %f Z" fill="%s"/>',
            ...[$s->x(0.52), $s->y(0.565), $s->x(0.2), $s->y(0.5), $s->x(0.2), $s->y(0.63)],
            ...[$s->fill(['0' => '#ffffff00', '1' => '#ffffffaa'], 'x1="0" y1="0" x2="1" y2="0"')],
        );
        $s->ferry($s->x(0.5), $s->y(0.58), $s->unit(26));
        $s->grain(0.04)->save($path);
    }

    /** The whole far shore by day, as it is seen from the lookout. */
    public static function panorama(string $path, int $width, int $height): void
    {
        $s = new Scenery($width, $height, 63);
        $shore = $s->y(0.66);
        $s->band(0, $shore, ['0' => '#3f7fae', '0.6' => '#a9d0de', '1' => '#eef4e8']);
        $s->clouds(16, $s->y(0.08), $s->y(0.4), '#ffffff', 22);
        $s->ridge($s->y(0.5), $s->unit(26), $shore, '#9fb8c4', '#cddbd8', 5);
        $s->ridge($s->y(0.58), $s->unit(18), $shore, '#7d9f9f', '#b3c9b8', 9);
        $s->ridge($s->y(0.64), $s->unit(9), $shore, '#55836d', '#8fb08b', 14);
        foreach ([0.16, 0.49, 0.85] as $village) {
            for ($house = 0; $house < 16; ++$house) {
                [$x, $y] = [$s->x($village) + $s->unit($s->between(-26, 26)), $shore - $s->unit($s->between(0, 3))];
                $wide = $s->unit($s->between(1.6, 2.8));
                $s->draw(
                    '<path d="M%.1f %.1f v%.1f h%.1f v%.1f Z" fill="%s"/><path d="M%.1f %.1f '.
                        'l%.1f %.1f l%.1f %.1f Z" fill="%s"/>',
                    ...[$x, $y, -$wide, $wide, $wide, ['#f3ead6', '#e2c9a0', '#d8e0dc'][$house % 3]],
                    ...[$x - 0.2 * $wide, $y - $wide, 0.7 * $wide, -0.6 * $wide, 0.7 * $wide, 0.6 * $wide],
                    ...[['#8f3a28', '#5b4a44'][$house % 2]],
                );
            }
        }
        $s->water($shore, ['0' => '#9cc7c9', '0.4' => '#3f8797', '1' => '#17495b'], '#effbfb', 1400);
        foreach ([[0.31, 0.74, 17], [0.36, 0.72, 12], [0.71, 0.76, 20]] as [$x, $y, $high]) {
            $s->sail($s->x($x), $s->y($y), $s->unit($high));
        }
        $s->grain(0.03)->save($path);
    }

    /** Night over it: stars, the moon, lights of the villages. */
    public static function night(string $path, int $width, int $height): void
    {
        $s = new Scenery($width, $height, 63);
        $shore = $s->y(0.66);
        $s->band(0, $shore, ['0' => '#070b1f', '0.6' => '#1b2750', '1' => '#4a4f7c']);
        for ($star = 0; $star < 700; ++$star) {
            $s->draw(
                '<circle cx="%.0f" cy="%.0f" r="%.2f" fill="#ffffff" fill-opacity="%.2f"/>',
                ...[$s->between(0, $s->width), $s->between(0, 0.58) * $s->height],
                ...[$s->unit($s->between(0.06, 0.22)), $s->between(0.2, 0.95)],
            );
        }
        $s->glow($s->x(0.63), $s->y(0.22), $s->unit(44), '#f4ecd0', 190);
        $s->draw(
            '<circle cx="%f" cy="%f" r="%f" fill="#fbf5df"/>',
            ...[$s->x(0.63), $s->y(0.22), $s->unit(5)],
        );
        $s->ridge($s->y(0.52), $s->unit(26), $shore, '#2a3159', '#3a416b', 5);
        $s->ridge($s->y(0.59), $s->unit(18), $shore, '#1c2345', '#2b3158', 9);
        $s->ridge($s->y(0.64), $s->unit(9), $shore, '#10172f', '#1a2140', 14);
        $s->water($shore, ['0' => '#343c68', '0.4' => '#171f42', '1' => '#060a1a'], '#8fa0d8', 800);
        $s->path($s->x(0.63), $shore, '#fbf3d4', 420);
        foreach ([0.16, 0.49, 0.85] as $village) {
            for ($lamp = 0; $lamp < 26; ++$lamp) {
                [$x, $y] = [$s->x($village) + $s->unit($s->between(-26, 26)), $shore - $s->unit($s->between(0.2, 3.4))];
                $s->glow($x, $y, $s->unit(2.4), '#ffd28a', 230);
                $s->path($x, $shore, '#ffc77a', 5, 0.3);
            }
        }
        $s->grain(0.05)->save($path);
    }

    /** Afternoon on the water, for the film of the crossing: nothing that moves is in it. */
    public static function open(string $path, int $width, int $height): void
    {
        $s = new Scenery($width, $height, 27);
        $shore = $s->y(0.55);
        $s->band(0, $shore, ['0' => '#5b8fb0', '0.6' => '#c4d8d8', '1' => '#f6ecd2']);
        $s->clouds(9, $s->y(0.08), $s->y(0.34), '#fff4e0', 17);
        $s->ridge($s->y(0.5), $s->unit(18), $shore, '#8ea7ad', '#c9d0bf', 1.3);
        $s->ridge($s->y(0.54), $s->unit(7), $shore, '#5f8676', '#94a985', 3.3);
        for ($tree = 0; $tree < 70; ++$tree) {
            $s->tree($s->between(0, $s->width), $shore, $s->unit($s->between(1.6, 4.2)), '#3d6350');
        }
        $s->water($shore, ['0' => '#b9d2cc', '0.35' => '#5d9aa3', '1' => '#1f5566'], '#fbfdf4', 700);
        $s->grain(0.03)->save($path);
    }

    /** Dark water under the pier, for the film of the lanterns. */
    public static function underPier(string $path, int $width, int $height): void
    {
        $s = new Scenery($width, $height, 18);
        $shore = $s->y(0.36);
        $s->band(0, $shore, ['0' => '#1a1838', '1' => '#5c3f63']);
        $s->ridge($s->y(0.3), $s->unit(14), $shore, '#2c274d', '#48355a', 1.7);
        $s->water($shore, ['0' => '#5a3f5c', '0.4' => '#241f42', '1' => '#0b0c20'], '#c38f9b', 260);
        foreach ([0.06, 0.3, 0.7, 0.94] as $post) {
            $s->draw(
                '<rect x="%f" y="%f" width="%f" height="%f" fill="#0d0b1c"/>',
                ...[$s->x($post), $s->unit(6), $s->unit(3), $s->y(0.62)],
            );
        }
        $s->draw(
            '<rect y="%f" width="%d" height="%f" fill="#0d0b1c"/>',
            ...[$s->unit(2), $width, $s->unit(7)],
        );
        $s->grain(0.05)->save($path);
    }

    /** One boat or lantern alone, seen through around. */
    public static function sprite(string $path, bool $lantern, int $side): void
    {
        $s = new Scenery($side, $side, 1);
        if ($lantern) {
            $s->glow($side / 2, $side * 0.55, $side / 2, '#ffc46b', 150);
            $s->add(Prints::lantern($side / 2, $side * 0.32, $side * 0.2, '#ffcf7d'));
        } else {
            $s->ferry($side * 0.04, $side * 0.8, $side * 0.92);
        }
        $s->save($path);
    }
}
