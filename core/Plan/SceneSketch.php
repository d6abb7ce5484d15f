<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\Fill\ColourFill;
use UpperPane\Core\Design\Fill\Fill;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Design\Fill\ShapeFill;
use UpperPane\Core\Design\Fill\StyledFill;
use UpperPane\Core\Layout\Placing;

/** A scene as a small sheet: where its zones lie, in the colours of what they show; no pictures, no words. */
final class SceneSketch
{
    /**
     * By zone, back to front; the kind, where no one colour stands for what is shown.
     *
     * @param ?list<string> $only the zones that are wanted: each that is asked for is read from the store
     *
     * @return array<string, array{rect: list<int>, kind: string, colour: ?string}>
     */
    public static function of(Design $design, Placing $placing, ?array $only = null): array
    {
        $placed = $placing->seen()->placed;
        $sketch = [];
        foreach ($only === null ? $placed : array_intersect_key($placed, array_flip($only)) as $id => $one) {
            $fill = $design->zone((string) $id)->fill();
            $fill = $fill instanceof PlaylistFill ? $fill->enabled()[0]->fill ?? $fill : $fill;
            $sketch[$id] = [
                'rect' => $one->rect->toArray(),
                'kind' => $fill->kind()->value,
                'colour' => self::colour($fill),
            ];
        }

        return $sketch;
    }

    private static function colour(Fill $fill): ?string
    {
        return match (true) {
            $fill instanceof ColourFill, $fill instanceof ShapeFill => $fill->colour->hex,
            $fill instanceof StyledFill => $fill->style()->ground?->hex,
            default => null,
        };
    }
}
