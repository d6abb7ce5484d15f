<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Output\Output;
use UpperPane\Core\Output\OutputMap;
use UpperPane\Core\Output\Slice;
use UpperPane\Core\Surface\PlacedPanel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Core\Text\FontFace;

/**
 * The one thing that is ever drawn: a design on a surface over a horizon. Its scenes with their zones, the round they
 * follow each other in, the triggers, which part of the canvas leaves which output, and the sheet that holds what
 * depends on data.
 */
final readonly class Plan
{
    public const VERSION = 2;

    /**
     * @param array<string, ScenePlan> $scenes   by id
     * @param list<Finding>            $findings of the round, and of what was found on the way here
     */
    public function __construct(
        public Surface $surface,
        public array $scenes,
        public RoundPlan $round,
        public array $findings,
        private PlanContext $context,
        private ?OutputMap $outputs = null,
    ) {
    }

    /** For players: which part of the canvas leaves which output. */
    public function leavingBy(OutputMap $outputs): self
    {
        return new self($this->surface, $this->scenes, $this->round, $this->findings, $this->context, $outputs);
    }

    /** With more that was found on the way to it. */
    public function with(Finding ...$findings): self
    {
        return new self(
            $this->surface,
            $this->scenes,
            $this->round,
            [...$this->findings, ...array_values($findings)],
            $this->context,
            $this->outputs,
        );
    }

    /** @return list<ZonePlan> of all scenes, scene by scene, back to front */
    public function zones(): array
    {
        $zones = array_map(static fn (ScenePlan $scene) => $scene->zones, array_values($this->scenes));

        return array_merge([], ...$zones);
    }

    /** @return array<string, mixed> with the dates that it is looked at by, which are no part of it */
    public function dated(): array
    {
        $plan = $this->toArray();

        return $plan + ['dates' => $this->context->dates($plan)];
    }

    /**
     * Nothing in it depends on when it was compiled but what a count is measured at (model §11).
     *
     * @return array<string, mixed> only strings, booleans, null and integers: it can be hashed
     */
    public function toArray(): array
    {
        return [
            'plan' => self::VERSION,
            'canvas' => $this->surface->canvas->toArray(),
            'zone' => $this->context->zone->getName(),
            // Dates come with the almanac; pages of the version before look for a list here.
            'days' => [],
            'scenes' => array_map(static fn (ScenePlan $scene) => $scene->toArray(), $this->scenes),
            'round' => $this->round->toArray(),
            'triggers' => [],
            'panels' => array_map(
                static fn (PlacedPanel $panel) => [
                    'id' => $panel->id,
                    'number' => $panel->number,
                    'rect' => $panel->rect->toArray(),
                    'turn' => $panel->panel->signalTurn(),
                ],
                $this->surface->panels,
            ),
            'seams' => array_map(static fn (Rect $seam) => $seam->toArray(), $this->surface->seams),
            'outputs' => array_map(self::output(...), $this->outputs->outputs ?? []),
            'sheet' => DataSheet::KEY,
            'media' => $this->media(),
            'fonts' => $this->fonts(),
        ];
    }

    /** @return array<string, mixed> */
    private static function output(Output $output): array
    {
        return [
            'player' => $output->player,
            'number' => $output->number,
            'px' => $output->raster->toArray(),
            'slices' => array_map(
                static fn (Slice $slice) => [
                    'panel' => $slice->panel,
                    'raster' => $slice->raster->toArray(),
                    'matrix' => $slice->matrix(),
                ],
                $output->slices,
            ),
        ];
    }

    /** @return list<Item> grounds among them */
    private function items(): array
    {
        return [
            ...array_map(static fn (ScenePlan $scene) => $scene->ground, array_values($this->scenes)),
            ...array_filter(
                array_map(static fn (ScenePlan $scene) => $scene->mark?->item, array_values($this->scenes)),
            ),
            ...array_merge(
                [],
                ...array_map(
                    static fn (ZonePlan $zone) => array_merge(
                        ...array_map(static fn (Item $item) => $item->walk(), $zone->items),
                    ),
                    $this->zones(),
                ),
            ),
        ];
    }

    /** @return list<array{sha256: string, mime: string, bytes: int}> each once */
    private function media(): array
    {
        $media = [];
        foreach ($this->items() as $item) {
            $shown = $item->media?->size === null ? null : $item->variant ?? $item->media;
            foreach (array_filter([$shown, $item->document]) as $file) {
                $media[$file->sha256] = [
                    'sha256' => $file->sha256,
                    'mime' => $file->mime,
                    'bytes' => $file->bytes,
                ];
            }
        }
        foreach ($this->faces() as $face) {
            if ($face->upload !== null) {
                $media[$face->upload->sha256] = [
                    'sha256' => $face->upload->sha256,
                    'mime' => $face->upload->mime,
                    'bytes' => $face->upload->bytes,
                ];
            }
        }
        ksort($media);

        return array_values($media);
    }

    /** @return list<array{family: string, weight: int, file: string}> each once */
    private function fonts(): array
    {
        return array_values(
            array_map(
                static fn (FontFace $face) => [
                    'family' => $face->family,
                    'weight' => $face->weight,
                    'file' => $face->file,
                ],
                $this->faces(),
            ),
        );
    }

    /** @return array<string, FontFace> by file */
    private function faces(): array
    {
        $faces = [];
        foreach ($this->items() as $item) {
            $family = $item->written()['font'] ?? null;
            foreach (is_string($family) ? $item->weights() : [] as $weight) {
                $face = $this->context->fonts->face($family, $weight);
                $faces[$face->file] = $face;
            }
        }
        ksort($faces);

        return $faces;
    }
}
