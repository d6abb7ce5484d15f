<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Document\Fill\EmptyFill;
use UpperPane\Core\Document\Fill\Entry;
use UpperPane\Core\Document\Fill\PlaylistFill;
use UpperPane\Core\Document\Zone;
use UpperPane\Core\Geometry\Rect;

/** One zone in its rectangle → its plan. */
final readonly class ZoneCompiler
{
    /** What a picture, a colour or a clock stands for when its entry says "as long as its content": it has no length of its own (common practice). */
    public const PLAIN_MS = 10_000;

    private ItemCompiler $items;

    public function __construct(private PlanContext $context)
    {
        $this->items = new ItemCompiler($context);
    }

    public function compile(string $sceneId, Zone $zone, Rect $rect): ZonePlan
    {
        $fill = $zone->fill();
        $items = $fill instanceof PlaylistFill
            ? array_map(fn (Entry $entry) => $this->entry($entry, $rect), array_values(array_filter($fill->entries, static fn (Entry $entry) => $entry->enabled)))
            : [$this->items->compile($fill, $rect->size())];

        $items = $items === [] ? [$this->items->compile(new EmptyFill(), $rect->size())] : $items;

        $ground = $this->context->ground;

        return new ZonePlan($sceneId, $zone, $rect, $items, $ground === null || count($ground->panels) < 2 ? [] : $ground->panelsUnder($rect), $ground?->seamsIn($rect) ?? []);
    }

    private function entry(Entry $entry, Rect $rect): Item
    {
        $item = $this->items->compile($entry->fill, $rect->size());

        return $item->inEntry($entry->id, $entry->durationMs ?? $item->contentMs ?? self::PLAIN_MS, $entry->transition);
    }
}
