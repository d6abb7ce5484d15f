<?php

declare(strict_types=1);

namespace UpperPane\Demo;

/** Draws the demo's pictures with GD: a tidal lake, hills, ferries, posters. Everything is invented. */
final class Brush
{
    /** @var \GdImage */
    private $image;

    private function __construct(private readonly int $width, private readonly int $height)
    {
        $this->image =
            imagecreatetruecolor(max(1, $width), max(1, $height)) ?: throw new \RuntimeException('GD gave no canvas.');
        imageantialias($this->image, true);
    }

    /** A view over the lake at an hour of the day; `shift` moves the ferry along, in thousandths of the width. */
    public static function lake(string $path, int $width, int $height, int $hour, int $shift = 400): void
    {
        $brush = new self($width, $height);
        [$top, $low, $far, $near, $water] = match (true) {
            $hour < 9 => [[246, 206, 170], [252, 236, 214], [146, 148, 160], [86, 96, 104], [120, 148, 158]],
            $hour < 18 => [[120, 170, 196], [222, 234, 234], [104, 132, 128], [52, 86, 80], [62, 116, 130]],
            default => [[38, 44, 74], [196, 122, 92], [50, 54, 78], [26, 32, 46], [48, 60, 88]],
        };
        $horizon = intdiv($height * 58, 100);
        $brush->gradient(0, $horizon, $top, $low);
        $brush->hills($horizon, $far, 0.16, 3.1);
        $brush->hills($horizon, $near, 0.08, 5.3);
        $deep = array_map(static fn (int $part) => intdiv($part * 55, 100), $water);
        $brush->gradient($horizon, $height, $water, $deep);
        $brush->ripples($horizon, $water);
        $brush->ferry(intdiv($width * $shift, 1000), $horizon + intdiv($height, 10), intdiv(min($width, $height), 4));
        $brush->save($path);
    }

    /** A poster: one word large, a line below, a band of colour. */
    public static function poster(
        string $path,
        int $width,
        int $height,
        string $font,
        string $word,
        string $line,
        string $ground,
        string $ink,
    ): void {
        $brush = new self($width, $height);
        imagefilledrectangle($brush->image, 0, 0, $width, $height, $brush->hex($ground));
        $unit = intdiv(min($width, $height), 100);
        for ($ring = 5; $ring > 0; --$ring) {
            imageellipse(
                $brush->image,
                intdiv($width * 78, 100),
                intdiv($height * 30, 100),
                $ring * 14 * $unit,
                $ring * 14 * $unit,
                $brush->hex($ink),
            );
        }
        imagettftext(
            $brush->image,
            11 * $unit,
            0,
            6 * $unit,
            intdiv($height * 68, 100),
            $brush->hex($ink),
            $font,
            $word,
        );
        imagettftext(
            $brush->image,
            4 * $unit,
            0,
            6 * $unit,
            intdiv($height * 80, 100),
            $brush->hex($ink),
            $font,
            $line,
        );
        imagefilledrectangle(
            $brush->image,
            6 * $unit,
            intdiv($height * 86, 100),
            40 * $unit,
            intdiv($height * 86, 100) + $unit,
            $brush->hex($ink),
        );
        $brush->save($path);
    }

    /**
     * @param array{int, int, int}|list<int> $top
     * @param array{int, int, int}|list<int> $low
     */
    private function gradient(int $from, int $to, array $top, array $low): void
    {
        for ($y = $from; $y < $to; ++$y) {
            $part = ($y - $from) / max(1, $to - $from);
            imageline(
                $this->image,
                0,
                $y,
                $this->width,
                $y,
                $this->rgb(array_map(static fn (int $a, int $b) => (int) ($a + ($b - $a) * $part), $top, $low)),
            );
        }
    }

    /** @param list<int> $colour */
    private function hills(int $horizon, array $colour, float $share, float $waves): void
    {
        $paint = $this->rgb($colour);
        for ($x = 0; $x < $this->width; ++$x) {
            $t = $x / $this->width;
            $rise = (sin($t * $waves * 2 + 1) + sin($t * $waves * 3.7 + $waves) * 0.5 + 1.6) / 3.1;
            imageline($this->image, $x, $horizon - (int) ($rise * $share * $this->height), $x, $horizon, $paint);
        }
    }

    /** @param list<int> $water */
    private function ripples(int $horizon, array $water): void
    {
        $light = $this->rgb(array_map(static fn (int $part) => min(255, $part + 36), $water));
        for ($i = 0; $i < 90; ++$i) {
            $y = $horizon + (int) (($this->height - $horizon) * ((($i * 37) % 90) / 90));
            $x = (int) ($this->width * ((($i * 53) % 89) / 89));
            imageline($this->image, $x, $y, $x + intdiv($this->width, 22), $y, $light);
        }
    }

    private function ferry(int $x, int $y, int $length): void
    {
        $hull = $this->hex('#8F3A28');
        $white = $this->hex('#F6F1E6');
        $height = intdiv($length, 7);
        imagefilledpolygon(
            $this->image,
            [$x, $y, $x + $length, $y, $x + $length - $height, $y + $height, $x + $height, $y + $height],
            $hull,
        );
        imagefilledrectangle($this->image, $x + $height, $y - $height, $x + $length - 2 * $height, $y - 1, $white);
        imagefilledrectangle(
            $this->image,
            $x + 2 * $height,
            $y - 2 * $height,
            $x + $length - 4 * $height,
            $y - $height - 1,
            $white,
        );
        imagefilledrectangle(
            $this->image,
            $x + 3 * $height,
            $y - 3 * $height,
            $x + 4 * $height,
            $y - 2 * $height,
            $this->hex('#276B62'),
        );
        for ($i = 0; $i < 6; ++$i) {
            imagefilledrectangle(
                $this->image,
                $x + $height + intdiv(($length - 3 * $height) * (2 * $i + 1), 14),
                $y - intdiv(3 * $height, 4),
                $x + $height + intdiv(($length - 3 * $height) * (2 * $i + 2), 14),
                $y - intdiv($height, 3),
                $this->hex('#2F4752'),
            );
        }
    }

    /** A bulkhead with two openings to look through: a round one, and a wide one for words. */
    public static function portholes(string $path, int $width, int $height): void
    {
        $brush = new self($width, $height);
        imagealphablending($brush->image, false);
        imagesavealpha($brush->image, true);
        imagefilledrectangle($brush->image, 0, 0, $width, $height, $brush->hex('#1F3B4D'));
        $clear = (int) imagecolorallocatealpha($brush->image, 0, 0, 0, 127);
        [$unit, $brass, $dark] = [intdiv($height, 20), $brush->hex('#C9A25B'), $brush->hex('#16303F')];
        for ($y = $unit; $y < $height; $y += 3 * $unit) {
            imagefilledrectangle($brush->image, 0, $y, $width, $y + 2, $dark);
        }
        [$x, $y, $across] = [intdiv($width, 3), intdiv($height, 2), 13 * $unit];
        imagefilledellipse($brush->image, $x, $y, $across + 2 * $unit, $across + 2 * $unit, $brass);
        imagefilledellipse($brush->image, $x, $y, $across, $across, $clear);
        for ($bolt = 0; $bolt < 12; ++$bolt) {
            $reach = ($across + $unit) / 2;
            $at = [(int) ($x + $reach * cos($bolt * \M_PI / 6)), (int) ($y + $reach * sin($bolt * \M_PI / 6))];
            imagefilledellipse($brush->image, $at[0], $at[1], intdiv($unit, 2), intdiv($unit, 2), $dark);
        }
        [$left, $right] = [intdiv(5 * $width, 8), $width - 2 * $unit];
        imagefilledrectangle($brush->image, $left, 5 * $unit, $right, 15 * $unit, $brass);
        imagefilledrectangle(
            $brush->image,
            $left + intdiv($unit, 2),
            5 * $unit + intdiv($unit, 2),
            $right - intdiv($unit, 2),
            15 * $unit - intdiv($unit, 2),
            $clear,
        );
        $brush->save($path);
    }

    private function save(string $path): void
    {
        match (pathinfo($path, \PATHINFO_EXTENSION)) {
            'png' => imagepng($this->image, $path),
            'webp' => imagewebp($this->image, $path, 88),
            default => imagejpeg($this->image, $path, 88),
        };
    }

    private function hex(string $hex): int
    {
        return $this->rgb(array_map(hexdec(...), str_split(substr($hex, 1), 2)));
    }

    /** @param list<int|float> $rgb */
    private function rgb(array $rgb): int
    {
        return (int) imagecolorallocate(
            $this->image,
            max(0, min(255, (int) $rgb[0])),
            max(0, min(255, (int) $rgb[1])),
            max(0, min(255, (int) $rgb[2])),
        );
    }
}
