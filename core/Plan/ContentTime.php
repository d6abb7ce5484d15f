<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\Fill\Entry;
use UpperPane\Core\Design\Fill\Fill;
use UpperPane\Core\Design\Fill\FillKind;
use UpperPane\Core\Design\Fill\MediaFill;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Design\Fill\TextFill;
use UpperPane\Core\Design\LengthKind;
use UpperPane\Core\Design\Scene;
use UpperPane\Core\Picture\MediaShelf;
use UpperPane\Core\Text\Setting\ReadingTime;
use UpperPane\Core\Time\Order;

/** How long things take by themselves (model §6), without drawing them. */
final readonly class ContentTime
{
    /**
     * What a picture, a colour or a clock stands for when its length is asked for: it has none of its own (common
     * practice).
     */
    public const PLAIN_MS = 10_000;

    public function __construct(private MediaShelf $media)
    {
    }

    /** How long a fill's content itself is in ms; null where it has no length. */
    public function ofFill(Fill $fill): ?int
    {
        return match ($fill->kind()) {
            FillKind::Picture, FillKind::Video => $fill instanceof MediaFill
                ? $fill->stretch($this->media->find($fill->media)?->durationMs)[1] ?? null
                : null,
            FillKind::Text => $fill instanceof TextFill ? ReadingTime::ofMs($fill->text) : null,
            FillKind::Empty,
            FillKind::Colour,
            FillKind::Clock,
            FillKind::Count,
            FillKind::Dial,
            FillKind::Progress,
            FillKind::Qr,
            FillKind::Shape,
            FillKind::Chart,
            FillKind::Web,
            FillKind::Live,
            FillKind::Playlist => null,
        };
    }

    public function ofEntry(Entry $entry): int
    {
        return $entry->durationMs ?? ($this->ofFill($entry->fill) ?? self::PLAIN_MS);
    }

    /** One round of a fill in ms; null when it shows one thing for as long as it lasts. */
    public function cycle(Fill $fill): ?int
    {
        $enabled = $fill instanceof PlaylistFill ? $fill->enabled() : [];

        return $enabled === [] ? null : array_sum(array_map($this->ofEntry(...), $enabled));
    }

    /**
     * What its zones show in turn, entry by entry, by zone: of those that begin with the scene, in the order in which
     * they are listed, and whose entries are on at all hours.
     *
     * @return array<string, list<int>> in ms
     */
    public function lanes(Design $design, Scene $scene): array
    {
        $lanes = [];
        foreach ($scene->zones() as $id) {
            $zone = $design->zones[$id] ?? null;
            $fill = $zone?->fill();
            $isListed = $fill instanceof PlaylistFill && $fill->order === Order::Listed && !$zone?->runsOn();
            $entries = $isListed ? $fill->enabled() : [];
            if ($entries !== [] && array_filter($entries, static fn (Entry $entry) => $entry->when !== null) === []) {
                $lanes[$id] = array_map($this->ofEntry(...), $entries);
            }
        }

        return $lanes;
    }

    /**
     * How long a scene lasts in ms; null until something else comes. A scene that goes by a cycle and has none lasts
     * {@see PLAIN_MS}.
     */
    public function ofScene(Design $design, Scene $scene): ?int
    {
        $cycle = fn (string $zone): int => isset($design->zones[$zone])
            ? $this->cycle($design->zones[$zone]->fill()) ?? 0
            : 0;

        return match ($scene->length->kind) {
            LengthKind::Open => null,
            LengthKind::Ms => $scene->length->ms,
            LengthKind::Leader => $cycle($scene->length->leader) ?: self::PLAIN_MS,
            LengthKind::Longest => max([0, ...array_map($cycle, $scene->zones())]) ?: self::PLAIN_MS,
        };
    }
}
