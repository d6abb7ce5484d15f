<?php

declare(strict_types=1);

namespace UpperPane\Core\Brief;

use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Core\Surface\Ground;

/** A design as it is sent to whoever makes its art: the title block, and per scene the zones, in reading order. */
final readonly class BriefSheet
{
    /**
     * @param array<string, BriefScene> $scenes by id
     * @param Size                      $canvas in px
     * @param array{int, int}           $um     its size on the wall
     * @param ?Rect                     $safe   null where the whole canvas is safe
     * @param list<Rect>                $seams
     */
    private function __construct(
        public string $design,
        public string $surface,
        public ?string $area,
        public int $revision,
        public string $at,
        public Size $canvas,
        public array $um,
        public ?Rect $safe,
        public array $seams,
        public array $scenes,
    ) {
    }

    /** @param string $at when it was drawn, as people read it */
    public static function of(
        Plan $plan,
        SurfaceSheet $sheet,
        string $design,
        ?string $area,
        int $revision,
        string $at,
    ): self {
        $canvas = $sheet->surface->canvas;
        $safe = $sheet->safe();

        return new self(
            $design,
            $sheet->name(),
            $area,
            $revision,
            $at,
            $canvas,
            [$sheet->surface->widthUm($canvas->width), $sheet->surface->heightUm($canvas->height)],
            $safe->equals($canvas->rect()) ? null : $safe,
            Ground::of($sheet->surface)->seams,
            array_map(BriefScene::of(...), $plan->scenes),
        );
    }

    /** @return list<array{string, string}> what stands in the title block: word and value */
    public function titleBlock(string $scale): array
    {
        return [
            [Words::of('title'), $this->design],
            [Words::of('surface'), $this->surface.($this->area === null ? '' : ", $this->area")],
            [Words::of('canvas'), "{$this->canvas->width} × {$this->canvas->height} px"],
            [
                Words::of('safe'),
                $this->safe === null
                    ? Words::of('safe_all')
                    : "{$this->safe->width} × {$this->safe->height} px, {$this->safe->x}, {$this->safe->y}",
            ],
            [Words::of('scale'), $scale],
            [Words::of('revision'), (string) $this->revision],
            [Words::of('at'), $this->at],
        ];
    }
}
