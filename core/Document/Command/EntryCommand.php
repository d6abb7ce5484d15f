<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\Fill\Entry;
use UpperPane\Core\Document\Fill\PlaylistFill;

/** What the commands on a playlist's entries share: finding the playlist, and one change of it. */
abstract readonly class EntryCommand implements Command
{
    public function __construct(protected string $scene, protected string $zone)
    {
    }

    protected function playlist(Design $design): PlaylistFill
    {
        $fill = $design->scene($this->scene)->zone($this->zone)->fill();

        return $fill instanceof PlaylistFill ? $fill : throw Refusal::because('playlist.gone', '/zone', ['zone' => $this->zone]);
    }

    protected static function entry(PlaylistFill $playlist, string $id, string $path = '/entry'): Entry
    {
        return $playlist->entry($id) ?? throw Refusal::because('playlist.entry_gone', $path, ['entry' => $id]);
    }

    protected function change(Design $design, PlaylistFill $playlist, Command $inverse): Change
    {
        $scene = $design->scene($this->scene);

        return new Change(
            $design->withScene($scene->withZone($scene->zone($this->zone)->withFill($playlist))),
            $inverse,
            [Touched::zone($this->zone)],
            [Touched::fill($this->zone)],
            [['op' => 'replace', 'path' => Touched::zonePath($this->scene, $this->zone).'/fill', 'value' => $playlist->toArray()]],
        );
    }
}
