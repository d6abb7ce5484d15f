<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

/** Names of what commands read and write, so that two people's changes can be told apart. */
final class Touched
{
    public static function zone(string $id): string
    {
        return "zone:$id";
    }

    public static function fill(string $id): string
    {
        return "fill:$id";
    }

    public static function part(string $id): string
    {
        return "part:$id";
    }

    /** JSON Pointer to a zone of a scene. */
    public static function zonePath(string $sceneId, string $zoneId): string
    {
        return "/scenes/$sceneId/zones/$zoneId";
    }
}
