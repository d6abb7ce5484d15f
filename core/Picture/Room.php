<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

use UpperPane\Core\Base\Refusal;

/**
 * Room for files: the last gigabyte is left for the database, orders and logs, so that a full Stock stops nothing else.
 */
final class Room
{
    public const KEPT_BYTES = 1_000_000_000;

    /** @throws Refusal `stock.no_room` */
    public static function demand(int $freeBytes, int $neededBytes): void
    {
        if ($freeBytes - $neededBytes < self::KEPT_BYTES) {
            throw Refusal::because('stock.no_room', '/file', [
                'needed' => intdiv($neededBytes + 999_999, 1_000_000),
                'free' => intdiv(max(0, $freeBytes - self::KEPT_BYTES), 1_000_000),
            ]);
        }
    }
}
