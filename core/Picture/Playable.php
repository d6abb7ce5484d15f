<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

use UpperPane\Core\Geometry\Rational;

/**
 * Why a file cannot be handed to players as it is: they show sRGB pictures of 8 bits and progressive video of 8 bits at
 * a constant rate in a codec that every browser of the last years decodes (common practice).
 */
final class Playable
{
    private const CONTAINERS = ['video/mp4', 'video/webm'];
    private const CODECS = ['h264', 'vp8', 'vp9', 'av1'];
    private const SAMPLES = ['yuv420p', 'yuvj420p', 'yuva420p'];
    private const PICTURES = ['image/jpeg', 'image/png', 'image/webp'];
    private const INTERLACED = ['tt', 'bb', 'tb', 'bt'];
    /** Frames a second that displays are made for, in thousandths. */
    private const RATES = [[24_000, 1001], [24, 1], [25, 1], [30_000, 1001], [30, 1], [50, 1], [60_000, 1001], [60, 1]];
    private const FASTEST = 60;

    /**
     * @param string $order       fields as ffprobe names them: `progressive`, `tt`, …
     * @param string $averageRate frames a second over the whole, as a fraction
     * @param string $baseRate    the least rate that every frame's instant falls on, as a fraction
     *
     * @return list<string> of `container`, `codec`, `samples`, `interlaced`, `rate`; none: as it is
     */
    public static function video(
        string $mime,
        string $codec,
        string $samples,
        string $order,
        string $averageRate,
        string $baseRate,
    ): array {
        [$average, $base] = [self::rate($averageRate), self::rate($baseRate)];
        $differ = $average !== null && $base !== null && self::differ($average, $base);

        return array_keys(array_filter([
            'container' => !in_array($mime, self::CONTAINERS, true),
            'codec' => !in_array($codec, self::CODECS, true),
            'samples' => !in_array($samples, self::SAMPLES, true),
            'interlaced' => in_array($order, self::INTERLACED, true),
            'rate' => $differ,
        ]));
    }

    /**
     * @param int    $bits       of a sample
     * @param string $colours    `sRGB`, `Gray`, `CMYK` and so on
     * @param string $profile    what the embedded colour profile calls itself; empty without one
     *
     * @return list<string> of `container`, `moving`, `colours`, `samples`
     */
    public static function picture(string $mime, int $frames, int $bits, string $colours, string $profile): array
    {
        $isPlain = in_array($colours, ['sRGB', 'Gray', 'RGB'], true);

        return array_keys(array_filter([
            'container' => !in_array($mime, self::PICTURES, true),
            'moving' => $frames > 1,
            'colours' => !$isPlain || ($profile !== '' && !str_contains($profile, 'sRGB')),
            'samples' => $bits > 8,
        ]));
    }

    /** The constant rate to convert to: what displays are made for where it is near, at most 60. */
    public static function constantRate(string $averageRate): string
    {
        $average = self::rate($averageRate) ?? Rational::of(25);
        foreach (self::RATES as [$frames, $seconds]) {
            if (!self::differ($average, Rational::of($frames, $seconds))) {
                return "$frames/$seconds";
            }
        }

        return min(self::FASTEST, max(1, $average->round())).'/1';
    }

    private static function rate(string $fraction): ?Rational
    {
        [$frames, $seconds] = array_map(intval(...), explode('/', $fraction) + [1 => '1']);

        return $frames > 0 && $seconds > 0 ? Rational::of($frames, $seconds) : null;
    }

    /** By more than a percent. */
    private static function differ(Rational $one, Rational $other): bool
    {
        $difference = $one->compare($other) > 0 ? $one->minus($other) : $other->minus($one);

        return $difference->times(Rational::of(100))->compare($other) > 0;
    }
}
