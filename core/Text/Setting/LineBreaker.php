<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\Setting;

use UpperPane\Core\Geometry\Rational;

/**
 * Lines of a text within a width. Between two ASCII signs we break where Chromium does, because it draws (its own
 * table, found by trying every pair; a test tries them again); elsewhere where UAX #14 allows (ICU). A word wider than
 * the box stays whole and overflows, as in CSS `overflow-wrap: normal`. White space at a line's end hangs (CSS Text 3
 * §4.1.2).
 *
 * @phpstan-import-type Run from Measure
 */
final class LineBreaker
{
    /** After spaces always; between two ASCII signs before brackets, after hyphens and question marks, in `2026-03`. */
    private const BREAK =
        '/(?<= )(?=[^ ])'.
        '|(?<=[!"#%&)*+,.:;=>\\\\\]|}~])(?=[(<\[{])'.
        '|(?<=-)(?=["#%&\'(*+\-<=>@A-Z\[\\\\^_`a-z{|~])'.
        '|(?<=[A-Za-z0-9]-)(?=[0-9])'.
        '|(?<=\?)(?=[#$%&(*+\-0-9<=>@A-Z\[\\\\^_`a-z{|~])/';

    private const SOFT_HYPHEN = "\u{AD}";
    /** CSS Text 3 §5.2: `line-break: auto` lets lines begin with ー and small kana, as `normal` does. */
    private const AS_BROWSERS_DO = 'en@lb=normal';

    /** A dash that begins a word stays with it (UAX #14 LB20a, which PHP's ICU is too old for). */
    private const DASH_BEFORE_WORD = '/(?:^|[ \x{A0}\x{202F}])[-\x{2010}\x{2011}\x{2013}]+\K(?=[\p{Latin}½¼¾·×])/u';

    /** @return list<array{text: string, at: int}> paragraphs, split at forced breaks, with their byte offsets */
    public static function paragraphs(string $text): array
    {
        return array_map(
            static fn (array $part) => ['text' => $part[0], 'at' => $part[1]],
            preg_split('/\r\n|\r|\n/', $text, flags: \PREG_SPLIT_OFFSET_CAPTURE) ?: [['', 0]],
        );
    }

    /** @return list<string> the pieces of a paragraph between break opportunities; together they are the paragraph */
    public static function pieces(string $paragraph): array
    {
        $iterator = \IntlBreakIterator::createLineInstance(self::AS_BROWSERS_DO);
        if ($iterator === null) {
            throw new \LogicException('ICU has no line breaks.');
        }
        $iterator->setText($paragraph);
        preg_match_all(self::BREAK, $paragraph, $breaks, \PREG_OFFSET_CAPTURE);
        $ends = array_column($breaks[0], 1);
        preg_match_all(self::DASH_BEFORE_WORD, $paragraph, $dashes, \PREG_OFFSET_CAPTURE);
        $within = array_flip(array_column($dashes[0], 1));
        /** @var int $end */
        foreach ($iterator as $end) {
            $isOurs =
                preg_match('/^( .|[!-~]{2})$/Ds', substr($paragraph, max(0, $end - 1), 2)) === 1
                || isset($within[$end]);
            if ($end > 0 && !$isOurs) {
                $ends[] = $end;
            }
        }
        sort($ends);
        $pieces = [];
        $start = 0;
        foreach ($ends as $end) {
            $pieces[] = substr($paragraph, $start, $end - $start);
            $start = $end;
        }

        return $pieces;
    }

    /** What is drawn of what ends a line: no spaces, and a hyphen where a soft one stood. */
    public static function asLineEnd(string $line): string
    {
        $line = rtrim($line, ' ');

        return str_ends_with($line, self::SOFT_HYPHEN) ? substr($line, 0, -strlen(self::SOFT_HYPHEN)).'-' : $line;
    }

    /**
     * The most pieces that fit on each line. A soft hyphen is drawn, and counted, only where a line breaks at it.
     *
     * @param list<string> $pieces
     * @param Run          $run    from {@see Measure::run()}
     *
     * @return list<array{text: string, at: int}> with their byte offsets
     */
    public static function lines(array $pieces, array $run, Rational $boxUnits): array
    {
        // Widths are whole units: more than the box is more than its floor.
        $most = $boxUnits->floor();
        $lines = [];
        $at = 0;
        for ($first = 0, $count = count($pieces); $first < $count; $first = $next) {
            $next = self::end($run, $first, $most);
            $line = implode('', array_slice($pieces, $first, $next - $first));
            $lines[] = ['text' => $next < $count ? self::asLineEnd($line) : rtrim($line, ' '), 'at' => $at];
            $at += strlen($line);
        }

        return $lines === [] ? [['text' => '', 'at' => 0]] : $lines;
    }

    /**
     * Behind the last piece of a line that begins with one.
     *
     * @param Run $run
     */
    private static function end(array $run, int $first, int $most): int
    {
        $begin = $run[$first]['from'];
        $next = $first + 1;
        for ($index = $first, $count = count($run); $index < $count; ++$index) {
            if ($index > $first && $run[$index]['to'] - $begin > $most) {
                return $next;
            }
            if ($index === $count - 1) {
                return $count;
            }
            if ($run[$index]['end'] - $begin <= $most) {
                $next = $index + 1;
            }
        }

        return $next;
    }
}
