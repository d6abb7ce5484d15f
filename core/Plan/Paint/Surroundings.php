<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

/** What lies under a zone and over it, from place to place and from moment to moment. */
final readonly class Surroundings
{
    /** @var list<list<array{PaintedItem, int}>> by zone under it */
    private array $underMoments;

    /** @var list<list<array{PaintedItem, int}>> by zone over it */
    private array $overMoments;

    /** @var list<array{PaintedItem, int}> */
    private array $groundMoments;

    /**
     * @param list<PaintedZone> $under front to back
     * @param list<PaintedZone> $over  back to front
     */
    public function __construct(private PaintedScene $scene, private array $under, private array $over)
    {
        $moments = static fn (PaintedZone $zone) => $zone->moments();
        $this->underMoments = array_map($moments, $under);
        $this->overMoments = array_map($moments, $over);
        $this->groundMoments = $scene->ground()->moments();
    }

    public function hasOver(): bool
    {
        return $this->over !== [];
    }

    /** Whether nothing but plain colours and gradients is there: no picture's light changes from px to px. */
    public function isPlain(): bool
    {
        foreach ([$this->groundMoments, ...$this->underMoments, ...$this->overMoments] as $moments) {
            foreach ($moments as [$item]) {
                if ($item->item->media !== null) {
                    return false;
                }
            }
        }

        return true;
    }

    public function moments(): int
    {
        return max(array_map(count(...), [$this->groundMoments, ...$this->underMoments, ...$this->overMoments]));
    }

    /**
     * @param float $x px of the canvas
     * @param float $y px of the canvas
     */
    public function place(float $x, float $y, Paint $ink, Paint $own): Place
    {
        return new Place(
            ...[$x, $y, $ink, $own],
            under: self::shown($this->under, $x, $y),
            over: self::shown($this->over, $x, $y),
        );
    }

    /**
     * @param list<PaintedZone> $zones
     *
     * @return list<array{int, float, float}> which of them are seen there, and where in each that is
     */
    private static function shown(array $zones, float $x, float $y): array
    {
        $shown = [];
        foreach ($zones as $index => $zone) {
            [$inX, $inY] = $zone->inside($x, $y);
            if ($zone->shows($inX, $inY)) {
                $shown[] = [$index, $inX, $inY];
            }
        }

        return $shown;
    }

    /** @return ?Paint a full one; null where nobody knows */
    public function under(int $moment, Place $place): ?Paint
    {
        $paint = Paint::none();
        foreach ($place->under as [$index, $inX, $inY]) {
            $zone = $this->under[$index];
            [$item, $step] = self::now($this->underMoments[$index], $moment);
            $here = $zone->own($item, $step, $inX, $inY);
            if ($here === null) {
                return null;
            }
            $paint = $paint->over($here->thinner($zone->opacity));
            if ($paint->isFull()) {
                return $paint;
            }
        }
        [$item, $step] = self::now($this->groundMoments, $moment);
        $canvas = $this->scene->plan->place;
        $ground = $item->at($step, $place->x - $canvas->x, $place->y - $canvas->y);

        return $ground === null ? null : $paint->over($ground)->over(PaintedScene::nothing());
    }

    /** @return ?Paint of what lies over it: nothing, or as much as it covers; null where nobody knows */
    public function over(int $moment, Place $place): ?Paint
    {
        $paint = Paint::none();
        foreach ($place->over as [$index, $inX, $inY]) {
            $zone = $this->over[$index];
            [$item, $step] = self::now($this->overMoments[$index], $moment);
            $here = $zone->own($item, $step, $inX, $inY);
            if ($here === null) {
                return null;
            }
            $paint = $here->thinner($zone->opacity)->over($paint);
        }

        return $paint;
    }

    /**
     * @param list<array{PaintedItem, int}> $moments
     *
     * @return array{PaintedItem, int}
     */
    private static function now(array $moments, int $moment): array
    {
        return $moments[$moment % count($moments)];
    }
}
