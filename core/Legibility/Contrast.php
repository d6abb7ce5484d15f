<?php

declare(strict_types=1);

namespace UpperPane\Core\Legibility;

/**
 * The contrast ratio of two colours (WCAG 2.2, definitions of "contrast ratio" and "relative luminance"). Needs powers,
 * so this computes in floats.
 */
final class Contrast
{
    /** 1.4.3, level AA: of text, and of large text. */
    public const LEAST = 4.5;
    public const LEAST_LARGE = 3.0;

    /**
     * From 1 (the same) to 21 (black and white).
     *
     * @param string $ink    `#RRGGBB`, as {@see \UpperPane\Core\Design\Fill\Colour} keeps it
     * @param string $ground `#RRGGBB`
     */
    public static function ratio(string $ink, string $ground): float
    {
        return self::between(self::luminance($ink), self::luminance($ground));
    }

    /** The same of two relative luminances. */
    public static function between(float $one, float $other): float
    {
        return (max($one, $other) + 0.05) / (min($one, $other) + 0.05);
    }

    /** Relative luminance, 0 to 1, of an sRGB colour. */
    public static function luminance(string $hex): float
    {
        $parts = [];
        foreach ([1, 3, 5] as $at) {
            $parts[] = self::linear((int) hexdec(substr($hex, $at, 2)));
        }

        return 0.2126 * $parts[0] + 0.7152 * $parts[1] + 0.0722 * $parts[2];
    }

    /**
     * One part of an sRGB colour, 0 to 255, as light, 0 to 1 (IEC 61966-2-1 §5.2); also between whole ones, as come of
     * laying colours over each other.
     */
    public static function linear(float $part): float
    {
        $share = $part / 255;

        return $share <= 0.04045 ? $share / 12.92 : (($share + 0.055) / 1.055) ** 2.4;
    }

    /** Said with two digits, never rounded up: 4.499 is not 4.5. */
    public static function said(float $ratio): string
    {
        return number_format(floor($ratio * 100 + 1e-9) / 100, 2, '.', '');
    }
}
