<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Surface\PanelGrid;
use UpperPane\Core\Surface\SurfaceReader;

/** Panels → canvas, pitch, ratio, placed panels and seams. */
final class SurfaceCommand implements Command
{
    public function name(): string
    {
        return 'surface';
    }

    public function about(): string
    {
        return 'A grid of panels, or panels that hang freely: canvas, pitch, ratio, placed panels, seams, findings.';
    }

    public function schema(): array
    {
        $panel = [
            'native' => Schema::size(),
            'active_mm' => Schema::tuple(Schema::mm(1), 2),
            'bezel_mm' => Schema::tuple(Schema::mm(0), 4),
            'rotation' => ['enum' => [0, 90, 180, 270]],
        ];
        $placed = $panel + ['id' => Schema::id(), 'position_mm' => Schema::tuple(['type' => 'number'], 2)];
        $count = Schema::whole(1, PanelGrid::MOST_PANELS);

        return Schema::object(
            [
                'panels' => [
                    'type' => 'array',
                    'items' => Schema::object($placed, ['native', 'active_mm']),
                    'minItems' => 1,
                    'maxItems' => PanelGrid::MOST_PANELS,
                ],
                'grid' => Schema::object(
                    [
                        'columns' => $count,
                        'rows' => $count,
                        'panel' => Schema::object($panel, ['native', 'active_mm']),
                        'gap_mm' => Schema::tuple(Schema::mm(0), 2),
                    ],
                    ['columns', 'rows', 'panel'],
                ),
                'blends' => ['type' => 'array', 'items' => Schema::tuple(Schema::id(), 2), 'maxItems' => 1000],
                'mode' => ['enum' => ['compensated', 'butted']],
            ],
            [],
        ) + ['oneOf' => [['required' => ['panels']], ['required' => ['grid']]]];
    }

    public function run(Input $input): array
    {
        return SurfaceReader::read($input)->toArray();
    }
}
