<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** Reads a surface as people and files describe it: one panel, or a grid of one kind of panel (cli.md, `surface`). */
final class SurfaceReader
{
    /** @throws Refusal with the place in the input; `surface.free_arrangement` for more than one separate panel */
    public static function read(Input $input): Surface
    {
        $input->keys(['panels', 'grid', 'mode']);
        $compensated = !$input->has('mode') || $input->choice('mode', ['compensated', 'butted']) === 'compensated';
        if ($input->has('grid') === $input->has('panels')) {
            throw Refusal::because('surface.grid_or_panels', $input->path);
        }

        return $input->has('grid')
            ? Surface::ofGrid(PanelGrid::parse($input->child('grid'), $compensated))
            : self::single($input->child('panels'));
    }

    private static function single(Input $list): Surface
    {
        $panels = $list->asList(PanelGrid::MOST_PANELS, 1);
        if (count($panels) > 1) {
            throw Refusal::because('surface.free_arrangement', $list->path, ['count' => count($panels)]);
        }
        $panel = $panels[0]->keys(['id', 'native', 'active_mm', 'bezel_mm', 'rotation', 'position_mm']);
        if ($panel->has('position_mm')) {
            foreach ($panel->list('position_mm', 2, 2) as $coordinate) {
                $coordinate->asThousandths(-Panel::LARGEST_UM, Panel::LARGEST_UM);
            }
        }

        return Surface::ofPanel(Panel::parse($panel), $panel->has('id') ? $panel->id('id') : '1');
    }
}
