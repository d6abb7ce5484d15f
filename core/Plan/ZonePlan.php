<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\Zone;
use UpperPane\Core\Geometry\Ratio;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Placed;
use UpperPane\Core\Time\Order;
use UpperPane\Core\Time\Sequence;

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
     * @param int     $after  one of the items that lie between after so many of the others
     * @param ?InStep $inStep with the zone that leads it; null: it goes by its own durations
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
        public int $after = 1,
        public ?InStep $inStep = null,
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
            $this->after,
            $this->inStep,
        );
    }

    /** JSON Pointer into the design document. */
    public function path(): string
    {
        return "/zones/{$this->zone->id}";
    }

    /** One pass of its content in ms, with its leader's; null when it shows one thing for as long as it lasts. */
    public function cycleMs(): ?int
    {
        return match (true) {
            $this->inStep !== null => $this->inStep->cycleMs($this->sequence()?->count() ?? 1),
            default => $this->sequence()?->cycleMs(),
        };
    }

    /**
     * @return list<array{place: ?int, ms: int, leader: int}> which of its items each step of its leader shows, over one
     *     joint cycle
     */
    public function turns(InStep $steps): array
    {
        return $steps->turns($this->sequence());
    }

    /** @return list<array{place: int, ms: int}> which of its items shows in turn, over one pass; none of one thing */
    public function ownTurns(): array
    {
        return $this->sequence()?->turns() ?? [];
    }

    /** How long an item is there at least: in step, as long as the shortest step at which it is. */
    public function leastMs(Item $item): ?int
    {
        if ($this->inStep === null) {
            return $item->ms;
        }
        $own = array_search($item, $this->items, true);
        $turns = array_filter($this->turns($this->inStep), static fn (array $turn) => $turn['place'] === $own);

        return $turns === [] ? null : min(array_column($turns, 'ms'));
    }

    /** Whether some of its items lie between the others. */
    public function isMixed(): bool
    {
        return array_filter($this->items, static fn (Item $item) => $item->between) !== [];
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
            ($this->order === Order::Listed ? [] : ['order' => $this->order->value]) +
            ($this->isMixed() ? ['after' => $this->after] : []) +
            ($this->inStep === null ? [] : ['follows' => $this->inStep->toArray()]);
    }

    /** The order in which its items come; null where it shows one thing. */
    private function sequence(): ?Sequence
    {
        return $this->items[0]->ms === null
            ? null
            : Sequence::of(
                array_map(static fn (Item $item) => (int) $item->ms, $this->items),
                array_keys($this->items),
                array_map(static fn (Item $item) => $item->between, $this->items),
                $this->after,
            );
    }
}
