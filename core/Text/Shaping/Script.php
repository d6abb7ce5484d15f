<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\Shaping;

/** What a script is called in fonts, and whether lookups in their order are all that shapes it. */
final class Script
{
    /** Script codes of UAX #24 by the numbers of ICU (uscript.h) → tags of ISO/IEC 14496-22, annex (script tags). */
    private const SIMPLE = [
        0 => 'DFLT',
        1 => 'DFLT',
        3 => 'armn',
        5 => 'bopo',
        6 => 'cher',
        8 => 'cyrl',
        12 => 'geor',
        14 => 'grek',
        17 => 'hani',
        20 => 'kana',
        22 => 'kana',
        25 => 'latn',
    ];

    /** Not where letters join, are reordered or run from right to left: that is not done here. */
    public static function isSimple(int $script): bool
    {
        return isset(self::SIMPLE[$script]);
    }

    /** @return list<string> the tags that a font may have it under, best first */
    public static function tags(int $script): array
    {
        return [self::SIMPLE[$script] ?? 'DFLT', 'DFLT', 'dflt', 'latn'];
    }
}
