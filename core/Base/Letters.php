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
            $letters = chr(65 + (($rest - 1) % 26)).$letters;
        }

        return $letters;
    }

    /** From 0; null for what is no letter. */
    public static function index(string $letters): ?int
    {
        if (preg_match('/^[A-Z]{1,4}$/D', $letters) !== 1) {
            return null;
        }
        $index = 0;
        foreach (str_split($letters) as $letter) {
            $index = 26 * $index + ord($letter) - 64;
        }

        return $index - 1;
    }
}
