<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\Setting;

/**
 * How long a text must stand: its words (ICU word breaks) at 200 a minute, read twice, at least 3 s (model §5, from
 * memory).
 */
final class ReadingTime
{
    private const LEAST_MS = 3000;
    private const WORDS_PER_MINUTE = 200;

    public static function ofMs(string $text): int
    {
        $iterator = \IntlBreakIterator::createWordInstance('en');
        if (!$iterator instanceof \IntlRuleBasedBreakIterator) {
            throw new \LogicException('ICU has no word breaks.');
        }
        $iterator->setText($text);
        $words = 0;
        foreach ($iterator as $ignored) {
            $words += $iterator->getRuleStatus() >= \IntlBreakIterator::WORD_NUMBER ? 1 : 0;
        }

        return max(self::LEAST_MS, intdiv(2 * $words * 60_000, self::WORDS_PER_MINUTE));
    }
}
