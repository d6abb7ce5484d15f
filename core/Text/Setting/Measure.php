<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\Setting;

use UpperPane\Core\Geometry\Rational;

/**
 * What texts are measured with: one face, or several in one text. Places are byte offsets in the whole text.
 *
 * @phpstan-type Run list<array{from: int, to: int, end: int}>
 */
interface Measure
{
    public function unitsPerEm(): int;

    /** Width in units; `$at` says where in the text this begins. */
    public function widthUnits(string $text, int $at = 0): int;

    /**
     * Pieces set one after another on an endless line: where each begins, where its last visible glyph ends, and where
     * that is when the line ends there, with a hyphen where a soft one stands. A line of pieces i to j is
     * `end[j] − from[i]` wide at any size; the last one of a text `to[j] − from[i]`.
     *
     * @param list<string> $pieces
     *
     * @return Run
     */
    public function run(array $pieces, int $at = 0): array;

    public function normalLinePx(int $sizePx): int;

    public function capHeightPx(int $sizePx): Rational;

    /** False where the width is a guess. */
    public function measures(string $text): bool;
}
