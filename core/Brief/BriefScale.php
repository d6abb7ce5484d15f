<?php

declare(strict_types=1);

namespace UpperPane\Core\Brief;

use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/**
 * The scale of a drawing on paper, 1 to a round number (1, 1.5, 2, 2.5, 3, 4, 5 and 7.5 times powers of ten): the
 * largest at which the canvas fits its room.
 */
final readonly class BriefScale
{
    private const STEPS = [10, 15, 20, 25, 30, 40, 50, 75];

    /** @param Rational $factor how many times smaller than the wall */
    private function __construct(public Rational $factor, private Rational $mmPerPxX, private Rational $mmPerPxY)
    {
    }

    /**
     * @param array{int, int} $um     the canvas on the wall
     * @param array{int, int} $roomMm on paper
     */
    public static function fitting(Size $canvas, array $um, array $roomMm): self
    {
        for ($power = 1;; $power *= 10) {
            foreach (self::STEPS as $step) {
                $factor = Rational::of($step * $power, 10);
                $fits = static fn (int $side, int $room): bool => Rational::of($side, 1000)
                    ->dividedBy($factor)
                    ->compare(Rational::of($room)) <= 0;
                if ($fits($um[0], $roomMm[0]) && $fits($um[1], $roomMm[1])) {
                    return new self(
                        $factor,
                        Rational::of($um[0], 1000 * $canvas->width)->dividedBy($factor),
                        Rational::of($um[1], 1000 * $canvas->height)->dividedBy($factor),
                    );
                }
            }
        }
    }

    /** @return array{float, float, float, float} x, y, width, height in mm on paper, to the micrometre */
    public function mm(Rect $rect): array
    {
        $mm = static fn (int $px, Rational $each): float => (float) $each->times(Rational::of($px))->plain(3);

        return [
            $mm($rect->x, $this->mmPerPxX),
            $mm($rect->y, $this->mmPerPxY),
            $mm($rect->width, $this->mmPerPxX),
            $mm($rect->height, $this->mmPerPxY),
        ];
    }

    public function toText(): string
    {
        return '1 : '.$this->factor->plain(1);
    }
}
