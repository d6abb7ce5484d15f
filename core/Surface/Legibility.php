<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Rational;

/**
 * What a person can read from where. Angles are minutes of arc as seen from the viewer: h = 2·D·tan(θ ÷ 2). An eye of
 * normal acuity resolves 1′ (Snellen, ISO 8596); capitals want 16′ at least and 20′ to 22′ to be comfortable (ISO
 * 9241-303; both from memory). The trade's rule of thumb asks for 1 inch of height per 10 feet of distance (common
 * practice), 28.6′. Angles need a tangent, so this computes in floats.
 */
final class Legibility
{
    public const LEAST_ARCMIN = 16;
    public const GOOD_ARCMIN = 22;
    private const THUMB_DISTANCE_PER_HEIGHT = 120;

    /** The angle in minutes of arc under which a height is seen. */
    public static function arcminutes(float $heightMm, float $distanceMm): float
    {
        return rad2deg(2 * atan($heightMm / 2 / $distanceMm)) * 60;
    }

    /** The height in mm that is seen under so many minutes of arc. */
    public static function heightMm(float $arcminutes, float $distanceMm): float
    {
        return 2 * $distanceMm * tan(deg2rad($arcminutes / 60) / 2);
    }

    /** How far away, in mm, a single pixel is still resolved: pitch ÷ tan 1′. */
    public static function pixelDistanceMm(float $pitchMm): float
    {
        return $pitchMm / tan(deg2rad(1 / 60));
    }

    /**
     * How large a pixel is drawn on the screen one works at, in ppm of a CSS px, so that it takes up the angle it has
     * on the surface. A CSS px is what a pixel of 96 to the inch is at 28 inches (CSS Values 4 §5.2, reference pixel).
     */
    public static function seenPpm(Rational $pitchUm, int $distanceMm): int
    {
        return $pitchUm->times(Rational::of(96 * 28 * 1000, $distanceMm))->round();
    }

    /** @return array<string, mixed> as `bin/pane legible` prints it; findings only when there are any */
    public static function report(Rational $capHeightPx, Rational $pitchUm, int $distanceMm): array
    {
        $heightUm = $capHeightPx->times($pitchUm);
        $arcmin = self::arcminutes(self::mm($heightUm), $distanceMm);
        $finding =
            $arcmin < self::LEAST_ARCMIN
                ? [
                    Finding::of('legible.too_small', Severity::Caution, '', [
                        'arcmin' => (string) round($arcmin, 1),
                        'least' => self::LEAST_ARCMIN,
                        'px' => self::capPx(self::LEAST_ARCMIN, $pitchUm, $distanceMm),
                    ])->toArray(),
                ]
                : [];

        return [
            'height_mm' => $heightUm->times(Rational::of(1, 1000))->decimal(4),
            'arcmin' => round($arcmin, 1),
            'pixel_distance_m' => round(self::pixelDistanceMm(self::mm($pitchUm)) / 1000, 1),
        ] + ($finding === [] ? [] : ['findings' => $finding]);
    }

    /**
     * For a surface's particulars: how far single pixels are seen, and the least capital heights in px at its farthest
     * viewer.
     *
     * @return array{pixel_distance_m: float, least_px: int, good_px: int, thumb_px: int}
     */
    public static function ofSurface(Rational $pitchUm, int $distanceMm): array
    {
        return [
            'pixel_distance_m' => round(self::pixelDistanceMm(self::mm($pitchUm)) / 1000, 1),
            'least_px' => self::capPx(self::LEAST_ARCMIN, $pitchUm, $distanceMm),
            'good_px' => self::capPx(self::GOOD_ARCMIN, $pitchUm, $distanceMm),
            'thumb_px' => Rational::of($distanceMm * 1000, self::THUMB_DISTANCE_PER_HEIGHT)
                ->dividedBy($pitchUm)
                ->ceil(),
        ];
    }

    /** The least whole px of capital height that are read from so far away. */
    public static function leastCapPx(Rational $pitchUm, int $distanceMm): int
    {
        return self::capPx(self::LEAST_ARCMIN, $pitchUm, $distanceMm);
    }

    /** The least whole px that are at least so high. */
    private static function capPx(int $arcminutes, Rational $pitchUm, int $distanceMm): int
    {
        return (int) ceil(self::heightMm($arcminutes, $distanceMm) / self::mm($pitchUm));
    }

    private static function mm(Rational $um): float
    {
        return $um->toFloat() / 1000;
    }
}
