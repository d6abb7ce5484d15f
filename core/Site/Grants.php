<?php

declare(strict_types=1);

namespace UpperPane\Core\Site;

/**
 * What one person is at one site: a role there, or on some of its things alone. A role on something holds for all that
 * lies in it; whoever has any role sees the site.
 */
final readonly class Grants
{
    /** @param list<array{string, Role}> $each the name of a thing, see {@see Thing}, and the role on it */
    public function __construct(private array $each)
    {
    }

    public function may(Right $right, Thing $thing): bool
    {
        foreach ($this->each as [$on, $role]) {
            if (($right === Right::See || in_array($on, $thing->names, true)) && $role->may($right)) {
                return true;
            }
        }

        return false;
    }

    public function isEmpty(): bool
    {
        return $this->each === [];
    }
}
