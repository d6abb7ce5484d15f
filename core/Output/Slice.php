<?php

declare(strict_types=1);

namespace UpperPane\Core\Output;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Surface\PlacedPanel;
use UpperPane\Core\Surface\Turn;

/**
 * A canvas rectangle on its way to a raster rectangle: turned clockwise, then mirrored left to right, then sized (model
 * §2).
 */
final readonly class Slice
{
    private function __construct(
        public string $panel,
        public Rect $canvas,
        public Rect $raster,
        public int $turn,
        public bool $mirror,
    ) {
    }

    public static function of(string $panel, Rect $canvas, Rect $raster, int $turn = 0, bool $mirror = false): self
    {
        return new self($panel, $canvas, $raster, $turn, $mirror);
    }

    /** The whole of a panel, its signal turned back against its mounting. */
    public static function ofPanel(PlacedPanel $panel, Rect $raster, bool $mirror = false): self
    {
        return new self($panel->id, $panel->rect, $raster, $panel->panel->signalTurn(), $mirror);
    }

    public static function parse(Input $input): self
    {
        $input->keys(['panel', 'canvas', 'raster', 'turn', 'mirror']);

        return new self(
            $input->id('panel'),
            Rect::parse($input->child('canvas')),
            Rect::parse($input->child('raster')),
            (int) $input->choice('turn', Turn::ALL),
            $input->bool('mirror'),
        );
    }

    public function mirrored(bool $mirror): self
    {
        return new self($this->panel, $this->canvas, $this->raster, $this->turn, $mirror);
    }

    /** px of the canvas part after turning; the raster has the same size when the signal is 1:1. */
    public function turnedSize(): Size
    {
        return $this->canvas->size()->turned($this->turn);
    }

    public function isScaled(): bool
    {
        return $this->turnedSize()->toArray() !== $this->raster->size()->toArray();
    }

    /**
     * The raster pixel that carries canvas pixel (x, y); with a scaled slice the one under its centre.
     *
     * @return array{int, int}
     */
    public function rasterPixel(int $x, int $y): array
    {
        $turned = $this->turnedSize();
        [$u, $v] = Turn::place($this->turn, $this->canvas->size(), $x - $this->canvas->x, $y - $this->canvas->y);

        return [
            $this->raster->x +
            Rational::cellUnder($this->mirror ? $turned->width - 1 - $u : $u, $turned->width, $this->raster->width),
            $this->raster->y + Rational::cellUnder($v, $turned->height, $this->raster->height),
        ];
    }

    /**
     * The canvas pixel that raster pixel (x, y) shows: the inverse of {@see rasterPixel()}.
     *
     * @return array{int, int}
     */
    public function canvasPixel(int $x, int $y): array
    {
        $turned = $this->turnedSize();
        $u = Rational::cellUnder($x - $this->raster->x, $this->raster->width, $turned->width);
        $v = Rational::cellUnder($y - $this->raster->y, $this->raster->height, $turned->height);
        [$x, $y] = Turn::place(Turn::back($this->turn), $turned, $this->mirror ? $turned->width - 1 - $u : $u, $v);

        return [$this->canvas->x + $x, $this->canvas->y + $y];
    }

    /**
     * Canvas to raster as the matrix of CSS and SVG, `x' = ax + cy + e`, `y' = bx + dy + f`: decimal strings, 6 places.
     *
     * @return array{string, string, string, string, string, string}
     */
    public function matrix(): array
    {
        [$width, $height] = $this->canvas->size()->toArray();
        [$a, $b, $c, $d, $e, $f] = match ($this->turn) {
            90 => [0, 1, -1, 0, $height, 0],
            180 => [-1, 0, 0, -1, $width, $height],
            270 => [0, -1, 1, 0, 0, $width],
            default => [1, 0, 0, 1, 0, 0],
        };
        $turned = $this->turnedSize();
        if ($this->mirror) {
            [$a, $c, $e] = [-$a, -$c, $turned->width - $e];
        }
        $e -= $a * $this->canvas->x + $c * $this->canvas->y;
        $f -= $b * $this->canvas->x + $d * $this->canvas->y;
        $scaleX = Rational::of($this->raster->width, $turned->width);
        $scaleY = Rational::of($this->raster->height, $turned->height);
        $x = static fn (int $value, int $offset = 0) => $scaleX
            ->times(Rational::of($value))
            ->plus(Rational::of($offset))
            ->plain(6);
        $y = static fn (int $value, int $offset = 0) => $scaleY
            ->times(Rational::of($value))
            ->plus(Rational::of($offset))
            ->plain(6);

        return [$x($a), $y($b), $x($c), $y($d), $x($e, $this->raster->x), $y($f, $this->raster->y)];
    }

    /**
     * @return array{panel: string, canvas: array{int, int, int, int}, raster: array{int, int, int, int}, turn: int,
     *     mirror: bool}
     */
    public function toArray(): array
    {
        return [
            'panel' => $this->panel,
            'canvas' => $this->canvas->toArray(),
            'raster' => $this->raster->toArray(),
            'turn' => $this->turn,
            'mirror' => $this->mirror,
        ];
    }
}
