<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Fill;

use UpperPane\Core\Design\Fill\Gradient;
use UpperPane\Core\Design\Fill\Outline;
use UpperPane\Core\Design\Fill\Plate;
use UpperPane\Core\Design\Fill\Shadow;
use UpperPane\Core\Design\Fill\TextStyle;
use UpperPane\Core\Plan\PlanContext;
use UpperPane\Core\Text\Setting\SetText;

/**
 * How lines look: their face, and what lies in, around and behind their letters.
 *
 * @phpstan-import-type Line from TextCompiler
 */
final readonly class TextLook
{
    public function __construct(private PlanContext $context)
    {
    }

    /**
     * @param list<Line> $lines
     *
     * @return array<string, mixed>
     */
    public function of(TextStyle $style, SetText $set, array $lines): array
    {
        $lineMpx = $set->lineHeightPx->thousandths();

        return $this->styling($style, $set, $lineMpx) +
            self::gradient($style->effects->gradient, $lines, $lineMpx) +
            $this->plate($style->effects->plate, $lines, $lineMpx);
    }

    /** @return array<string, mixed> */
    private function styling(TextStyle $style, SetText $set, int $lineMpx): array
    {
        return [
            'font' => $style->font,
            'weight' => $style->weight,
            'size' => $set->sizePx,
            'line_mpx' => $lineMpx,
            'colour' => $style->colour->hex,
            'ground' => $style->ground?->hex,
        ] + array_filter([
            // Thousandths of the size are that many thousandths of a px for every px of it.
            'spacing_mpx' => $set->sizePx * $style->effects->spacingThousandths,
            'outline' => $this->outline($style->effects->outline),
            'shadow' => $this->shadow($style->effects->shadow),
        ]);
    }

    /** @return ?array<string, mixed> */
    private function outline(?Outline $outline): ?array
    {
        return $outline === null
            ? null
            : ['colour' => $outline->colour->hex, 'width_mpx' => 1000 * $this->context->px($outline->px)];
    }

    /** @return ?array<string, mixed> */
    private function shadow(?Shadow $shadow): ?array
    {
        $mpx = fn (int $px) => 1000 * ($px <=> 0) * $this->context->px(abs($px));

        return $shadow === null
            ? null
            : [
                'colour' => $shadow->colour->hex,
                'x_mpx' => $mpx($shadow->xPx),
                'y_mpx' => $mpx($shadow->yPx),
                'blur_mpx' => $mpx($shadow->blurPx),
            ];
    }

    /**
     * @param list<Line> $lines
     *
     * @return array{gradient?: array{to: string, angle: int, rect_mpx: array{int, int, int, int}}} across all the lines
     */
    private static function gradient(?Gradient $gradient, array $lines, int $lineMpx): array
    {
        return $gradient === null || $lines === []
            ? []
            : [
                'gradient' => [
                    'to' => $gradient->to->hex,
                    'angle' => $gradient->degrees,
                    'rect_mpx' => self::around($lines, $lineMpx),
                ],
            ];
    }

    /**
     * @param list<Line> $lines
     *
     * @return array<string, mixed>
     */
    private function plate(?Plate $plate, array $lines, int $lineMpx): array
    {
        if ($plate === null || $lines === []) {
            return [];
        }
        $grown = 1000 * $this->context->px($plate->paddingPx);
        [$left, $top, $width, $height] = self::around($lines, $lineMpx);

        return [
            'plate' => [
                'colour' => $plate->colour->hex,
                'rect_mpx' => [$left - $grown, $top - $grown, $width + 2 * $grown, $height + 2 * $grown],
                'radius_mpx' => 1000 * $this->context->px($plate->radiusPx),
            ],
        ];
    }

    /**
     * @param non-empty-list<Line> $lines
     *
     * @return array{int, int, int, int}
     */
    private static function around(array $lines, int $lineMpx): array
    {
        $left = min(array_column($lines, 'x_mpx'));
        $right = max(array_map(static fn (array $line) => $line['x_mpx'] + $line['width_mpx'], $lines));

        return [$left, $lines[0]['y_mpx'], $right - $left, $lineMpx * count($lines)];
    }
}
