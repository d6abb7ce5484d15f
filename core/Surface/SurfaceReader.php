<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * Reads a surface as people and files describe it: panels where they hang, or a grid of one kind of panel (cli.md,
 * `surface`).
 */
final class SurfaceReader
{
    /** @throws Refusal with the place in the input */
    public static function read(Input $input): Surface
    {
        $input->keys(['panels', 'grid', 'mode', 'blends']);
        $compensated = !$input->has('mode') || $input->choice('mode', ['compensated', 'butted']) === 'compensated';
        if ($input->has('grid') === $input->has('panels')) {
            throw Refusal::because('surface.grid_or_panels', $input->path);
        }
        if ($input->has('grid') && $input->has('blends') && $input->list('blends') !== []) {
            throw Refusal::because('surface.blends_in_grid', $input->pathTo('blends'));
        }
        try {
            return $input->has('grid')
                ? Surface::ofGrid(PanelGrid::parse($input->child('grid'), $compensated))
                : Surface::ofArrangement(Arrangement::parse($input, $compensated));
        } catch (Refusal $refusal) {
            throw str_starts_with($refusal->path, $input->path) ? $refusal : $refusal->below($input->path);
        }
    }
}
