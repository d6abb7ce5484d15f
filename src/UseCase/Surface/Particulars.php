<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Surface;

use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Surface\Legibility;
use UpperPane\Core\Surface\PlacedPanel;
use UpperPane\Core\Surface\Surface;

/** A resolved surface with everything a drawing and its column of particulars show. Lengths on the face in µm. */
final class Particulars
{
    /** @return array<string, mixed> */
    public static function of(Surface $surface, int $farthestMm): array
    {
        [$width, $height] = $surface->faceUm();
        $resolved = $surface->toArray();
        foreach ($surface->panels as $index => $panel) {
            $resolved['panels'][$index] += self::panel($panel);
        }

        return [
            'face_um' => [$width, $height],
            'diagonal_mm' => round(sqrt(($width / 1000) ** 2 + ($height / 1000) ** 2), 1),
            'px_per_inch' => Rational::of(25_400)->dividedBy($surface->pitchXUm)->decimal(1),
            'orientation' => $surface->canvas->isPortrait() ? 'portrait' : 'landscape',
            'legible' => Legibility::ofSurface($surface->pitchXUm, $farthestMm),
        ] + $resolved;
    }

    /** @return array<string, mixed> */
    private static function panel(PlacedPanel $panel): array
    {
        $mounted = $panel->panel->mounted();

        return [
            'letter' => $panel->letter(),
            'native' => $panel->panel->native->toArray(),
            'rotation' => $panel->panel->rotation,
            'face_um' => [...$panel->originUm, $mounted->activeWidthUm, $mounted->activeHeightUm],
            'bezel_um' => $mounted->bezelUm,
        ];
    }
}
