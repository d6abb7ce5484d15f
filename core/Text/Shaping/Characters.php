<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\Shaping;

/**
 * The characters of a text as a font has them, in stretches of one script (UAX #24: what is common to scripts goes with
 * the one before it, at the beginning with the one behind it). Letters and their marks are one character where the font
 * has it (UAX #15, as HarfBuzz does); what is never seen is left out.
 */
final class Characters
{
    /** Up to this one, scripts are no scripts: common to several, or that of what they stand with. */
    private const INHERITED = 1;
    private const NON_BREAKING_HYPHEN = 0x2011;
    private const HYPHEN = 0x2010;

    /** @var array<int, int> by code point; asked for once */
    private static array $scripts = [];

    /**
     * @param array<int, int> $glyphs by code point
     *
     * @return list<array{script: int, glyphs: list<int>, places: list<int>}> places: where in the text, in bytes
     */
    public static function stretches(string $text, array $glyphs): array
    {
        $stretches = [];
        $of = self::INHERITED;
        $run = $places = [];
        foreach (self::clusters($text, $glyphs) as [$place, $codes]) {
            foreach ($codes as $code) {
                $script = self::script($code);
                if ($script > self::INHERITED && $of > self::INHERITED && $script !== $of) {
                    $stretches[] = ['script' => $of, 'glyphs' => $run, 'places' => $places];
                    $run = $places = [];
                }
                $of = $script > self::INHERITED ? $script : $of;
                $run[] = $glyphs[$code] ?? 0;
                $places[] = $place;
            }
        }

        return $run === [] ? $stretches : [...$stretches, ['script' => $of, 'glyphs' => $run, 'places' => $places]];
    }

    private static function script(int $code): int
    {
        return self::$scripts[$code] ??= (int) \IntlChar::getIntPropertyValue($code, \IntlChar::PROPERTY_SCRIPT);
    }

    /**
     * @param array<int, int> $glyphs
     *
     * @return list<array{int, list<int>}> place in bytes, code points
     */
    private static function clusters(string $text, array $glyphs): array
    {
        $clusters = [];
        if (preg_match('/^[\x20-\x7E]*$/D', $text) === 1) {
            foreach ($text === '' ? [] : str_split($text) as $place => $sign) {
                $clusters[] = [$place, [ord($sign)]];
            }

            return $clusters;
        }
        preg_match_all('/\P{M}\p{M}*|\p{M}+/u', $text, $found, \PREG_OFFSET_CAPTURE);
        foreach ($found[0] as [$cluster, $place]) {
            $codes = array_map(mb_ord(...), mb_str_split(self::composed($cluster)));
            $codes = array_filter($codes, self::isSeen(...));
            $clusters[] = [$place, array_merge([], ...array_map(
                static fn (int $code) => self::asTheFontHas($code, $glyphs),
                $codes,
            ))];
        }

        return $clusters;
    }

    private static function composed(string $cluster): string
    {
        return preg_match('/^\P{M}\p{M}/u', $cluster) === 1
            ? \Normalizer::normalize($cluster, \Normalizer::FORM_C) ?: $cluster
            : $cluster;
    }

    private static function isSeen(int $code): bool
    {
        return $code < 0xAD || !\IntlChar::hasBinaryProperty($code, \IntlChar::PROPERTY_DEFAULT_IGNORABLE_CODE_POINT);
    }

    /**
     * @param array<int, int> $glyphs
     *
     * @return list<int>
     */
    private static function asTheFontHas(int $code, array $glyphs): array
    {
        if (isset($glyphs[$code])) {
            return [$code];
        }
        if ($code === self::NON_BREAKING_HYPHEN && isset($glyphs[self::HYPHEN])) {
            return [self::HYPHEN];
        }
        $parts = \Normalizer::getRawDecomposition((string) mb_chr($code));
        if ($parts === null) {
            return [$code];
        }
        $all = array_merge([], ...array_map(
            static fn (string $part) => self::asTheFontHas((int) mb_ord($part), $glyphs),
            mb_str_split($parts),
        ));

        return array_diff_key(array_flip($all), $glyphs) === [] ? $all : [$code];
    }
}
