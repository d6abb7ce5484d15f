<?php

declare(strict_types=1);

namespace UpperPane\Core\Base;

/** How much a finding matters: a *stop* blocks a release, a *caution* is a likely fault, a *note* is worth knowing. */
enum Severity: string
{
    case Stop = 'stop';
    case Caution = 'caution';
    case Note = 'note';

    /** For sorting: the gravest first. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
