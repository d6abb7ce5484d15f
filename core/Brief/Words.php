<?php

declare(strict_types=1);

namespace UpperPane\Core\Brief;

/** The words of brief sheets, by key. */
final class Words
{
    public static function of(string $key): string
    {
        /** @var array<string, string>|null $words */
        static $words = null;
        if ($words === null) {
            /** @var array<string, string> $words */
            $words = require __DIR__.'/words.en.php';
        }

        return $words[$key] ?? throw new \LogicException("No words for $key.");
    }
}
