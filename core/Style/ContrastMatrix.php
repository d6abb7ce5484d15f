<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Legibility\Contrast;

/** How well each colour of a style stands out on each other one (WCAG 2.2, contrast ratio). */
final class ContrastMatrix
{
    /** @return array<string, array<string, array{ratio: string, reads: bool}>> by id of the ink, then of the ground */
    public static function of(HouseStyle $style): array
    {
        $matrix = [];
        foreach ($style->colours as $ink => $one) {
            foreach ($style->colours as $ground => $other) {
                $ratio = Contrast::ratio($one->colour->hex, $other->colour->hex);
                $matrix[$ink][$ground] = ['ratio' => Contrast::said($ratio), 'reads' => $ratio >= Contrast::LEAST];
            }
        }

        return $matrix;
    }
}
