<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

/** What of a list is shown at an instant, and which of its steps that is, counted from where it began. */
final readonly class Turn
{
    /**
     * @param int $step    from 0, counted on from pass to pass
     * @param int $count   steps until it begins anew
     * @param int $index   place of the entry in the list
     * @param int $sinceMs ≥ 0
     * @param int $leftMs  ≥ 1
     */
    public function __construct(
        public int $step,
        public int $count,
        public int $index,
        public int $sinceMs,
        public int $leftMs,
    ) {
    }
}
