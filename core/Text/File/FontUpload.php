<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\File;

/** A face's file where it is no face of the app: it goes to players with the media. */
final readonly class FontUpload
{
    public function __construct(public string $sha256, public string $mime, public int $bytes)
    {
    }
}
