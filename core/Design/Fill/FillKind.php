<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

/** What a zone can show. */
enum FillKind: string
{
    case Empty = 'empty';
    case Colour = 'colour';
    case Picture = 'picture';
    case Video = 'video';
    case Text = 'text';
    case Clock = 'clock';
    case Playlist = 'playlist';

    public function isVideo(): bool
    {
        return $this === self::Video;
    }
}
