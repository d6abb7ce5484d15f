<?php

declare(strict_types=1);

namespace UpperPane\Core\Site;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Size;

/** Asks when width and height look swapped, before a day is spent on the wrong canvas. */
final class SlipGuard
{
    /** From so many others on, their being all alike says something. */
    private const ENOUGH = 2;

    /**
     * @param ?bool      $portrait how it is said to hang; null when nobody said
     * @param list<Size> $others   canvases of the other surfaces of its kind
     *
     * @return list<Finding> questions to be answered before it is taken
     */
    public static function questions(Size $canvas, ?bool $portrait, string $kind, array $others): array
    {
        $is = static fn (Size $size) => $size->isPortrait() ? 'portrait' : 'landscape';
        $size = ['width' => $canvas->width, 'height' => $canvas->height, 'is' => $is($canvas)];
        if ($canvas->width === $canvas->height) {
            return [];
        }
        $questions = [];
        if ($portrait !== null && $portrait !== $canvas->isPortrait()) {
            $questions[] = Finding::of(
                'surface.looks_swapped',
                Severity::Caution,
                '/shape',
                $size + ['chosen' => $portrait ? 'portrait' : 'landscape'],
            );
        }
        $alike = array_filter(
            $others,
            static fn (Size $other) => $other->isPortrait() !== $canvas->isPortrait()
                && $other->width !== $other->height,
        );
        if (count($others) >= self::ENOUGH && count($alike) === count($others)) {
            $questions[] = Finding::of(
                'surface.unlike_its_kind',
                Severity::Caution,
                '/shape',
                $size + ['kind' => $kind, 'count' => count($others)],
            );
        }

        return $questions;
    }
}
