<?php

declare(strict_types=1);

namespace UpperPane\Core\Text;

use UpperPane\Core\Geometry\Rational;

/**
 * Lines of a text within a width: breaks where UAX #14 allows (ICU), with one difference that Chromium makes and we
 * follow because it draws: no break after `/`. A word wider than the box stays whole and overflows, as in CSS
 * `overflow-wrap: normal`. White space at a line's end hangs (CSS Text 3 §4.1.2).
 */
final class LineBreaker
{
    /** @return list<string> paragraphs, split at forced breaks */
    public static function paragraphs(string $text): array
    {
        return preg_split('/\r\n|\r|\n/', $text) ?: [''];
    }

    /** @return list<string> the pieces of a paragraph between break opportunities; together they are the paragraph */
    public static function pieces(string $paragraph): array
    {
        $iterator =
            \IntlBreakIterator::createLineInstance('en') ?? throw new \LogicException('ICU has no line breaks.');
        $iterator->setText($paragraph);
        $pieces = [];
        $start = 0;
        /** @var int $end */
        foreach ($iterator as $end) {
            if ($end > 0) {
                $pieces[] = substr($paragraph, $start, $end - $start);
                $start = $end;
            }
        }

        return self::joinedAfterSlash($pieces);
    }

    /**
     * @param list<string>                    $pieces
     * @param list<array{from: int, to: int}> $run    from {@see FontFace::run()}
     *
     * @return list<string>
     */
    public static function lines(array $pieces, array $run, Rational $boxUnits): array
    {
        // Widths are whole units: more than the box is more than its floor.
        $most = $boxUnits->floor();
        $lines = [];
        $line = '';
        $first = 0;
        foreach ($pieces as $index => $piece) {
            if ($line !== '' && $run[$index]['to'] - $run[$first]['from'] > $most) {
                $lines[] = rtrim($line, ' ');
                [$line, $first] = ['', $index];
            }
            $line .= $piece;
        }
        $lines[] = rtrim($line, ' ');

        return $lines;
    }

    /**
     * @param list<string> $pieces
     *
     * @return list<string>
     */
    private static function joinedAfterSlash(array $pieces): array
    {
        $joined = [];
        $open = '';
        foreach ($pieces as $piece) {
            $open .= $piece;
            if (!str_ends_with($open, '/')) {
                $joined[] = $open;
                $open = '';
            }
        }
        if ($open !== '') {
            $joined[] = $open;
        }

        return $joined;
    }
}
