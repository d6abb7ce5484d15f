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
use UpperPane\Core\Time\Sequence;

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

    /** One pass of a fill in ms; null when it shows one thing for as long as it lasts. */
    public function cycle(Fill $fill): ?int
    {
        $enabled = $fill instanceof PlaylistFill ? $fill->shown() : [];

        return $fill instanceof PlaylistFill && $enabled !== [] ? $this->sequence($fill, $enabled)->cycleMs() : null;
    }

    /**
     * What its zones show in turn, step by step, by zone: of those that begin with the scene, in the order in which
     * they are listed, and whose entries are on at all hours. The place of an entry is one among those that are shown.
     *
     * @return array<string, list<array{place: ?int, ms: int}>>
     */
    public function lanes(Design $design, Scene $scene): array
    {
        $lanes = [];
        foreach ($scene->zones() as $id) {
            $steps = $this->isSteady($design, $id) ? InStep::of($design, $id, $scene->zones(), $this) : null;
            if ($steps !== null && $this->isSteady($design, $steps->leader)) {
                $fill = $design->zone($id)->fill();
                $lanes[$id] = $steps->turns(
                    $fill instanceof PlaylistFill && $fill->shown() !== []
                        ? $this->sequence($fill, $fill->shown())
                        : null,
                );
                continue;
            }
            $fill = ($design->zones[$id] ?? null)?->fill();
            if ($fill instanceof PlaylistFill && $fill->shown() !== [] && $this->isSteady($design, $id)) {
                $lanes[$id] = $this->turns($fill);
            }
        }

        return $lanes;
    }

    /** @return list<array{place: int, ms: int}> of one pass */
    public function turns(PlaylistFill $fill): array
    {
        return $this->sequence($fill, $fill->shown())->turns();
    }

    private function isSteady(Design $design, string $id): bool
    {
        $zone = $design->zones[$id] ?? null;
        $fill = $zone?->fill();
        $enabled = $fill instanceof PlaylistFill ? $fill->enabled() : [];

        return $zone?->runsOn() === false
            && (!$fill instanceof PlaylistFill || $fill->order === Order::Listed || $fill->isMixed())
            && array_filter($enabled, static fn (Entry $entry) => $entry->when !== null) === [];
    }

    /** @param list<Entry> $enabled */
    private function sequence(PlaylistFill $fill, array $enabled): Sequence
    {
        return Sequence::of(
            array_map($this->ofEntry(...), $enabled),
            array_keys($enabled),
            array_map(static fn (Entry $entry) => $entry->between && !$entry->alone, $enabled),
            $fill->after,
        );
    }

    /**
     * How long a scene lasts in ms; null until something else comes. A scene that goes by a cycle and has none lasts
     * {@see PLAIN_MS}.
     */
    public function ofScene(Design $design, Scene $scene): ?int
    {
        $cycle = fn (string $zone): int => isset($design->zones[$zone])
            ? $this->ofZone($design, $zone, $scene->zones()) ?? 0
            : 0;

        return match ($scene->length->kind) {
            LengthKind::Open => null,
            LengthKind::Ms => $scene->length->ms,
            LengthKind::Leader => $cycle($scene->length->leader) ?: self::PLAIN_MS,
            LengthKind::Longest => max([0, ...array_map($cycle, $scene->zones())]) ?: self::PLAIN_MS,
        };
    }

    /** @param list<string> $there */
    private function ofZone(Design $design, string $zone, array $there): ?int
    {
        $fill = $design->zone($zone)->fill();
        $steps = InStep::of($design, $zone, $there, $this);

        return $steps === null
            ? $this->cycle($fill)
            : $steps->cycleMs($fill instanceof PlaylistFill ? $this->sequence($fill, $fill->shown())->count() : 1);
    }
}
