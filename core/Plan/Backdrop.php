<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\Fill\Colour;
use UpperPane\Core\Layout\FloatTraits;
use UpperPane\Core\Legibility\Contrast;

/**
 * How light what lies under a zone is, from place to place and from moment to moment: pictures and videos by their
 * grids, grounds by their colours. A moment is one thing after another that each zone shows, one step after another of
 * a video: not the moments that come together, but none is left out.
 */
final readonly class Backdrop
{
    /**
     * @param list<array{ZonePlan, list<array{LitItem, int}>}> $zones  front to back, with the moments of each
     * @param list<array{LitItem, int}>                        $ground moments of the ground
     */
    private function __construct(private ScenePlan $scene, private array $zones, private array $ground)
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
                $under[] = [$one, self::momentsOf($one->items)];
            }
        }

        return new self($scene, array_reverse($under), self::momentsOf([$scene->ground]));
    }

    /**
     * @param list<Item> $items
     *
     * @return list<array{LitItem, int}> one after another, with the step of each
     */
    private static function momentsOf(array $items): array
    {
        $moments = [];
        foreach ($items as $item) {
            $lit = LitItem::of($item);
            foreach (range(0, $lit->steps() - 1) as $step) {
                $moments[] = [$lit, $step];
            }
        }

        return $moments;
    }

    public function moments(): int
    {
        return max([count($this->ground), ...array_map(static fn (array $zone) => count($zone[1]), $this->zones)]);
    }

    /**
     * Relative luminance, 0 to 1; null where it is not known.
     *
     * @param float $x px of the canvas
     * @param float $y px of the canvas
     */
    public function at(int $moment, float $x, float $y): ?float
    {
        foreach ($this->zones as [$zone, $moments]) {
            if ($zone->placed->traits->opacityPermille < FloatTraits::OPAQUE || $zone->clip !== null) {
                return null;
            }
            [$inX, $inY] = self::turnedBack($zone, $x, $y);
            if ($inX < 0 || $inY < 0 || $inX >= $zone->rect->width || $inY >= $zone->rect->height) {
                continue;
            }
            $light = self::light($moments, $moment, $inX, $inY);
            if ($light !== LitItem::THROUGH) {
                return $light === LitItem::UNKNOWN ? null : $light;
            }
        }
        $light = self::light($this->ground, $moment, $x - $this->scene->place->x, $y - $this->scene->place->y);

        return match ($light) {
            LitItem::UNKNOWN => null,
            LitItem::THROUGH => Contrast::luminance(Colour::ofNothing()->hex),
            default => $light,
        };
    }

    /** @param list<array{LitItem, int}> $moments */
    private static function light(array $moments, int $moment, float $x, float $y): float
    {
        if ($moments === []) {
            return LitItem::UNKNOWN;
        }
        [$lit, $step] = $moments[$moment % count($moments)];

        return $lit->at($step, $x, $y);
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
}
