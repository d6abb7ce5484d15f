<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Sweep;

use UpperPane\App\Job\Chore;

/** The sweep, once an hour. */
final readonly class SweepChore implements Chore
{
    public function __construct(private Sweep $sweep)
    {
    }

    public function everySeconds(): int
    {
        return 3600;
    }

    public function run(): string
    {
        $words = Sweep::inWords(($this->sweep)(false));

        return $words === '' ? '' : "swept $words";
    }
}
