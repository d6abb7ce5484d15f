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
        return match (true) {
            $value === null, is_bool($value), is_int($value) => json_encode($value, \JSON_THROW_ON_ERROR),
            is_string($value) => self::text($value),
            $value instanceof \stdClass => self::object((array) $value),
            is_array($value) && array_is_list($value) => '['.implode(',', array_map(self::encode(...), $value)).']',
            is_array($value) => self::object($value),
            default => throw new \LogicException('Canonical JSON holds no '.get_debug_type($value).'.'),
        };
    }

    public static function sha256(mixed $value): string
    {
        return hash('sha256', self::encode($value));
    }

    private static function text(string $value): string
    {
        return json_encode(
            $value,
            \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_LINE_TERMINATORS | \JSON_THROW_ON_ERROR,
        );
    }

    /** @param array<array-key, mixed> $members */
    private static function object(array $members): string
    {
        $keys = array_map(strval(...), array_keys($members));
        usort($keys, static fn (string $a, string $b) => strcmp(self::utf16($a), self::utf16($b)));

        return '{'.
            implode(
                ',',
                array_map(static fn (string $key) => self::text($key).':'.self::encode($members[$key]), $keys),
            ).
            '}';
    }

    private static function utf16(string $key): string
    {
        return mb_convert_encoding($key, 'UTF-16BE', 'UTF-8');
    }
}
