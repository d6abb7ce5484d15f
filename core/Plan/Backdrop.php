<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\Fill\Colour;
use UpperPane\Core\Design\Fill\ColourFill;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Layout\FloatTraits;
use UpperPane\Core\Legibility\Contrast;

/**
 * How light what lies under a zone is, from place to place and from moment to moment: pictures and videos by their
 * grids, grounds by their colours. A moment is one thing after another that each zone shows, one step after another of
 * a video: not the moments that come together, but none is left out.
 */
final readonly class Backdrop
{
    private const UNKNOWN = -1.0;
    private const THROUGH = -2.0;

    /** @param list<ZonePlan> $zones front to back */
    private function __construct(private ScenePlan $scene, private array $zones)
    {
    }

    public static function under(ScenePlan $scene, ZonePlan $zone): self
    {
        $box = $zone->placed->box();
        $under = [];
        foreach ($scene->zones as $one) {
            if ($one === $zone) {
                break;
            }
            if ($one->placed->box()->common($box) !== null) {
                $under[] = $one;
            }
        }

        return new self($scene, array_reverse($under));
    }

    public function moments(): int
    {
        return max(
            self::steps($this->scene->ground),
            ...array_map(
                static fn (ZonePlan $zone) => array_sum(array_map(self::steps(...), $zone->items)),
                $this->zones,
            ),
        );
    }

    private static function steps(Item $item): int
    {
        return $item->media?->light()?->steps() ?? 1;
    }

    /**
     * Relative luminance, 0 to 1; null where it is not known.
     *
     * @param float $x px of the canvas
     * @param float $y px of the canvas
     */
    public function at(int $moment, float $x, float $y): ?float
    {
        foreach ($this->zones as $zone) {
            if ($zone->placed->traits->opacityPermille < FloatTraits::OPAQUE || $zone->clip !== null) {
                return null;
            }
            [$inX, $inY] = self::turnedBack($zone, $x, $y);
            if ($inX < 0 || $inY < 0 || $inX >= $zone->rect->width || $inY >= $zone->rect->height) {
                continue;
            }
            $light = self::ofZone($zone, $moment, $inX, $inY);
            if ($light !== self::THROUGH) {
                return $light === self::UNKNOWN ? null : $light;
            }
        }
        [$ground, $place] = [$this->scene->ground, $this->scene->place];
        $light = self::ofItem($ground, $moment % self::steps($ground), $x - $place->x, $y - $place->y);

        return match ($light) {
            self::UNKNOWN => null,
            self::THROUGH => Contrast::luminance(Colour::ofNothing()->hex),
            default => $light,
        };
    }

    /** @return array{float, float} in px of the zone, which may be turned about its centre */
    private static function turnedBack(ZonePlan $zone, float $x, float $y): array
    {
        [$x, $y] = [$x - $zone->rect->x, $y - $zone->rect->y];
        if ($zone->placed->turnCentidegrees === 0) {
            return [$x, $y];
        }
        $angle = deg2rad(-$zone->placed->turnCentidegrees / 100);
        [$halfX, $halfY] = [$zone->rect->width / 2, $zone->rect->height / 2];

        return [
            $halfX + ($x - $halfX) * cos($angle) - ($y - $halfY) * sin($angle),
            $halfY + ($x - $halfX) * sin($angle) + ($y - $halfY) * cos($angle),
        ];
    }

    private static function ofZone(ZonePlan $zone, int $moment, float $x, float $y): float
    {
        $steps = array_map(self::steps(...), $zone->items);
        $moment %= (int) array_sum($steps);
        foreach ($zone->items as $index => $item) {
            if ($moment < $steps[$index]) {
                return self::ofItem($item, $moment, $x, $y);
            }
            $moment -= $steps[$index];
        }

        return self::UNKNOWN;
    }

    private static function ofItem(Item $item, int $step, float $x, float $y): float
    {
        $ground = $item->drawing['ground'] ?? null;
        $bare = is_string($ground) ? Contrast::luminance($ground) : self::THROUGH;

        return match ($item->drawing['kind']) {
            'colour' => $item->fill instanceof ColourFill
                ? Contrast::luminance($item->fill->colour->hex)
                : self::UNKNOWN,
            'standby' => self::THROUGH,
            'picture', 'video' => self::ofPicture($item, $step, $x, $y, $bare),
            'text', 'clock', 'count', 'chart', 'dial' => $bare,
            default => self::UNKNOWN,
        };
    }

    private static function ofPicture(Item $item, int $step, float $x, float $y, float $bare): float
    {
        $fit = $item->fit;
        if ($fit === null || isset($item->drawing['behind'])) {
            return self::UNKNOWN;
        }
        $px = static fn (Rational $one) => $one->thousandths() / 1000;
        [$left, $top, $width, $height] = array_map($px, $fit->window);
        if ($x < $left || $y < $top || $x >= $left + $width || $y >= $top + $height) {
            return $bare;
        }
        $grid = $item->media?->light();
        [$left, $top, $width, $height] = array_map($px, $fit->drawn);

        return $grid === null ? self::UNKNOWN : $grid->at($step, ($x - $left) / $width, ($y - $top) / $height) ?? $bare;
    }
}
