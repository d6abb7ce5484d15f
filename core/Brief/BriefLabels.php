<?php

declare(strict_types=1);

namespace UpperPane\Core\Brief;

/**
 * Where the labels of zones stand on a brief sheet: in a corner of their zone, and none over another. What lies in
 * front chooses first.
 */
final class BriefLabels
{
    /** Of a letter of a sans face, to its size: no less than DejaVu Sans Bold's mean of letters, figures and signs. */
    private const WIDE = 0.72;
    private const HIGH = 1.25;

    /** @var list<array{float, float, float, float}> */
    private array $taken = [];

    /**
     * @param array{float, float, float, float} $zone x, y, width, height in mm on paper
     * @param float                             $size of the letters in mm
     *
     * @return array{float, float} upper left corner; that of the zone when every place is taken
     */
    public function place(array $zone, string $words, float $size): array
    {
        [$x, $y, $width, $height] = $zone;
        [$wide, $high] = [mb_strlen($words) * $size * self::WIDE, $size * self::HIGH];
        [$right, $bottom] = [max($x, $x + $width - $wide), max($y, $y + $height - $high)];
        $places = [[$x, $y], [$right, $y], [$x, $bottom], [$right, $bottom]];
        for ($down = $y + $high; $down < $bottom; $down += $high) {
            $places[] = [$x, $down];
        }
        foreach ($places as $place) {
            if ($this->isFree([...$place, $wide, $high])) {
                $this->taken[] = [...$place, $wide, $high];

                return $place;
            }
        }

        return [$x, $y];
    }

    /** @param array{float, float, float, float} $box */
    private function isFree(array $box): bool
    {
        foreach ($this->taken as $other) {
            if (
                $box[0] < $other[0] + $other[2]
                && $other[0] < $box[0] + $box[2]
                && $box[1] < $other[1] + $other[3]
                && $other[1] < $box[1] + $box[3]
            ) {
                return false;
            }
        }

        return true;
    }
}
