<?php

declare(strict_types=1);

namespace UpperPane\Core\Base;

/** The letters of zones: A…Z, AA, AB, …; a zone keeps its letter for life and a letter is never given twice. */
final class Letters
{
    /** @param int $index from 0 */
    public static function at(int $index): string
    {
        $letters = '';
        for ($rest = $index + 1; $rest > 0; $rest = intdiv($rest - 1, 26)) {
            $letters = chr(65 + ($rest - 1) % 26).$letters;
        }

        return $letters;
    }
}
