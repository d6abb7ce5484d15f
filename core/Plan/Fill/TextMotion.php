<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Fill;

use UpperPane\Core\Design\Fill\Entrance;
use UpperPane\Core\Design\Fill\Ticker;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Plan\PlanContext;

/**
 * How lines come, or run through their box.
 *
 * @phpstan-import-type Line from TextCompiler
 */
final readonly class TextMotion
{
    public function __construct(private PlanContext $context)
    {
    }

    /**
     * A ticker comes in from outside and goes until it is outside: its cycle is (box + text) ÷ speed (model §5). It
     * begins where it has come in, so that a zone never opens empty.
     *
     * @param list<Line> $lines
     *
     * @return array{from_mpx: array{int, int}, to_mpx: array{int, int}, ms: int, ahead_ms: int}
     */
    public function way(Ticker $ticker, array $lines, int $lineMpx, Size $box): array
    {
        $across = $ticker->runsAcross();
        $speed = $this->context->px($ticker->pxPerSecond);
        $boxMpx = 1000 * ($across ? $box->width : $box->height);
        $textMpx = $across ? max([0, ...array_column($lines, 'width_mpx')]) : $lineMpx * count($lines);
        [$from, $to] = $ticker->comesFromTheEnd() ? [$boxMpx, -$textMpx] : [-$textMpx, $boxMpx];

        return [
            'from_mpx' => $across ? [$from, 0] : [0, $from],
            'to_mpx' => $across ? [$to, 0] : [0, $to],
            'ms' => max(1, Rational::of($boxMpx + $textMpx, $speed)->round()),
            'ahead_ms' => Rational::of($boxMpx, $speed)->round(),
        ];
    }

    /**
     * @param list<Line> $lines
     *
     * @return list<Line> from where they are moved
     */
    public static function atTheEdge(Ticker $ticker, array $lines, int $lineMpx): array
    {
        return array_map(
            static fn (array $line, int $index) => $ticker->runsAcross()
                ? ['x_mpx' => 0] + $line
                : ['y_mpx' => $index * $lineMpx] + $line,
            $lines,
            array_keys($lines),
        );
    }

    /**
     * When each line begins to come, and how long it takes: typed ones by their letters, from the side where they
     * begin.
     *
     * @param list<Line> $lines
     *
     * @return array{entrance?: array{typed: bool, lines: list<array{from_ms: int, ms: int, rtl: bool}>}}
     */
    public static function entrance(?Entrance $entrance, array $lines): array
    {
        if ($entrance === null) {
            return [];
        }
        $texts = array_column($lines, 'text');
        $shares = array_map(
            static fn (string $text) => $entrance->way === 'typed' ? max(1, mb_strlen($text)) : 1,
            $texts,
        );
        $all = max(1, array_sum($shares));
        $come = [];
        for ($index = 0, $before = 0; $index < count($texts); $before += $shares[$index++]) {
            $from = intdiv($entrance->ms * $before, $all);
            $come[] = $entrance->way === 'fade'
                ? ['from_ms' => 0, 'ms' => $entrance->ms, 'rtl' => false]
                : [
                    'from_ms' => $from,
                    'ms' => intdiv($entrance->ms * ($before + $shares[$index]), $all) - $from,
                    'rtl' => self::beginsAtTheRight($texts[$index]),
                ];
        }

        return ['entrance' => ['typed' => $entrance->way === 'typed', 'lines' => $come]];
    }

    /** By its first letter with a direction (Unicode Standard Annex #9, P2 and P3). */
    private static function beginsAtTheRight(string $text): bool
    {
        foreach (mb_str_split($text) as $letter) {
            $direction = \IntlChar::charDirection($letter);
            if ($direction === \IntlChar::CHAR_DIRECTION_LEFT_TO_RIGHT) {
                return false;
            }
            $right = [\IntlChar::CHAR_DIRECTION_RIGHT_TO_LEFT, \IntlChar::CHAR_DIRECTION_RIGHT_TO_LEFT_ARABIC];
            if (in_array($direction, $right, true)) {
                return true;
            }
        }

        return false;
    }
}
