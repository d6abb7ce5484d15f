<?php

declare(strict_types=1);

namespace UpperPane\Core\Site;

use UpperPane\Core\Change\Scope;

/** The places of a surface's sheet that commands read and write, by name. */
final class Spot
{
    public static function field(string $name): Scope
    {
        return Scope::of('fields', $name);
    }

    public static function outputs(): Scope
    {
        return Scope::of('outputs');
    }

    /** Who comes first: without an output map it decides the wiring. */
    public static function playerOrder(): Scope
    {
        return Scope::of('player_order');
    }

    public static function player(string $code): Scope
    {
        return Scope::of('players', $code);
    }
}
