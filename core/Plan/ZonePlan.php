<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\Zone;
use UpperPane\Core\Geometry\Ratio;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Placed;
use UpperPane\Core\Time\Order;
use UpperPane\Core\Time\Playlist;

/** One zone of a plan: where it lies, and what it shows in turn. */
final readonly class ZonePlan
{
    public Rect $rect;

    /**
     * @param list<Item>   $items  what is shown in turn; disabled entries left out; a standby when there is nothing
     * @param list<string> $panels letters of the panels it falls on; none on a single panel, where it says nothing
     * @param list<Rect>   $seams  those that run through it, in canvas px
     * @param ?int $leastCapPx capital height in px that the farthest viewer can read; null where nobody said who looks
     *     from where
     * @param ?array{path: string, line?: array{path: string, colour: string, width_mpx: int}} $clip what it is seen in
     */
    public function __construct(
        public string $sceneId,
        public Zone $zone,
        public Placed $placed,
        public array $items,
        public array $panels = [],
        public array $seams = [],
        public ?int $leastCapPx = null,
        public ?array $clip = null,
        public Order $order = Order::Listed,
    ) {
        $this->rect = $placed->rect;
    }

    /** The same zone on a canvas that its own is a part of. */
    public function movedBy(int $x, int $y): self
    {
        return new self(
            $this->sceneId,
            $this->zone,
            $this->placed->movedBy($x, $y),
            $this->items,
            $this->panels,
            array_map(static fn (Rect $seam) => $seam->movedBy($x, $y), $this->seams),
            $this->leastCapPx,
            $this->clip,
            $this->order,
        );
    }

    /** JSON Pointer into the design document. */
    public function path(): string
    {
        return "/zones/{$this->zone->id}";
    }

    /** One round of its content in ms; null when it shows one thing for as long as it lasts. */
    public function cycleMs(): ?int
    {
        return $this->items[0]->ms === null ? null : $this->playlist()->cycleMs();
    }

    /**
     * What shows t ms after it began.
     *
     * @return array{entry: ?string, since_ms: int, left_ms: ?int}
     */
    public function at(int $tMs): array
    {
        return $this->items[0]->ms === null
            ? ['entry' => null, 'since_ms' => $tMs, 'left_ms' => null]
            : $this->playlist()->at($tMs);
    }

    /** @return array<string, int> px to set each text at, so that the farthest viewer reads its capitals, by entry */
    public function leastSizesPx(): array
    {
        $least = [];
        foreach ($this->items as $item) {
            $px = $this->leastSizePx($item);
            $least += $px === null ? [] : [(string) $item->entry => $px];
        }

        return $least;
    }

    /** The same for one of its items; null where nobody can say. */
    public function leastSizePx(Item $item): ?int
    {
        $set = $item->set;

        return $set !== null && $this->leastCapPx !== null && $set->capHeightPx->compare(Rational::of(0)) > 0
            ? Rational::of($this->leastCapPx)
                ->times(Rational::of($set->sizePx)->dividedBy($set->capHeightPx))
                ->ceil()
            : null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->zone->id,
            'letter' => $this->zone->letter(),
            'name' => $this->zone->name(),
            'rect' => $this->rect->toArray(),
            'turn' => $this->placed->turnCentidegrees,
            'layer' => $this->placed->layer,
            'float' => $this->placed->isFloat,
            'runs_on' => $this->zone->runsOn(),
            'ratio' => Ratio::of($this->rect->size())->toArray(),
            'panels' => $this->panels,
            'cycle_ms' => $this->cycleMs(),
            'items' => array_map(static fn (Item $item) => $item->toArray(), $this->items),
        ] + array_intersect_key($this->placed->traits->toArray(), ['opacity' => 0, 'hidden' => 0]) +
            ($this->clip === null ? [] : ['clip' => $this->clip]) +
            ($this->order === Order::Listed ? [] : ['order' => $this->order->value]);
    }

    private function playlist(): Playlist
    {
        return Playlist::of(
            array_map(static fn (Item $item) => ['id' => (string) $item->entry, 'ms' => (int) $item->ms], $this->items),
        );
    }
}
