<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Output\Output;
use UpperPane\Core\Output\OutputMap;
use UpperPane\Core\Output\Slice;
use UpperPane\Core\Surface\PlacedPanel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Core\Time\Cycles;

/** The one thing that is ever drawn: a design on a surface over a horizon. */
final readonly class Plan
{
    public const VERSION = 1;

    /**
     * @param list<ZonePlan> $zones    in reading order
     * @param list<Finding>  $findings of the layout and its reflow
     */
    public function __construct(
        public Surface $surface,
        public string $sceneId,
        public array $zones,
        public array $findings,
        private PlanContext $context,
        private ?OutputMap $outputs = null,
    ) {
    }

    /** For players: which part of the canvas leaves which output. */
    public function leavingBy(OutputMap $outputs): self
    {
        return new self($this->surface, $this->sceneId, $this->zones, $this->findings, $this->context, $outputs);
    }

    /** With more that was found on the way to it. */
    public function with(Finding ...$findings): self
    {
        return new self($this->surface, $this->sceneId, $this->zones, [...$this->findings, ...array_values($findings)], $this->context, $this->outputs);
    }

    /** When all zones begin a round together again, in ms; null above seven days. */
    public function periodMs(): ?int
    {
        $cycles = array_filter(array_map(static fn (ZonePlan $zone) => $zone->cycleMs(), $this->zones));

        return $cycles === [] ? 0 : Cycles::periodMs(array_values($cycles));
    }

    /** @return array<string, mixed> only strings, booleans, null and integers: it can be hashed */
    public function toArray(): array
    {
        return [
            'plan' => self::VERSION,
            'canvas' => $this->surface->canvas->toArray(),
            'zone' => $this->context->zone->getName(),
            'from_ms' => $this->context->fromMs,
            'until_ms' => $this->context->untilMs(),
            'scene' => $this->sceneId,
            'period_ms' => $this->periodMs(),
            'zones' => array_map(static fn (ZonePlan $zone) => $zone->toArray(), $this->zones),
            'panels' => array_map(static fn (PlacedPanel $panel) => [
                'id' => $panel->id, 'number' => $panel->number, 'rect' => $panel->rect->toArray(), 'turn' => $panel->panel->signalTurn(),
            ], $this->surface->panels),
            'seams' => array_map(static fn ($seam) => $seam->toArray(), $this->surface->seams),
            'outputs' => array_map(self::output(...), $this->outputs->outputs ?? []),
            'media' => $this->media(),
            'fonts' => $this->fonts(),
        ];
    }

    /** @return array<string, mixed> */
    private static function output(Output $output): array
    {
        return [
            'player' => $output->player, 'number' => $output->number, 'px' => $output->raster->toArray(),
            'slices' => array_map(static fn (Slice $slice) => ['panel' => $slice->panel, 'raster' => $slice->raster->toArray(), 'matrix' => $slice->matrix()], $output->slices),
        ];
    }

    /** @return list<array{sha256: string, mime: string, bytes: int}> each once */
    private function media(): array
    {
        $media = [];
        foreach ($this->zones as $zone) {
            foreach ($zone->items as $item) {
                if ($item->fit !== null && $item->media !== null) {
                    $media[$item->media->sha256] = ['sha256' => $item->media->sha256, 'mime' => $item->media->mime, 'bytes' => $item->media->bytes];
                }
            }
        }
        ksort($media);

        return array_values($media);
    }

    /** @return list<array{family: string, weight: int, file: string}> each once */
    private function fonts(): array
    {
        $fonts = [];
        foreach ($this->zones as $zone) {
            foreach ($zone->items as $item) {
                if (isset($item->drawing['font'])) {
                    $face = $this->context->fonts->face($item->drawing['font'], $item->drawing['weight']);
                    $fonts[$face->file] = ['family' => $face->family, 'weight' => $face->weight, 'file' => $face->file];
                }
            }
        }
        ksort($fonts);

        return array_values($fonts);
    }
}
