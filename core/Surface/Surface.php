<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Geometry\Ratio;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/** A resolved surface: the canvas one designs for, the panels that show it and the seams between them. */
final readonly class Surface
{
    /**
     * @param list<PlacedPanel> $panels in reading order
     * @param list<Rect>        $seams  by y, then x; butted seams have no width but are listed
     */
    private function __construct(
        public Size $canvas,
        public Rational $pitchXUm,
        public Rational $pitchYUm,
        public array $panels,
        public array $seams,
    ) {
    }

    public static function ofPanel(Panel $panel, string $id = '1'): self
    {
        $canvas = $panel->mounted()->native;

        return new self($canvas, $panel->pitchX(), $panel->pitchY(), [new PlacedPanel($id, 1, $canvas->rect(), $panel)], []);
    }

    public static function ofGrid(PanelGrid $grid): self
    {
        return new self($grid->canvas(), $grid->panel->pitchX(), $grid->panel->pitchY(), $grid->panels(), $grid->seams());
    }

    /** Width in µm of the whole face, seams included. */
    public function widthUm(): int
    {
        return $this->pitchXUm->times(Rational::of($this->canvas->width))->round();
    }

    public function heightUm(): int
    {
        return $this->pitchYUm->times(Rational::of($this->canvas->height))->round();
    }

    /** @return array<string, mixed> as `bin/pane surface` prints it */
    public function toArray(): array
    {
        $mm = Rational::of(1, 1000);

        return [
            'canvas' => $this->canvas->toArray(),
            'pitch_mm' => [$this->pitchXUm->times($mm)->decimal(4), $this->pitchYUm->times($mm)->decimal(4)],
            'ratio' => Ratio::of($this->canvas)->toArray(),
            'panels' => array_map(static fn (PlacedPanel $panel) => $panel->toArray(), $this->panels),
            'seams' => array_map(static fn (Rect $seam) => $seam->toArray(), $this->seams),
            'findings' => [],
        ];
    }
}
