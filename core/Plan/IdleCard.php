<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\Fill\FillReader;
use UpperPane\Core\Site\SurfaceSheet;

/**
 * What a surface shows where nothing else holds (model §8, rank 8): its name on a quiet ground. Nothing of it depends
 * on an instant, so that a surface has one as long as its sheet stays the same.
 */
final class IdleCard
{
    private const ZONE = 'z-idle';
    private const SCENE = 's-idle';
    private const GROUND = '#1D2A33';
    private const INK = '#C9CFD2';
    /** Parts of the shorter side: the letters' size, the least one, the room at the edges (our choice). */
    private const SIZE = 12;
    private const LEAST = 60;
    private const ROOM = 16;

    /** @param PlanContext $context whose Stock and faces count; its instant and its style do not */
    public static function on(SurfaceSheet $sheet, PlanContext $context): Plan
    {
        $canvas = $sheet->surface->canvas;
        $short = min($canvas->width, $canvas->height);
        $fresh = Design::fresh(
            $sheet->name(),
            $canvas,
            $canvas->width,
            $canvas->height,
            self::SCENE,
            self::ZONE,
            $sheet->name(),
        );
        $words = FillReader::read(Input::of([
            'kind' => 'text',
            'text' => $sheet->name(),
            'font' => 'Roboto',
            'weight' => 500,
            'size' => max(8, intdiv($short, self::SIZE)),
            'min_size' => max(8, intdiv($short, self::LEAST)),
            'mode' => 'wrap_shrink',
            'line_height' => 1200,
            'colour' => self::INK,
            'ground' => self::GROUND,
            'align' => 'centre',
            'valign' => 'middle',
            'padding' => intdiv($short, self::ROOM),
        ]));

        return PlanCompiler::compile(
            $fresh->withZone($fresh->zone(self::ZONE)->withFill($words)),
            $sheet->surface,
            $context->timeless(),
        )->leavingBy($sheet->outputMap());
    }
}
