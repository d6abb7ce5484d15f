<?php

declare(strict_types=1);

namespace UpperPane\Core\Legibility\Qr;

/** How hard a masked symbol would be to read (ISO/IEC 18004 §7.8.3.1, table 11). */
final class QrPenalty
{
    /** @param list<string> $rows of `0` and `1` */
    public static function of(array $rows): int
    {
        $columns = array_fill(0, strlen($rows[0]), '');
        foreach ($rows as $row) {
            foreach (str_split($row) as $index => $module) {
                $columns[$index] .= $module;
            }
        }

        return self::runs([...$rows, ...$columns]) +
            self::blocks($rows) +
            self::finders([...$rows, ...$columns]) +
            self::balance(implode('', $rows));
    }

    /** @param list<string> $lines 3 for five of one colour in a line, and 1 for each more */
    private static function runs(array $lines): int
    {
        $sum = 0;
        foreach ($lines as $line) {
            preg_match_all('/0{5,}|1{5,}/', $line, $found);
            $sum += array_sum(array_map(static fn (string $run) => strlen($run) - 2, $found[0]));
        }

        return $sum;
    }

    /** @param list<string> $rows 3 for every square of 2 × 2 of one colour */
    private static function blocks(array $rows): int
    {
        $sum = 0;
        for ($y = 1; $y < count($rows); ++$y) {
            for ($x = 1; $x < strlen($rows[$y]); ++$x) {
                $two = $rows[$y][$x - 1].$rows[$y][$x];
                $sum += $two === substr($rows[$y - 1], $x - 1, 2) && $two[0] === $two[1] ? 3 : 0;
            }
        }

        return $sum;
    }

    /** @param list<string> $lines 40 for what looks like a finder with light beside it; beyond the edge it is light */
    private static function finders(array $lines): int
    {
        $sum = 0;
        foreach ($lines as $line) {
            $line = "0000{$line}0000";
            $sum += preg_match_all('/(?=10111010000)/', $line) + preg_match_all('/(?=00001011101)/', $line);
        }

        return 40 * $sum;
    }

    /** 10 for every 5 % that the dark ones are away from a half. */
    private static function balance(string $all): int
    {
        $away = abs(20 * substr_count($all, '1') - 10 * strlen($all));

        return 10 * max(0, (int) ceil($away / strlen($all)) - 1);
    }
}
