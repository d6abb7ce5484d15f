<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

/** The dark modules of a QR code; its light ones are the ground under it. */
final readonly class Modules implements Coat
{
    private Paint $dark;

    /** @param list<string> $rows a sign for each module, 1 where it is dark */
    public function __construct(private array $rows, private Box $place, private int $modulePx, string $hex)
    {
        $this->dark = Paint::ofHex($hex);
    }

    public function steps(): int
    {
        return 1;
    }

    public function at(int $step, float $x, float $y): Paint
    {
        return $this->place->contains($x, $y)
            && $this->rows[(int) (($y - $this->place->y) / $this->modulePx)][
                (int) (($x - $this->place->x) / $this->modulePx)
            ] === '1' ? $this->dark : Paint::none();
    }

    public function covers(float $width, float $height): ?Box
    {
        return null;
    }
}
