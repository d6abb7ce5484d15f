<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

/** Where a medium's files lie in the storage, by the SHA-256 of the original. */
final class MediaFiles
{
    public static function original(string $sha256): string
    {
        return substr($sha256, 0, 2).'/'.$sha256;
    }

    public static function thumbnail(string $sha256): string
    {
        return self::original($sha256).'.thumb.webp';
    }
}
