<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Entries;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Command;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\Fill\Entry;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Design\Spot;

/** What the commands on a playlist's entries share: finding the playlist, and one change of it. */
final class Playing
{
    /**
     * @throws Refusal `document.zone_gone`, `playlist.gone` when the zone shows no playlist any more,
     *     `playlist.elsewhere` when its entries are those of a playlist of the Stock
     */
    public static function of(Design $design, string $zone): PlaylistFill
    {
        $fill = $design->zone($zone)->fill();

        if (!$fill instanceof PlaylistFill) {
            throw Refusal::because('playlist.gone', '/zone', ['zone' => $zone]);
        }

        return $fill->of === null
            ? $fill
            : throw Refusal::because('playlist.elsewhere', '/zone', ['letter' => $design->zone($zone)->letter()]);
    }

    /** @throws Refusal `playlist.entry_gone` */
    public static function entry(PlaylistFill $playlist, string $id, string $path = '/entry'): Entry
    {
        return $playlist->entry($id) ?? throw Refusal::because('playlist.entry_gone', $path, ['entry' => $id]);
    }

    /**
     * @param Command<Design> $inverse
     *
     * @return Change<Design>
     */
    public static function change(
        Design $design,
        string $zone,
        PlaylistFill $playlist,
        Command $inverse,
        Scope ...$writes,
    ): Change {
        return new Change(
            $design->withZone($design->zone($zone)->withFill($playlist)),
            [$inverse],
            Scopes::of(Spot::zoneThere($zone)),
            Scopes::of(...$writes),
            ['letter' => $design->zone($zone)->letter()],
        );
    }
}
