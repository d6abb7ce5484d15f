<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

use UpperPane\Core\Design\Fill\Colour;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Plan\ScenePlan;
use UpperPane\Core\Plan\ZonePlan;

/**
 * What is painted at any place of a scene: the one answer that seams, contrast, hidden things and codes are judged by
 * (model §5). A moment is one thing after another that each zone shows, one step after another of a video: not the
 * moments that come together, but none is left out.
 */
final class PaintedScene
{
    /** @var array<int, PaintedZone> by index in the plan */
    private array $zones = [];
    private ?PaintedItem $ground = null;
    private readonly ?PaintedZone $mark;
    private static ?Paint $nothing = null;

    /** @var list<Rect> by index in the plan */
    private array $boxes;

    /** @var list<int> indexes in the plan of what may lie over something: panes never do */
    private array $floats;

    private function __construct(public readonly ScenePlan $plan)
    {
        $this->boxes = array_map(static fn (ZonePlan $zone) => $zone->placed->box(), $plan->zones);
        $this->mark = $plan->mark === null ? null : PaintedZone::ofMark($plan->mark);
        $this->floats = array_keys(array_filter($plan->zones, static fn (ZonePlan $zone) => $zone->placed->isFloat));
    }

    public static function of(ScenePlan $plan): self
    {
        return new self($plan);
    }

    /** @param int $index of the zone, back to front */
    public function zone(int $index): PaintedZone
    {
        return $this->zones[$index] ??= PaintedZone::of($this->plan->zones[$index]);
    }

    public function ground(): PaintedItem
    {
        return $this->ground ??= PaintedItem::of($this->plan->ground);
    }

    /** Whether a place lies on the canvas. */
    public function holds(float $x, float $y): bool
    {
        $place = $this->plan->place;

        return $x >= $place->x && $y >= $place->y && $x < $place->right() && $y < $place->bottom();
    }

    /** What lies under and over a zone. */
    public function around(int $index): Surroundings
    {
        $isFloat = $this->plan->zones[$index]->placed->isFloat;
        $under = [];
        for ($at = $index - 1; $isFloat && $at >= 0; --$at) {
            if ($this->meet($at, $index)) {
                $under[] = $this->zone($at);
            }
        }

        return new Surroundings($this, $under, $this->over($index));
    }

    /** @return list<PaintedZone> what lies over it, back to front: a house style's mark over all */
    public function over(int $index): array
    {
        $over = [];
        foreach ($this->floats as $at) {
            if ($at > $index && $this->meet($at, $index)) {
                $over[] = $this->zone($at);
            }
        }

        return $this->mark?->rect->common($this->boxes[$index]) === null ? $over : [...$over, $this->mark];
    }

    private function meet(int $one, int $other): bool
    {
        return $this->boxes[$one]->common($this->boxes[$other]) !== null;
    }

    /** What a stage is where nothing is drawn. */
    public static function nothing(): Paint
    {
        return self::$nothing ??= Paint::ofHex(Colour::ofNothing()->hex);
    }
}
