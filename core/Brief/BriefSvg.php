<?php

declare(strict_types=1);

namespace UpperPane\Core\Brief;

use UpperPane\Core\Geometry\Rect;

/** The drawing of one scene of a brief sheet as SVG 1.1, in mm on paper at the stated scale. */
final class BriefSvg
{
    private const ROOM_MM = [400, 280];
    private const MARGIN_MM = 5;
    private const LETTERS_MM = 4;

    public static function write(BriefSheet $sheet, BriefScene $scene): string
    {
        $scale = BriefScale::fitting($sheet->canvas, $sheet->um, self::ROOM_MM);
        [, , $width, $height] = $scale->mm($sheet->canvas->rect());
        $margin = self::MARGIN_MM;
        $wide = self::mm($width + 2 * $margin);
        $high = self::mm($height + 2 * $margin);
        $title = self::text("{$sheet->design}, {$scene->name}, {$scene->lasts()}, {$scale->toText()}");
        $svg = "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$wide}mm\" height=\"{$high}mm\"".
            " viewBox=\"-$margin -$margin $wide $high\">\n<title>$title</title>\n".
            self::rect(
                $scale,
                $sheet->canvas->rect(),
                0,
                'canvas',
                'fill="#ffffff" stroke="#1d2a33" stroke-width="0.5"',
            );
        foreach ($scene->drawn as $zone) {
            $svg .= self::rect(
                $scale,
                $zone->rect,
                $zone->turnCentidegrees,
                "zone-$zone->letter",
                'fill="#fffdf8" fill-opacity="0.85" stroke="#1d2a33" stroke-width="0.3"',
            );
        }
        $labels = new BriefLabels();
        foreach (array_reverse($scene->drawn) as $zone) {
            $words = "$zone->letter  {$zone->rect->width} × {$zone->rect->height} px";
            [$x, $y] = $labels->place($scale->mm($zone->rect), $words, self::LETTERS_MM);
            $at = sprintf('x="%s" y="%s"', self::mm($x + 1.5), self::mm($y + 1.25 * self::LETTERS_MM));
            $size = self::LETTERS_MM;
            $svg .= "<text $at font-family=\"sans-serif\" font-size=\"$size\">".self::text($words)."</text>\n";
        }

        foreach ($sheet->seams as $index => $seam) {
            $svg .= self::rect($scale, $seam, 0, "seam-$index", 'fill="#788085"');
        }
        if ($sheet->safe !== null) {
            $svg .= self::rect(
                $scale,
                $sheet->safe,
                0,
                'safe',
                'fill="none" stroke="#1d2a33" stroke-width="0.2" stroke-dasharray="2 1"',
            );
        }

        return "$svg</svg>\n";
    }

    private static function rect(BriefScale $scale, Rect $rect, int $turn, string $id, string $look): string
    {
        [$x, $y, $width, $height] = $scale->mm($rect);
        $turned = $turn === 0
            ? ''
            : sprintf(
                ' transform="rotate(%s %s %s)"',
                self::mm($turn / 100),
                self::mm($x + $width / 2),
                self::mm($y + $height / 2),
            );
        [$x, $y, $width, $height] = array_map(self::mm(...), [$x, $y, $width, $height]);

        return "<rect id=\"$id\" x=\"$x\" y=\"$y\" width=\"$width\" height=\"$height\" $look$turned/>\n";
    }

    /** Without PHP's own ideas of how many digits a float has. */
    private static function mm(float $mm): string
    {
        return rtrim(rtrim(number_format($mm, 4, '.', ''), '0'), '.');
    }

    private static function text(string $text): string
    {
        // What XML 1.0 §2.2 has no place for is left out.
        return htmlspecialchars((string) preg_replace('/[^\P{Cc}\t\n\r]/u', '', $text), \ENT_XML1 | \ENT_QUOTES);
    }
}
