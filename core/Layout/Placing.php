<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/** A layout's zones, back to front: its panes as the glazing has them, then its floats in their order (model §3). */
final readonly class Placing
{
    /**
     * @param array<string, Placed> $placed   by zone, back to front
     * @param list<Finding>         $findings of floats that lie beyond the canvas
     */
    private function __construct(public array $placed, public array $findings)
    {
    }

    /**
     * @param list<FloatPlace>    $floats back to front
     * @param array<string, Rect> $panels by letter, for floats that are held to one
     * @param ?Rational           $scale  px there per design px; null on the design's own canvas
     */
    public static function of(
        Glazing $glazing,
        array $floats,
        Size $canvas,
        array $panels = [],
        ?Rational $scale = null,
    ): self {
        $placed = $findings = [];
        foreach ($glazing->panes as $zone => $rect) {
            $placed[$zone] = new Placed((string) $zone, $rect, 0, 0, false);
        }
        foreach ($floats as $layer => $float) {
            $frame = self::frame($float->frame, $canvas, $glazing->panes, $panels);
            $rect = $float->rect($frame ?? $canvas->rect(), $scale);
            $one = new Placed($float->zone, $rect, $float->turnCentidegrees, $layer + 1, true, $float->traits);
            $placed[$float->zone] = $one;
            if ($float->traits->hidden) {
                continue;
            }
            $gone = $frame === null ? $float->frame : $float->was;
            if ($gone !== null) {
                $findings[] = Finding::of('float.frame_gone', Severity::Note, '', [
                    'zone' => $float->zone,
                    'frame' => $gone,
                ]);
            }
            $findings = [...$findings, ...self::beyond($one, $canvas)];
        }

        return new self($placed, $findings);
    }

    /** Without the floats that are hidden. */
    public function seen(): self
    {
        $seen = array_filter($this->placed, static fn (Placed $one) => !$one->traits->hidden);

        return new self($seen, $this->findings);
    }

    /**
     * @return list<Finding> for the zone: none, partly or wholly outside
     */
    public static function beyond(Placed $placed, Size $canvas): array
    {
        $outline = $placed->outline();

        return match (true) {
            $outline->liesWithin($canvas->rect()) => [],
            $outline->meets($canvas->rect()) => [
                Finding::of('float.partly_outside', Severity::Caution, '', ['zone' => $placed->zone]),
            ],
            default => [Finding::of('float.outside', Severity::Stop, '', ['zone' => $placed->zone])],
        };
    }

    /**
     * The rectangle of a frame by its name; null when it is not there.
     *
     * @param array<string, Rect> $panes
     * @param array<string, Rect> $panels by letter
     */
    public static function frame(string $name, Size $canvas, array $panes, array $panels): ?Rect
    {
        [$kind, $id] = explode(':', $name, 2) + [1 => ''];

        return match ($kind) {
            FloatPlace::CANVAS => $canvas->rect(),
            'pane' => $panes[$id] ?? null,
            default => $panels[$id] ?? null,
        };
    }
}
