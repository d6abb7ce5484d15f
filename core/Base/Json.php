<?php

declare(strict_types=1);

namespace UpperPane\Core\Base;

/**
 * Strict reading of JSON texts (RFC 8259): objects and lists stay apart, a key given twice is refused, and so is a text
 * that would need more memory than it is worth.
 */
final class Json
{
    private const DEEPEST = 512;
    private const MOST_VALUES = 500_000;

    /**
     * Objects come as \stdClass, lists as arrays.
     *
     * @throws Refusal `input.json`, `input.key_twice`, `input.too_many_values`
     */
    public static function decode(string $text): Input
    {
        self::scan($text);
        try {
            return Input::json(json_decode($text, false, self::DEEPEST, \JSON_THROW_ON_ERROR));
        } catch (\JsonException $broken) {
            throw Refusal::because('input.json', '', ['what' => $broken->getMessage()]);
        }
    }

    /** Walks over the text once, without building anything: keys per object, and how many values there are. */
    private static function scan(string $text): void
    {
        /** @var array<int, array<array-key, true>|null> $open keys of the objects around; null for a list */
        $open = [];
        $wantsKey = false;
        $values = 0;
        for (
            $at = strcspn($text, '{}[]",'), $end = strlen($text);
            $at < $end;
            $at += 1 + strcspn($text, '{}[]",', $at + 1)
        ) {
            switch ($text[$at]) {
                case '{':
                    $open[] = [];
                    $wantsKey = true;
                    break;
                case '[':
                    $open[] = null;
                    $wantsKey = false;
                    break;
                case '}':
                case ']':
                    array_pop($open);
                    $wantsKey = false;
                    break;
                case ',':
                    $wantsKey = end($open) !== null && $open !== [];
                    if (++$values > self::MOST_VALUES) {
                        throw Refusal::because('input.too_many_values', '', ['most' => self::MOST_VALUES]);
                    }
                    break;
                case '"':
                    $close = self::closing($text, $at);
                    if ($wantsKey) {
                        self::refuseTwin($open, substr($text, $at, $close - $at + 1));
                        $wantsKey = false;
                    }
                    $at = $close;
                    break;
            }
        }
    }

    /** @param array<int, array<array-key, true>|null> $open */
    private static function refuseTwin(array &$open, string $quoted): void
    {
        $key = str_contains($quoted, '\\') ? json_decode($quoted) : substr($quoted, 1, -1);
        $last = array_key_last($open);
        if (!is_string($key) || $last === null) {
            return;
        }
        if (isset($open[$last][$key])) {
            throw Refusal::because('input.key_twice', '', ['key' => $key]);
        }
        $open[$last][$key] = true;
    }

    private static function closing(string $text, int $from): int
    {
        $end = strlen($text);
        for ($at = $from + 1 + strcspn($text, '"\\', $from + 1); $at < $end && $text[$at] === '\\';) {
            $at += 2;
            $at += $at < $end ? strcspn($text, '"\\', $at) : 0;
        }

        return min($at, $end);
    }
}
