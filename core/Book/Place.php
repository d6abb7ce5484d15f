<?php

declare(strict_types=1);

namespace UpperPane\Core\Book;

use UpperPane\Core\Change\Scope;

/** Places of a book, as scopes. */
final class Place
{
    public static function ofGroup(string $group): Scope
    {
        return Scope::of('groups', $group);
    }

    public static function order(): Scope
    {
        return Scope::of('group_order');
    }
}
