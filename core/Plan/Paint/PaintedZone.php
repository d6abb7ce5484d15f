<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

use UpperPane\Core\Design\Fill\MediaFill;
use UpperPane\Core\Design\Fill\QrFill;
use UpperPane\Core\Geometry\Polygon;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\FloatTraits;
use UpperPane\Core\Legibility\Qr\QrCode;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\MarkPlan;
use UpperPane\Core\Plan\ZonePlan;

/** What a zone paints where it lies: turned, cut to its shape, as far seen through as it is. */
final readonly class PaintedZone
{
    public float $opacity;
    private ?Polygon $clip;
    private ?Figure $edge;
    private float $sine;
    private float $cosine;

    /** @var list<PaintedItem> one after another */
    public array $items;

    /**
     * @param string $called what findings call it: its letter
     * @param list<Item> $items one after another
     * @param ?array{path: string, line?: array{path: string, colour: string, width_mpx: int}} $clip what it is seen in
     */
    private function __construct(
        public string $called,
        public Rect $rect,
        array $items,
        int $turnCentidegrees = 0,
        int $opacityPermille = FloatTraits::OPAQUE,
        ?array $clip = null,
    ) {
        $this->items = array_map(PaintedItem::of(...), $items);
        $this->opacity = $opacityPermille / FloatTraits::OPAQUE;
        $this->clip = $clip === null ? null : Polygon::ofPath($clip['path'], 1);
        $line = $clip['line'] ?? null;
        $this->edge = $line === null
            ? null
            : Figure::line(Polygon::ofPath($line['path'], 0.001), $line['colour'], $line['width_mpx'] / 1000);
        $angle = deg2rad($turnCentidegrees / 100);
        [$this->sine, $this->cosine] = [sin($angle), cos($angle)];
    }

    public static function of(ZonePlan $plan): self
    {
        return new self(
            $plan->zone->letter(),
            $plan->rect,
            $plan->items,
            $plan->placed->turnCentidegrees,
            $plan->placed->traits->opacityPermille,
            $plan->clip,
        );
    }

    /** A house style's picture over all zones. */
    public static function ofMark(MarkPlan $mark): self
    {
        return new self('the corner mark', $mark->rect, [$mark->item]);
    }

    /** @return list<array{PaintedItem, int}> one thing after another, one step after another of each */
    public function moments(): array
    {
        return array_merge(...array_map(static fn (PaintedItem $item) => $item->moments(), $this->items));
    }

    /**
     * With its letters left out, as if nothing were seen through it.
     *
     * @param float $inX px of the zone
     * @param float $inY px of the zone
     *
     * @return ?Paint null where nobody knows
     */
    public function own(PaintedItem $item, int $step, float $inX, float $inY): ?Paint
    {
        $edge = $this->edge?->at(0, $inX, $inY);

        return $edge?->isFull() === true ? $edge : $item->at($step, $inX, $inY);
    }

    /** Whether it is cut to a shape. */
    public function isCut(): bool
    {
        return $this->clip !== null;
    }

    /** Whether the zone is seen at a place of it. */
    public function shows(float $inX, float $inY): bool
    {
        return $inX >= 0
            && $inY >= 0
            && $inX < $this->rect->width
            && $inY < $this->rect->height
            && ($this->clip === null || $this->clip->contains($inX, $inY));
    }

    /**
     * @param float $x px of the canvas
     * @param float $y px of the canvas
     *
     * @return array{float, float} px of the zone
     */
    public function inside(float $x, float $y): array
    {
        $rect = $this->rect;
        if ($this->sine === 0.0 && $this->cosine === 1.0) {
            return [$x - $rect->x, $y - $rect->y];
        }
        [$halfX, $halfY] = [$rect->width / 2, $rect->height / 2];
        [$x, $y] = [$x - $rect->x - $halfX, $y - $rect->y - $halfY];

        return [$halfX + $x * $this->cosine + $y * $this->sine, $halfY - $x * $this->sine + $y * $this->cosine];
    }

    /**
     * @param float $inX px of the zone
     * @param float $inY px of the zone
     *
     * @return array{float, float} px of the canvas
     */
    public function outside(float $inX, float $inY): array
    {
        $rect = $this->rect;
        [$halfX, $halfY] = [$rect->width / 2, $rect->height / 2];
        [$x, $y] = [$inX - $halfX, $inY - $halfY];

        return [
            $rect->x + $halfX + $x * $this->cosine - $y * $this->sine,
            $rect->y + $halfY + $x * $this->sine + $y * $this->cosine,
        ];
    }

    /** A rectangle of it where it lies on the canvas, as far as the zone shows it; null when it does not. */
    public function onCanvas(Box $box): ?Polygon
    {
        $rect = $this->rect;

        return $box
            ->within(Box::of(0, 0, $rect->width, $rect->height))
            ?->polygon()
            ->turned($this->sine, $this->cosine, $rect->width / 2, $rect->height / 2, $rect->x, $rect->y);
    }

    public function outline(): Polygon
    {
        $rect = $this->rect;

        return $this->onCanvas(Box::of(0, 0, $rect->width, $rect->height)) ??
            Polygon::rect($rect->x, $rect->y, $rect->width, $rect->height);
    }

    /** @return list<Polygon> what nobody sees through, whatever it shows; none of what is cut to a shape */
    public function covers(): array
    {
        if ($this->opacity < 1.0 || $this->clip !== null) {
            return [];
        }
        $rect = $this->rect;
        $always = [Box::of(0, 0, $rect->width, $rect->height)];
        foreach ($this->items as $item) {
            $both = [];
            foreach ($item->covers($rect->width, $rect->height) as $box) {
                $both = [...$both, ...array_map(static fn (Box $one) => $one->within($box), $always)];
            }
            $always = array_values(array_filter($both));
        }

        return array_values(array_filter(array_map($this->onCanvas(...), $always)));
    }

    /**
     * What a seam must not run through: letters and codes, or the marked faces of a picture.
     *
     * @return list<Polygon> where they lie on the canvas
     */
    public function marks(PaintedItem $item): array
    {
        $boxes = [
            ...self::marked($item->item),
            ...array_merge(...array_map(static fn (Letters $letters) => $letters->bodies(), $item->letters)),
        ];
        foreach ($item->item->parts as $part) {
            foreach (self::marked($part->item) as $box) {
                $boxes[] = $box->movedBy($part->rect->x, $part->rect->y);
            }
        }

        return array_values(array_filter(array_map($this->onCanvas(...), $boxes)));
    }

    /** @return list<Box> of what is no letters */
    private static function marked(Item $item): array
    {
        return match (true) {
            $item->fill instanceof MediaFill => self::faces($item, $item->fill),
            $item->fill instanceof QrFill => self::code($item),
            default => [],
        };
    }

    /** @return list<Box> its dark modules, without the quiet zone */
    private static function code(Item $item): array
    {
        /** @var array{rows: ?list<string>, module_px: int, place_px: array{int, int}} $drawing */
        $drawing = $item->drawing;
        $quiet = QrCode::QUIET;
        $side = (count($drawing['rows'] ?? []) - 2 * $quiet) * $drawing['module_px'];
        [$x, $y] = array_map(static fn (int $px) => $px + $quiet * $drawing['module_px'], $drawing['place_px']);

        return $side > 0 ? [Box::of($x, $y, $side, $side)] : [];
    }

    /** @return list<Box> as far as a crop leaves them */
    private static function faces(Item $item, MediaFill $fill): array
    {
        if ($item->fit === null) {
            return [];
        }
        [$drawn, $window] = [Box::ofPx($item->fit->drawn), Box::ofPx($item->fit->window)];

        return array_values(
            array_filter(
                array_map(
                    static fn (Rect $face) => Box::of(
                        $drawn->x + ($drawn->width * $face->x) / 1_000_000,
                        $drawn->y + ($drawn->height * $face->y) / 1_000_000,
                        ($drawn->width * $face->width) / 1_000_000,
                        ($drawn->height * $face->height) / 1_000_000,
                    )->within($window),
                    $fill->faces,
                ),
            ),
        );
    }
}
