<?php

declare(strict_types=1);

namespace UpperPane\Core\Act;

use UpperPane\Core\Site\Right;

/** What goes to players at once, without a hand-off. */
enum ActKind: string
{
    /** Screens say which they are. */
    case Identify = 'identify';
    /** The surface's standby instead of all else: an operator's choice (model §8, rank 3). */
    case Standby = 'standby';

    /** How long it holds, in ms; null for until it is cleared. */
    public function lastsMs(): ?int
    {
        return match ($this) {
            self::Identify => 30_000,
            self::Standby => null,
        };
    }

    /** @return list<Right> each of which is enough to do it, and to clear it */
    public function rights(): array
    {
        return match ($this) {
            self::Identify => [Right::HandOff, Right::Pair],
            self::Standby => [Right::HandOff],
        };
    }

    /** Whether it takes the surface, or only lies over what shows. */
    public function takesOver(): bool
    {
        return match ($this) {
            self::Identify => false,
            self::Standby => true,
        };
    }
}
