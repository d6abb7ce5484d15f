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
    case Count = 'count';
    case Dial = 'dial';
    case Progress = 'progress';
    case Qr = 'qr';
    case Shape = 'shape';
    case Chart = 'chart';
    case Web = 'web';
    case Live = 'live';
    case Playlist = 'playlist';

    /** @return list<string> what an entry of a playlist can show */
    public static function ofEntries(): array
    {
        return array_values(array_diff(array_column(self::cases(), 'value'), ['empty', 'playlist']));
    }

    /** What a medium is put into a zone as. */
    public static function ofMedium(string $mime): self
    {
        return preg_match('#^(video|audio)/#', $mime) === 1 ? self::Video : self::Picture;
    }

    public function isVideo(): bool
    {
        return $this === self::Video;
    }
}
