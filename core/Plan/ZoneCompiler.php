<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\Fill\EmptyFill;
use UpperPane\Core\Design\Fill\Entry;
use UpperPane\Core\Design\Fill\MediaFill;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Design\Fill\Transition;
use UpperPane\Core\Design\Zone;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Placed;
use UpperPane\Core\Plan\Fill\FigureCompiler;
use UpperPane\Core\Schedule\Upcoming;
use UpperPane\Core\Schedule\When;
use UpperPane\Core\Schedule\ZoneTime;
use UpperPane\Core\Time\Order;

/** One zone where it lies → its plan. */
final readonly class ZoneCompiler
{
    private ItemCompiler $items;
    private ContentTime $time;

    public function __construct(private PlanContext $context)
    {
        $this->items = new ItemCompiler($context);
        $this->time = new ContentTime($context->media);
    }

    /** @param ?InStep $inStep with the zone that leads it */
    public function compile(string $sceneId, Zone $zone, Placed $placed, ?InStep $inStep = null): ZonePlan
    {
        $fill = $zone->fill();
        $size = $placed->rect->size();
        $items =
            $fill instanceof PlaylistFill
                ? self::inTime(
                    array_map(fn (Entry $entry) => $this->entry($entry, $size), $fill->shown()),
                    $inStep,
                )
                : [$this->items->compile($fill, $size)];
        $items = $items === [] ? [$this->items->compile(new EmptyFill(), $size)] : $items;
        $ground = $this->context->ground;
        $clip = $fill instanceof PlaylistFill || $fill instanceof MediaFill ? $fill->clip : null;
        $clip = $this->context->palette === null ? $clip : $clip?->resolved($this->context->palette);
        $box = $placed->box();

        return new ZonePlan(
            $sceneId,
            $zone,
            $placed,
            $items,
            $ground === null || count($ground->panels) < 2 ? [] : $ground->panelsUnder($box),
            $ground?->seamsIn($box) ?? [],
            $this->context->leastCapPx(),
            $clip === null ? null : (new FigureCompiler($this->context))->clip($clip, $size),
            // What lies between, or in step, comes as it is listed.
            $fill instanceof PlaylistFill && !$fill->isMixed() && $inStep === null ? $fill->order : Order::Listed,
            $fill instanceof PlaylistFill ? $fill->after : PlaylistFill::AFTER,
            $inStep,
        );
    }

    /**
     * An entry enters within the shorter of its own time and that of the one before it (model §6); in step, of its
     * leader's shortest step; among others between which some lie, of the shortest of all.
     *
     * @param list<Item> $items
     *
     * @return list<Item>
     */
    private static function inTime(array $items, ?InStep $inStep): array
    {
        $isMixed = array_filter($items, static fn (Item $item) => $item->between) !== [];
        $shortest = $inStep->steps ?? ($isMixed ? array_map(static fn (Item $item) => (int) $item->ms, $items) : []);
        if ($shortest !== []) {
            return array_map(static fn (Item $item) => $item->enteringWithin(min($shortest)), $items);
        }
        $timed = [];
        foreach ($items as $index => $item) {
            $before = $items[$index === 0 ? count($items) - 1 : $index - 1];
            $timed[] = $item->enteringWithin(min((int) $item->ms, (int) $before->ms));
        }

        return $timed;
    }

    private function isPast(When $when): bool
    {
        $now = intdiv($this->context->fromMs, 1000);

        return Upcoming::of($when->windows(), $now, new ZoneTime($this->context->zone)) === [];
    }

    private function entry(Entry $entry, Size $size): Item
    {
        $enters = $this->context->still ? Transition::cut() : $entry->transition;

        return $this->items
            ->compile($entry->fill, $size)
            ->inEntry($entry->id, $this->time->ofEntry($entry), $enters)
            ->onlyOn($entry->when, $entry->alone, $entry->when !== null && $this->isPast($entry->when))
            ->between($entry->between && !$entry->alone);
    }
}
