<?php

declare(strict_types=1);

namespace UpperPane\Core\Brief;

/**
 * The zones of a brief sheet as a table (RFC 4180, UTF-8 with a mark so that spreadsheets know it). What a spreadsheet
 * would take for a formula is quoted as text (common practice).
 */
final class BriefCsv
{
    public static function write(BriefSheet $sheet): string
    {
        $lines = [[Words::of('scene'), ...array_map(Words::of(...), BriefZone::columns())]];
        foreach ($sheet->scenes as $scene) {
            foreach ($scene->zones as $zone) {
                $lines[] = [$scene->name, ...$zone->cells()];
            }
        }

        return "\u{FEFF}".implode('', array_map(self::line(...), $lines));
    }

    /** @param list<string> $cells */
    private static function line(array $cells): string
    {
        return implode(',', array_map(self::cell(...), $cells))."\r\n";
    }

    private static function cell(string $text): string
    {
        $isNumber = preg_match('/^-?\d+(\.\d+)?$/D', $text) === 1;
        $safe = !$isNumber && preg_match('/^[=+\-@\t\r＝＋－＠]/u', $text) === 1 ? "'$text" : $text;

        return preg_match('/[",\r\n]/', $safe) === 1 ? '"'.str_replace('"', '""', $safe).'"' : $safe;
    }
}
