<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Design\Fill\PlaylistFill;

/** Zones that show a playlist of the Stock have its entries, as they are there now. */
final class Lists
{
    /** @return list<string> the playlists that a design uses, each once */
    public static function usedBy(Design $design): array
    {
        $lists = array_map(static fn (Zone $zone) => $zone->list(), array_values($design->zones));

        return array_values(array_unique(array_filter($lists, is_string(...))));
    }

    /** The design by itself: what it has from playlists of the Stock stays there. */
    public static function apart(Design $design): Design
    {
        $zones = [];
        foreach ($design->zones as $id => $zone) {
            $fill = $zone->list() === null ? null : $zone->fill();
            if ($fill instanceof PlaylistFill) {
                $zones[$id] = $zone->withFill($fill->kept());
            }
        }

        return $zones === [] ? $design : $design->with(['zones' => array_replace($design->zones, $zones)]);
    }

    /** @return array<string, PlaylistFill> what each playlist gave a design, by its id */
    public static function given(Design $design): array
    {
        $given = [];
        foreach ($design->zones as $zone) {
            $fill = $zone->list() === null ? null : $zone->fill();
            if ($fill instanceof PlaylistFill) {
                $given[(string) $fill->of] = $fill;
            }
        }

        return $given;
    }

    /**
     * @param array<string, Design> $playlists by id; of one that is not among them no entry is known
     */
    public static function into(Design $design, array $playlists): Design
    {
        $zones = [];
        foreach ($design->zones as $id => $zone) {
            $list = $zone->list();
            $fill = $list === null ? null : $zone->fill();
            if ($fill instanceof PlaylistFill) {
                $filled = ($playlists[(string) $list] ?? null)?->list();
                $zones[$id] = $zone->withFill($filled === null ? $fill : $fill->filledBy($filled));
            }
        }

        return $zones === [] ? $design : $design->with(['zones' => array_replace($design->zones, $zones)]);
    }
}
