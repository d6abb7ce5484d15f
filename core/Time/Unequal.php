<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

/** What a follower does that has fewer entries, or more, than its leader has steps (model §6). */
enum Unequal: string
{
    case Wrap = 'wrap';
    case Hold = 'hold';
    case Clear = 'clear';

    /**
     * Which of its own entries a follower shows at a step of its leader; null: none.
     *
     * @param int $own    how many it has
     * @param int $leader how many steps there are
     */
    public function entryAt(int $step, int $own, int $leader): ?int
    {
        if ($own === 0 || $leader === 0) {
            return null;
        }
        $place = $step % $leader;

        return match ($this) {
            self::Wrap => $step % $own,
            self::Hold => min($place, $own - 1),
            self::Clear => $place < $own ? $place : null,
        };
    }
}
