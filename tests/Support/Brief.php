<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use UpperPane\Core\Brief\BriefSheet;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Preflight\Judgement;
use UpperPane\Core\Site\SurfaceSheet;

/** Brief sheets of designs that tests make. */
final class Brief
{
    /** @param array<string, mixed> ...$commands on the board of {@see Build::board()}, on one panel of its size */
    public static function board(array ...$commands): BriefSheet
    {
        $shape = ['panels' => [['native' => [1920, 1080], 'active_mm' => [1209.6, 680.4]]]];

        $design = $commands === [] ? Build::board() : Build::apply(Build::board(), ...$commands)->after;

        return self::of($design, $shape);
    }

    /** One zone over 3 × 2 panels with seams of 6 px (model §2). */
    public static function wall(): BriefSheet
    {
        $panel = [
            'native' => [1920, 1080],
            'active_mm' => [1209.6, 680.4],
            'bezel_mm' => [1.89, 1.89, 1.89, 1.89],
            'rotation' => 0,
        ];
        $grid = ['columns' => 3, 'rows' => 2, 'panel' => $panel, 'gap_mm' => [0, 0]];

        return self::of(Build::design(5772, 2166), ['grid' => $grid, 'mode' => 'compensated']);
    }

    /** @param array<string, mixed> $shape */
    private static function of(Design $design, array $shape): BriefSheet
    {
        $sheet = SurfaceSheet::fresh(['name' => 'Board', 'kind' => 'LCD', 'shape' => $shape]);
        $plan = Judgement::of($design, $sheet, null, Build::context())->plan;

        return BriefSheet::of($plan, $sheet, $design->name, null, 7, '2026-03-14 08:15');
    }
}
