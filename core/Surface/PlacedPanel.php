<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Base\Letters;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;

/** A panel on the canvas: its id, its number in reading order, and the canvas rectangle it shows. */
final readonly class PlacedPanel
{
    /** @param array{int, int} $originUm top left of its active picture on the face, in µm */
    public function __construct(
        public string $id,
        public int $number,
        public Rect $rect,
        public Panel $panel,
        public array $originUm = [0, 0],
    ) {
    }

    /** The letter people call it by on test cards and drawings: its number as a letter. */
    public function letter(): string
    {
        return Letters::at($this->number - 1);
    }

    /** Native px per canvas px along x, as mounted; 1 for panels of the surface's pitch. */
    public function scaleX(): Rational
    {
        return Rational::of($this->panel->mounted()->native->width, $this->rect->width);
    }

    /** Native px per canvas px along y, as mounted. */
    public function scaleY(): Rational
    {
        return Rational::of($this->panel->mounted()->native->height, $this->rect->height);
    }

    /**
     * The canvas pixel under the centre of native pixel (u, v) (model §2, four mounting turns). At scale 1 it is the
     * very same pixel.
     *
     * @return array{int, int}
     */
    public function canvasPixel(int $u, int $v): array
    {
        [$x, $y] = Turn::place($this->panel->rotation, $this->panel->native, $u, $v);
        $mounted = $this->panel->mounted()->native;

        return [
            $this->rect->x + Rational::cellUnder($x, $mounted->width, $this->rect->width),
            $this->rect->y + Rational::cellUnder($y, $mounted->height, $this->rect->height),
        ];
    }

    /**
     * The native pixel under the centre of canvas pixel (x, y): the inverse of {@see canvasPixel()}, within half a
     * native pixel where the scale is not 1.
     *
     * @return array{int, int}
     */
    public function nativePixel(int $x, int $y): array
    {
        $mounted = $this->panel->mounted()->native;
        $u = Rational::cellUnder($x - $this->rect->x, $this->rect->width, $mounted->width);
        $v = Rational::cellUnder($y - $this->rect->y, $this->rect->height, $mounted->height);

        return Turn::place($this->panel->signalTurn(), $mounted, $u, $v);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'number' => $this->number,
            'rect' => $this->rect->toArray(),
            'turn' => $this->panel->signalTurn(),
            'scale' => [$this->scaleX()->decimal(4), $this->scaleY()->decimal(4)],
        ];
    }
}
