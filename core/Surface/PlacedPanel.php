<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Geometry\Rect;

/** A panel on the canvas: its id, its number in reading order, and the canvas rectangle it shows. */
final readonly class PlacedPanel
{
    public function __construct(
        public string $id,
        public int $number,
        public Rect $rect,
        public Panel $panel,
    ) {
    }

    /**
     * The canvas pixel that native pixel (u, v) shows (model §2, four mounting turns).
     *
     * @return array{int, int}
     */
    public function canvasPixel(int $u, int $v): array
    {
        $native = $this->panel->native;

        return match ($this->panel->rotation) {
            90 => [$this->rect->x + $native->height - 1 - $v, $this->rect->y + $u],
            180 => [$this->rect->x + $native->width - 1 - $u, $this->rect->y + $native->height - 1 - $v],
            270 => [$this->rect->x + $v, $this->rect->y + $native->width - 1 - $u],
            default => [$this->rect->x + $u, $this->rect->y + $v],
        };
    }

    /**
     * The native pixel that shows canvas pixel (x, y): the inverse of {@see canvasPixel()}.
     *
     * @return array{int, int}
     */
    public function nativePixel(int $x, int $y): array
    {
        $native = $this->panel->native;
        [$dx, $dy] = [$x - $this->rect->x, $y - $this->rect->y];

        return match ($this->panel->rotation) {
            90 => [$dy, $native->height - 1 - $dx],
            180 => [$native->width - 1 - $dx, $native->height - 1 - $dy],
            270 => [$native->width - 1 - $dy, $dx],
            default => [$dx, $dy],
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'number' => $this->number, 'rect' => $this->rect->toArray(),
            'turn' => $this->panel->signalTurn(), 'scale' => [1, 1],
        ];
    }
}
