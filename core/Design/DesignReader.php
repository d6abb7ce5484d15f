<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Layout\Lattice;

/**
 * A whole design from untrusted JSON: everything is checked, also that zones, letters, layouts, order and round belong
 * together.
 */
final class DesignReader
{
    /** @throws Refusal with the place of the first fault */
    public static function read(Input $input): Design
    {
        $input->keys([
            ...['version', 'name', 'canvas', 'letters_used', 'reflow', 'order', 'round', 'zones', 'scenes'],
            ...['surfaces', 'archived', 'guides', 'lattice', 'style', 'still', 'list'],
        ]);
        $zones = $scenes = [];
        foreach ($input->child('zones')->members() as $id => $zone) {
            $zones[$id] = Zone::parse((string) $id, $zone);
        }
        foreach ($input->child('scenes')->members() as $id => $scene) {
            $scenes[$id] = Scene::parse((string) $id, $scene);
        }
        $design = Design::assembled($input, $zones, $scenes);
        self::checkScenes($design, $input->path);
        self::checkZones($design, $input->path);
        self::checkLetters($design, $input->path);
        if ($design->isList && ($design->list() === null || count($design->zones) > 1)) {
            throw Refusal::because('playlist.layout', "$input->path/zones");
        }
        $design->lattice === null || Lattice::of($design->canvas, ...$design->lattice);
        foreach ($design->guides as $id => $guide) {
            $guide->on($design->sizing($guide->turned)->canvas, "{$input->path}/guides/$id/at");
        }

        return $design;
    }

    private static function checkScenes(Design $design, string $path): void
    {
        $ids = array_map(strval(...), array_keys($design->scenes));
        if (
            array_diff($design->order, $ids) !== []
            || count(array_unique($design->order)) !== count($ids)
            || count($design->order) !== count($ids)
        ) {
            throw Refusal::because('document.order', "$path/order", ['scenes' => $ids]);
        }
        if (array_diff($design->round, $ids) !== [] || $design->round !== array_values(array_unique($design->round))) {
            throw Refusal::because('document.round', "$path/round", ['scenes' => $ids]);
        }
        foreach ($design->scenes as $scene) {
            foreach ([false, true] as $turned) {
                $scene->layout($turned)?->resolve($design->sizing($turned));
            }
        }
    }

    private static function checkZones(Design $design, string $path): void
    {
        $standing = array_merge(
            [],
            ...array_map(static fn (Scene $scene) => $scene->zones(), array_values($design->scenes)),
        );
        $ids = array_map(strval(...), array_keys($design->zones));
        $loose = array_values(array_unique([...array_diff($ids, $standing), ...array_diff($standing, $ids)]));
        if ($loose !== []) {
            throw Refusal::because('document.zone_unplaced', "$path/zones", ['zones' => $loose]);
        }
    }

    private static function checkLetters(Design $design, string $path): void
    {
        $seen = [];
        foreach ($design->zones as $zone) {
            $letter = $zone->letter();
            if (isset($seen[$letter]) || Letters::index($letter) >= $design->lettersUsed) {
                throw Refusal::because('document.letter_taken', "$path/zones/{$zone->id}/letter", [
                    'letter' => $letter,
                ]);
            }
            $seen[$letter] = true;
        }
    }
}
