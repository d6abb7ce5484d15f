<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Ratio;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/** A resolved surface: the canvas one designs for, the panels that show it and the seams between them. */
final readonly class Surface
{
    /**
     * @param list<PlacedPanel> $panels   by number
     * @param list<Rect>        $seams    by y, then x; butted seams have no width but are listed
     * @param list<Finding>     $findings
     */
    private function __construct(
        public Size $canvas,
        public Rational $pitchXUm,
        public Rational $pitchYUm,
        public array $panels,
        public array $seams,
        public array $findings,
    ) {
    }

    public static function ofPanel(Panel $panel, string $id = '1'): self
    {
        return self::ofArrangement(Arrangement::single($panel, $id));
    }

    public static function ofGrid(PanelGrid $grid): self
    {
        return self::of($grid->canvas(), $grid->panel, $grid->panels(), $grid->seams(), []);
    }

    /** @throws Refusal `surface.canvas_too_large` and what {@see Arrangement::panels()} refuses */
    public static function ofArrangement(Arrangement $arrangement): self
    {
        $panels = $arrangement->panels();
        $rects = array_map(static fn (PlacedPanel $panel) => $panel->rect, $panels);
        $canvas = Size::of(
            max([0, ...array_map(static fn (Rect $rect) => $rect->right(), $rects)]),
            max([0, ...array_map(static fn (Rect $rect) => $rect->bottom(), $rects)]),
        );

        return self::of(
            $canvas,
            $arrangement->reference(),
            $panels,
            Joints::of($rects),
            $arrangement->findings($panels),
        );
    }

    /** Width in µm of so many px at its pitch. */
    public function widthUm(int $px): int
    {
        return $this->pitchXUm->times(Rational::of($px))->round();
    }

    /** Height in µm of so many px at its pitch. */
    public function heightUm(int $px): int
    {
        return $this->pitchYUm->times(Rational::of($px))->round();
    }

    /**
     * @return array{int, int} width and height in µm of what hangs on the wall, seams included even where they take no
     *     px
     */
    public function faceUm(): array
    {
        $ends = [[0], [0]];
        foreach ($this->panels as $placed) {
            $mounted = $placed->panel->mounted();
            $ends[0][] = $placed->originUm[0] + $mounted->activeWidthUm;
            $ends[1][] = $placed->originUm[1] + $mounted->activeHeightUm;
        }

        return [max($ends[0]), max($ends[1])];
    }

    /** @throws Refusal `surface.panel_unknown` */
    public function panel(string $id): PlacedPanel
    {
        foreach ($this->panels as $placed) {
            if ($placed->id === $id) {
                return $placed;
            }
        }
        throw Refusal::because('surface.panel_unknown', '', ['id' => $id]);
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
            'findings' => array_map(static fn (Finding $finding) => $finding->toArray(), $this->findings),
        ];
    }

    /**
     * @param list<PlacedPanel> $panels
     * @param list<Rect>        $seams
     * @param list<Finding>     $findings
     */
    private static function of(Size $canvas, Panel $reference, array $panels, array $seams, array $findings): self
    {
        if (max($canvas->width, $canvas->height) > Size::LARGEST_PX) {
            throw Refusal::because('surface.canvas_too_large', '', [
                'width' => $canvas->width,
                'height' => $canvas->height,
                'most' => Size::LARGEST_PX,
            ]);
        }
        [$x, $y] = [$reference->pitch(Axis::X), $reference->pitch(Axis::Y)];
        $findings = [...$findings, ...self::oblong($x, $y), ...self::scaled($panels)];

        return new self($canvas, $x, $y, $panels, $seams, $findings);
    }

    /** @return list<Finding> when the pitches differ by more than 1 %: mostly px or mm with width and height swapped */
    private static function oblong(Rational $x, Rational $y): array
    {
        $off = $x->dividedBy($y)->minus(Rational::of(1))->absolute();

        return $off->compare(Rational::of(1, 100)) <= 0
            ? []
            : [
                Finding::of('surface.pixels_not_square', Severity::Caution, '', [
                    'x' => $x->times(Rational::of(1, 1000))->plain(4),
                    'y' => $y->times(Rational::of(1, 1000))->plain(4),
                ]),
            ];
    }

    /**
     * @param list<PlacedPanel> $panels
     *
     * @return list<Finding>
     */
    private static function scaled(array $panels): array
    {
        $one = Rational::of(1);
        $scaled = array_filter(
            $panels,
            static fn (PlacedPanel $panel) => $panel->scaleX()->compare($one) !== 0
                || $panel->scaleY()->compare($one) !== 0,
        );

        return $scaled === []
            ? []
            : [
                Finding::of('wall.panels_scaled', Severity::Note, '/panels', [
                    'panels' => array_values(array_map(static fn (PlacedPanel $panel) => $panel->letter(), $scaled)),
                ]),
            ];
    }
}
