<?php

declare(strict_types=1);

namespace UpperPane\Demo;

/** The demo's posters, an old print, and art with openings. */
final class Prints
{
    /** Lanterns on their strings over the pier. */
    public static function lanterns(string $path, int $width, int $height, string $word, string $line): void
    {
        $s = new Scenery($width, $height, 9);
        $s->band(0, $s->height, ['0' => '#101c33', '0.6' => '#1f3b4d', '1' => '#0d1824']);
        foreach ([[0.08, 0.06, 26], [0.16, 0.22, 18]] as [$from, $hang, $size]) {
            $s->draw(
                '<path d="M0 %f Q%f %f %d %f" fill="none" stroke="#0a1019" '.
                    'stroke-width="%f"/>',
                ...[$s->y($from), $s->x(0.5), $s->y($from + 2 * $hang), $width, $s->y($from), $s->unit(0.35)],
            );
            for ($lamp = 1; $lamp < 8; ++$lamp) {
                $share = $lamp / 8;
                $y = $s->y($from + 4 * $hang * $share * (1 - $share));
                $colour = ['#f2c879', '#e98f5a', '#f6e3a8'][($lamp + $size) % 3];
                $s->glow($s->x($share), $y + $s->unit($size / 3), $s->unit($size * 0.8), $colour, 120);
                $s->add(self::lantern($s->x($share), $y, $s->unit($size / 4), $colour));
            }
        }
        $s->path($s->x(0.5), $s->y(0.86), '#f2c879', 160, 30);
        self::words($s, 0.74, 11.5, $word, '#f7e6bf');
        self::words($s, 0.84, 4.2, $line, '#f2c879', 400);
        $s->grain(0.07)->save($path);
    }

    /** A ticket, punched. */
    public static function ticket(string $path, int $width, int $height, string $word, string $line): void
    {
        $s = new Scenery($width, $height, 3);
        $s->band(0, $s->height, ['0' => '#f4f1ea', '1' => '#e4dcc9']);
        for ($wave = 0; $wave < 9; ++$wave) {
            $y = $s->y(0.72) + $s->unit(4.2 * $wave);
            $d = sprintf('M%f %f', -$s->unit(10), $y);
            for ($x = 0; $x < 16; ++$x) {
                $d .= sprintf(' q%f %f %f 0', $s->unit(6), ($x % 2 ? 1 : -1) * $s->unit(3), $s->unit(12));
            }
            $s->draw(
                '<path d="%s" fill="none" stroke="#276b62" stroke-opacity="%f" '.
                    'stroke-width="%f"/>',
                ...[$d, 0.1 + 0.06 * $wave, $s->unit(0.8)],
            );
        }
        $u = $s->unit();
        $s->add("<g transform=\"translate({$s->x(0.53)} {$s->y(0.1)}) rotate(7) scale($u)\">".
            '<rect x="1.4" y="2" width="62" height="36" rx="3" fill="#000" opacity="0.18"/>'.
            '<path fill-rule="evenodd" d="M3 0 H59 Q62 0 62 3 V13 a5 5 0 0 0 0 10 V33 Q62 36 59 36 H3 Q0 '.
            '36 0 33 V23 a5 5 0 0 0 0 -10 V3 Q0 0 3 0 Z M49 8 a3 3 0 1 0 0.1 0 Z" fill="#a33f28"/>'.
            '<path d="M14 3 V33" stroke="#f4f1ea" stroke-width="0.6" stroke-dasharray="1.6 1.2"/>'.
            '<path d="M22 27 q8 -5 16 0 t16 0" stroke="#f2c879" stroke-width="1.2" fill="none"/>'.
            '<path d="M25 23 h24 l-3 4 h-18 Z M31 22.6 v-10 l10 9.6 Z" fill="#f4f1ea"/></g>');
        self::words($s, 0.6, 13, $word, '#a33f28');
        self::words($s, 0.69, 4.2, $line, '#4a3b2a', 400);
        $s->grain(0.06)->save($path);
    }

    /** An old print: a steamer in lines, and a table nobody can read any more. */
    public static function timetable(string $path, int $width, int $height, string $word, string $line): void
    {
        $s = new Scenery($width, $height, 31);
        $s->band(0, $s->height, ['0' => '#efe4cb', '1' => '#dfcfab']);
        $s->glow($s->x(0.15), $s->y(0.1), $s->unit(60), '#b58f57', 60);
        $s->glow($s->x(0.95), $s->y(0.95), $s->unit(50), '#7d5a2e', 70);
        $s->draw(
            '<rect x="%f" y="%f" width="%f" height="%f" fill="none" stroke="#4a3b2a" '.
                'stroke-width="%f"/>',
            ...[$s->unit(4), $s->unit(4), $s->width - $s->unit(8), $s->height - $s->unit(8), $s->unit(0.7)],
        );
        $u = $s->unit(0.56);
        $s->add("<g transform=\"translate({$s->x(0.24)} {$s->y(0.52)}) scale($u)\"><g ".
            'fill="none" stroke="#4a3b2a" stroke-width="0.9">'.
            '<path d="M0 -10 L118 -12 Q112 0 104 2 L12 2 Q4 0 0 -10 Z M14 -10.4 V-20 H96 V-12 M44 -20 '.
            'V-46 H54 V-20 M24 -15 h6 m4 0 h6 m4 0 h6 m4 0 h6 m4 0 h6 m4 0 h6 m4 0 h6"/>'.
            '<circle cx="66" cy="-6" r="11"/><path d="M66 -17 V5 M55 -6 H77 M58.2 -13.8 L73.8 1.8 M73.8 '.
            '-13.8 L58.2 1.8"/>'.
            '<path d="M49 -46 q-6 -8 2 -12 q-10 -8 4 -14 q10 -6 26 -4" stroke-width="0.7"/>'.
            '<path d="M-16 6 q8 -4 16 0 t16 0 t16 0 t16 0 t16 0 t16 0 t16 0 t16 0 t16 0 M-8 10 q8 -4 16 0 '.
            't16 0 t16 0 t16 0 t16 0 t16 0 t16 0 t16 0"/></g></g>');
        for ($row = 0; $row < 6; ++$row) {
            for ($column = 0; $column < 4; ++$column) {
                $x = $s->unit(72 + 12 * $column * 0.9);
                $y = $s->y(0.62) + $s->unit(4.4 * $row);
                $s->draw(
                    '<path d="M%f %f h%f" stroke="#4a3b2a" stroke-width="%f" '.
                        'stroke-dasharray="%f %f" stroke-opacity="0.75"/>',
                    ...[$x, $y, $s->unit($column === 0 ? 9 : 6), $s->unit(1.1), $s->unit(0.8)],
                    ...[$s->unit(0.35)],
                );
            }
        }
        self::words($s, 0.8, 19, $word, '#4a3b2a', 700, 'DejaVu Serif');
        self::words($s, 0.9, 5.4, $line, '#4a3b2a', 400, 'DejaVu Serif');
        $s->grain(0.12)->save($path);
    }

    /** A bulkhead with two openings to look through: a round one, and a wide one for words. */
    public static function portholes(string $path, int $width, int $height): void
    {
        $s = new Scenery($width, $height, 4);
        [$unit, $x, $y] = [$height / 20, $width / 3, $height / 2];
        [$reach, $left, $right] = [6.5 * $unit, 5 * $width / 8, $width - 2 * $unit];
        $hole = sprintf(
            'M%1$f %2$f a%3$f %3$f 0 1 0 %4$f 0 a%3$f %3$f 0 1 0 -%4$f 0 Z',
            ...[$x - $reach, $y, $reach, 2 * $reach],
        );
        $wide = sprintf(
            'M%1$f %2$f H%3$f V%4$f H%1$f Z',
            ...[$left + $unit / 2, 5.5 * $unit, $right - $unit / 2, 14.5 * $unit],
        );
        $s->add('<clipPath id="open"><path clip-rule="evenodd" d="M0 0 H'.$width.' V'.$height.' H0 Z '.
            $hole.' '.$wide.'"/></clipPath><g clip-path="url(#open)">');
        $s->band(0, $height, ['0' => '#2c5068', '0.5' => '#1f3b4d', '1' => '#152b3a']);
        for ($row = $unit; $row < $height; $row += 3 * $unit) {
            $s->add("<path d=\"M0 $row H$width\" stroke=\"#10222e\" stroke-width=\"3\"/>")->draw(
                '<path d="M0 %f H%d" stroke="#4a7288" stroke-width="1.5" stroke-opacity="0.6"/>',
                ...[$row + 3, $width],
            );
            for ($rivet = $unit; $rivet < $width; $rivet += 2 * $unit) {
                $s->draw(
                    '<circle cx="%f" cy="%f" r="5" fill="#16303f"/><circle cx="%f" cy="%f" '.
                        'r="2" fill="#7fa0b0"/>',
                    ...[$rivet, $row + $unit / 3, $rivet - 1.4, $row + $unit / 3 - 1.4],
                );
            }
        }
        $metal = ['0' => '#f0d595', '0.4' => '#c9a25b', '0.7' => '#8e6b2f', '1' => '#d9b671'];
        $brass = $s->fill($metal, 'x1="0" y1="0" x2="1" y2="1"');
        $s->draw(
            '<circle cx="%f" cy="%f" r="%f" fill="#0b1a24" fill-opacity="0.5"/><circle '.
                'cx="%f" cy="%f" r="%f" fill="%s"/>',
            ...[$x + 8, $y + 10, $reach + $unit, $x, $y, $reach + $unit, $brass],
        );
        for ($bolt = 0; $bolt < 12; ++$bolt) {
            [$out, $angle] = [$reach + $unit / 2, $bolt * \M_PI / 6];
            [$bx, $by] = [$x + $out * cos($angle), $y + $out * sin($angle)];
            $s->draw(
                '<circle cx="%1$f" cy="%2$f" r="%3$f" fill="#5e451c"/><path d="M%4$f %2$f '.
                    'h%5$f" stroke="#f0d595" stroke-width="2"/>',
                ...[$bx, $by, $unit / 4, $bx - $unit / 6, $unit / 3],
            );
        }
        $s->draw(
            '<rect x="%f" y="%f" width="%f" height="%f" fill="#0b1a24" '.
                'fill-opacity="0.5"/><rect x="%f" y="%f" width="%f" height="%f" fill="%s"/>',
            ...[$left + 8, 5 * $unit + 10, $right - $left, 10 * $unit, $left, 5 * $unit, $right - $left],
            ...[10 * $unit, $brass],
        );
        $s->grain(0.06)->add('</g>')->save($path);
    }

    /** One of paper; `half` is half as wide as its ends. */
    public static function lantern(float $x, float $top, float $half, string $colour): string
    {
        return sprintf(
            '<g transform="translate(%1$f %2$f) scale(%6$f)"><rect x="-0.45" y="-0.12" width="0.9" '.
            'height="0.16" fill="#2a1b14"/>'.
                '<path d="M-0.45 0 Q-1.25 %3$s -0.45 %4$s H0.45 Q1.25 %3$s 0.45 0 Z" fill="%5$s"/>'.
                '<path d="M-0.2 0 Q-0.5 %3$s -0.2 %4$s M0.2 0 Q0.5 %3$s 0.2 %4$s" stroke="#00000033" '.
                'stroke-width="0.06" fill="none"/>'.
                '<rect x="-0.45" y="%4$s" width="0.9" height="0.16" fill="#2a1b14"/></g>',
            ...[$x, $top, '1.1', '2.2', $colour, $half],
        );
    }

    private static function words(
        Scenery $s,
        float $share,
        float $size,
        string $words,
        string $ink,
        int $weight = 700,
        string $face = 'Roboto',
    ): void {
        $s->add(sprintf(
            '<text x="%f" y="%f" font-family="%s" font-weight="%d" font-size="%f" fill="%s">%s</text>',
            ...[$s->unit(7), $s->y($share), $face, $weight, $s->unit($size), $ink],
            ...[htmlspecialchars($words, \ENT_XML1)],
        ));
    }
}
