<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Change\Scope;

/** The places of a design that commands read and write, by name. */
final class Spot
{
    public static function name(): Scope
    {
        return Scope::of('name');
    }

    public static function reflow(): Scope
    {
        return Scope::of('reflow');
    }

    public static function order(): Scope
    {
        return Scope::of('order');
    }

    public static function round(): Scope
    {
        return Scope::of('round');
    }

    public static function surfaces(): Scope
    {
        return Scope::of('surfaces');
    }

    public static function style(): Scope
    {
        return Scope::of('style');
    }

    public static function still(): Scope
    {
        return Scope::of('still');
    }

    public static function archived(): Scope
    {
        return Scope::of('archived');
    }

    public static function lattice(): Scope
    {
        return Scope::of('lattice');
    }

    public static function guides(): Scope
    {
        return Scope::of('guides');
    }

    public static function guide(string $id): Scope
    {
        return Scope::of('guides', $id);
    }

    /** A zone whole: that it is there, and all it is. */
    public static function zone(string $id): Scope
    {
        return Scope::of('zones', $id);
    }

    /** That it is there, and nothing else of it. */
    public static function zoneThere(string $id): Scope
    {
        return Scope::of('zones', $id, 'there');
    }

    public static function zoneName(string $id): Scope
    {
        return Scope::of('zones', $id, 'name');
    }

    public static function runsOn(string $id): Scope
    {
        return Scope::of('zones', $id, 'runs_on');
    }

    public static function follows(string $id): Scope
    {
        return Scope::of('zones', $id, 'follows');
    }

    public static function fill(string $id): Scope
    {
        return Scope::of('zones', $id, 'fill');
    }

    /** Which entries a playlist has, in which order. */
    public static function entries(string $zone): Scope
    {
        return Scope::of('zones', $zone, 'fill', 'entries');
    }

    public static function entry(string $zone, string $entry): Scope
    {
        return Scope::of('zones', $zone, 'fill', 'entry', $entry);
    }

    public static function scene(string $id): Scope
    {
        return Scope::of('scenes', $id);
    }

    /** @param string $field `name`, `length`, `ground` or `transition` */
    public static function sceneField(string $id, string $field): Scope
    {
        return Scope::of('scenes', $id, $field);
    }

    public static function layout(string $scene, bool $turned): Scope
    {
        return Scope::of('scenes', $scene, $turned ? 'turned' : 'own');
    }
}
