<?php

declare(strict_types=1);

namespace UpperPane\Core\Base;

/**
 * Canonical JSON (RFC 8785) for documents that hold only strings, booleans, null and integers.
 *
 * Floats are refused: fractions are integers in a named unit or decimal strings, so that two nodes agree on every byte.
 * Keys sort by UTF-16 code units (RFC 8785 §3.2.3).
 */
final class CanonicalJson
{
    public static function encode(mixed $value): string
    {
        $text = '';
        self::write($value, $text);

        return $text;
    }

    public static function sha256(mixed $value): string
    {
        return hash('sha256', self::encode($value));
    }

    /** Behind what is written already: an almanac has 16 MB, which would lie there once for every level. */
    private static function write(mixed $value, string &$text): void
    {
        if ($value === null || is_bool($value) || is_int($value)) {
            $text .= json_encode($value, \JSON_THROW_ON_ERROR);
        } elseif (is_string($value)) {
            $text .= self::text($value);
        } elseif (is_array($value) && array_is_list($value)) {
            self::list($value, $text);
        } elseif (is_array($value) || $value instanceof \stdClass) {
            self::object((array) $value, $text);
        } else {
            throw new \LogicException('Canonical JSON holds no '.get_debug_type($value).'.');
        }
    }

    private static function text(string $value): string
    {
        return json_encode(
            $value,
            \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_LINE_TERMINATORS | \JSON_THROW_ON_ERROR,
        );
    }

    /** @param list<mixed> $values */
    private static function list(array $values, string &$text): void
    {
        $text .= '[';
        foreach ($values as $index => $value) {
            $text .= $index === 0 ? '' : ',';
            self::write($value, $text);
        }
        $text .= ']';
    }

    /** @param array<array-key, mixed> $members */
    private static function object(array $members, string &$text): void
    {
        $keys = array_map(strval(...), array_keys($members));
        usort($keys, static fn (string $a, string $b) => strcmp(self::utf16($a), self::utf16($b)));
        $text .= '{';
        foreach ($keys as $index => $key) {
            $text .= ($index === 0 ? '' : ',').self::text($key).':';
            self::write($members[$key], $text);
        }
        $text .= '}';
    }

    private static function utf16(string $key): string
    {
        return mb_convert_encoding($key, 'UTF-16BE', 'UTF-8');
    }
}
