<?php

declare(strict_types=1);

namespace UpperPane\Core\Base;

/** Words for every refusal and finding: ICU MessageFormat, English first. The one place where the core holds prose. */
final class Catalogue
{
    /** @param array<string, string|int|list<string>> $params */
    public static function message(string $code, array $params): string
    {
        return self::format(self::entry($code)[0], $params);
    }

    /** @param array<string, string|int|list<string>> $params */
    public static function mend(string $code, array $params): string
    {
        return self::format(self::entry($code)[1], $params);
    }

    /** @return list<string> every code that has words */
    public static function codes(): array
    {
        return array_keys(self::entries());
    }

    /** @return array{string, string} */
    private static function entry(string $code): array
    {
        return self::entries()[$code] ?? throw new \LogicException("The catalogue has no words for $code.");
    }

    /** @return array<string, array{string, string}> */
    private static function entries(): array
    {
        /** @var array<string, array{string, string}>|null $entries */
        static $entries = null;

        if ($entries === null) {
            /** @var array<string, array{string, string}> $entries */
            $entries = require __DIR__.'/catalogue.en.php';
        }

        return $entries;
    }

    /**
     * Numbers are passed as text: a pixel count is read as typed, without thousands separators.
     *
     * @param array<string, string|int|list<string>> $params
     */
    private static function format(string $pattern, array $params): string
    {
        $texts = array_map(
            static fn ($value) => mb_scrub(is_array($value) ? implode(', ', $value) : (string) $value, 'UTF-8'),
            $params,
        );

        return (string) \MessageFormatter::formatMessage('en', $pattern, $texts);
    }
}
