<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

/** What fills as time passes: every place is first of one coat, then of another. */
final readonly class Passing implements Coat
{
    public function __construct(private Coat $rest, private Coat $passed)
    {
    }

    public function steps(): int
    {
        return 2;
    }

    public function at(int $step, float $x, float $y): ?Paint
    {
        return ($step % 2 === 0 ? $this->rest : $this->passed)->at(0, $x, $y);
    }

    public function covers(float $width, float $height): ?Box
    {
        return $this->rest->covers($width, $height);
    }
}
