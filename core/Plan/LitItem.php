<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\Fill\ColourFill;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Legibility\Contrast;
use UpperPane\Core\Picture\LightGrid;

/**
 * How light an item is from place to place: relative luminance, 0 to 1, of a picture or a video by its grid, of others
 * by their colour. What can be said without a place is worked out once.
 */
final readonly class LitItem
{
    public const UNKNOWN = -1.0;
    public const THROUGH = -2.0;

    /**
     * @param float                                    $bare   where it has no picture
     * @param ?array{float, float, float, float} $window the part of the box that the picture is seen in, in px
     * @param ?array{float, float, float, float} $drawn  where the whole picture would lie, in px
     */
    private function __construct(
        private float $bare,
        private ?LightGrid $grid,
        private ?array $window = null,
        private ?array $drawn = null,
    ) {
    }

    public static function of(Item $item): self
    {
        $grid = $item->media?->light();
        $ground = $item->drawing['ground'] ?? null;
        $bare = is_string($ground) ? Contrast::luminance($ground) : self::THROUGH;
        $everywhere = match ($item->drawing['kind']) {
            'colour' => $item->fill instanceof ColourFill
                ? Contrast::luminance($item->fill->colour->hex)
                : self::UNKNOWN,
            'standby' => self::THROUGH,
            'text', 'clock', 'count', 'chart', 'dial' => $bare,
            'picture', 'video' => null,
            default => self::UNKNOWN,
        };
        $fit = $item->fit;
        if ($everywhere !== null || $fit === null || isset($item->drawing['behind'])) {
            return new self($everywhere ?? self::UNKNOWN, $grid);
        }

        return new self($bare, $grid, self::px($fit->window), self::px($fit->drawn));
    }

    /**
     * @param array{Rational, Rational, Rational, Rational} $rect
     *
     * @return array{float, float, float, float}
     */
    private static function px(array $rect): array
    {
        return array_map(static fn (Rational $one) => $one->thousandths() / 1000, $rect);
    }

    /** How many pictures after each other its light is known of; 1 of what stands still. */
    public function steps(): int
    {
        return $this->grid?->steps() ?? 1;
    }

    /**
     * @param float $x px of its box
     * @param float $y px of its box
     */
    public function at(int $step, float $x, float $y): float
    {
        if ($this->window === null || $this->drawn === null) {
            return $this->bare;
        }
        [$left, $top, $width, $height] = $this->window;
        if ($x < $left || $y < $top || $x >= $left + $width || $y >= $top + $height) {
            return $this->bare;
        }
        if ($this->grid === null) {
            return self::UNKNOWN;
        }
        [$left, $top, $width, $height] = $this->drawn;

        return $this->grid->at($step, ($x - $left) / $width, ($y - $top) / $height) ?? $this->bare;
    }
}
