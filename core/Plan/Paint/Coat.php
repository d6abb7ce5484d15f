<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

/** One layer of what an item paints into its box. */
interface Coat
{
    /** How many pictures after each other it is known of; 1 of what stands still. */
    public function steps(): int;

    /**
     * @param float $x px of the box
     * @param float $y px of the box
     *
     * @return ?Paint nothing where it does not paint; null where nobody knows what
     */
    public function at(int $step, float $x, float $y): ?Paint;

    /** What it surely covers in a box of that size, whatever the moment; null where it covers nothing for sure. */
    public function covers(float $width, float $height): ?Box;
}
