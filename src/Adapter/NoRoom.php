<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Base\Refusal;

/** A file could not be written whole, because there is no room for it. Nothing of it is left; it can be tried again. */
final class NoRoom extends \RuntimeException
{
    private function __construct(string $message, public readonly Refusal $why)
    {
        parent::__construct($message);
    }

    public static function at(string $folder, int $neededBytes): self
    {
        $free = (int) @disk_free_space($folder);

        return new self(
            "No room in $folder for $neededBytes bytes.",
            Refusal::because('stock.no_room', '/file', [
                'needed' => intdiv($neededBytes + 999_999, 1_000_000),
                'free' => intdiv($free, 1_000_000),
            ]),
        );
    }
}
