<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * A style as a file of design tokens, and back (Design Tokens Format Module of the W3C community group, 2025.10, from
 * memory): groups of tokens with `$type` and `$value`, types inherited from groups, aliases in braces.
 */
final class DesignTokens
{
    private const MOST_ALIASES = 20;
    private const DEEPEST = 20;
    private const WEIGHTS = [
        'thin' => 100,
        'light' => 300,
        'normal' => 400,
        'regular' => 400,
        'medium' => 500,
        'semi-bold' => 600,
        'bold' => 700,
        'black' => 900,
    ];

    /** @return array<string, mixed> */
    public static function of(HouseStyle $style): array
    {
        $colours = $types = [];
        foreach ($style->colours as $id => $one) {
            $components = array_map(
                static fn (string $pair) => round(hexdec($pair) / 255, 5),
                str_split(substr($one->colour->hex, 1), 2),
            );
            $colours[self::key($one->name, $id, $colours)] = [
                '$value' => [
                    'colorSpace' => 'srgb',
                    'components' => $components,
                    'hex' => strtolower($one->colour->hex),
                ],
            ];
        }
        foreach ($style->types as $id => $step) {
            $types[self::key($step->name, $id, $types)] = [
                '$value' => [
                    'fontFamily' => $step->font,
                    'fontSize' => ['value' => $step->sizePx, 'unit' => 'px'],
                    'fontWeight' => $step->weight,
                    'letterSpacing' => ['value' => 0, 'unit' => 'px'],
                    'lineHeight' => $step->lineHeightThousandths === 0 ? 1.2 : $step->lineHeightThousandths / 1000,
                ],
            ];
        }

        return [
            '$description' => $style->name,
            'colour' => ['$type' => 'color'] + $colours,
            'type' => ['$type' => 'typography'] + $types,
        ];
    }

    /**
     * What of a file a style can hold, and the paths of what it cannot.
     *
     * @return array{commands: list<array<string, mixed>>, left: list<string>}
     *
     * @throws Refusal `style.tokens`
     */
    public static function commands(mixed $file): array
    {
        if (!is_array($file) || array_is_list($file)) {
            throw Refusal::because('style.tokens', '/tokens', ['why' => 'it is no object']);
        }
        $commands = $left = [];
        foreach (self::tokens($file, '', '', 0) as $path => [$type, $value]) {
            $name = mb_substr((string) preg_replace('/^(?:colou?rs?|types?|typography)\./i', '', $path), 0, 60);
            $id = substr(trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($path)), '-'), -40);
            $resolved = self::resolved($file, $value);
            $command = match ($type) {
                'color' => self::colour($id, $name, $resolved),
                'typography' => self::type($id, $name, $file, $resolved),
                default => null,
            };
            if ($command === null) {
                $left[] = $path;
            } else {
                $commands[] = $command;
            }
        }

        return ['commands' => $commands, 'left' => $left];
    }

    /**
     * @param array<mixed> $group
     *
     * @return iterable<string, array{string, mixed}> type and value by path
     */
    private static function tokens(array $group, string $path, string $type, int $depth): iterable
    {
        $type = is_string($group['$type'] ?? null) ? $group['$type'] : $type;
        if (array_key_exists('$value', $group)) {
            yield $path => [$type, $group['$value']];

            return;
        }
        foreach ($depth < self::DEEPEST ? $group : [] as $key => $part) {
            if (is_array($part) && !str_starts_with((string) $key, '$')) {
                yield from self::tokens($part, $path === '' ? (string) $key : "$path.$key", $type, $depth + 1);
            }
        }
    }

    /**
     * @param array<mixed> $file
     *
     * @return mixed null where an alias leads nowhere, or round in a circle
     */
    private static function resolved(array $file, mixed $value): mixed
    {
        for ($step = 0; is_string($value) && preg_match('/^\{([^{}]+)\}$/D', $value, $alias) === 1; ++$step) {
            $found = $file;
            foreach (explode('.', $alias[1]) as $key) {
                $found = is_array($found) ? $found[$key] ?? null : null;
            }
            $value = $step < self::MOST_ALIASES && is_array($found) ? $found['$value'] ?? null : null;
        }

        return $value;
    }

    /** @return ?array<string, mixed> */
    private static function colour(string $id, string $name, mixed $value): ?array
    {
        $hex = match (true) {
            is_string($value) => $value,
            !is_array($value) || ($value['colorSpace'] ?? '') !== 'srgb' || ($value['alpha'] ?? 1) !== 1 => '',
            default => self::hex($value['components'] ?? null),
        };

        return self::read([
            'do' => PutNamed::COLOUR,
            'id' => $id,
            'colour' => ['name' => $name, 'hex' => $hex],
        ]);
    }

    private static function hex(mixed $components): string
    {
        $hex = '#';
        foreach (is_array($components) && count($components) === 3 ? $components : [] as $share) {
            $byte = is_int($share) || is_float($share) ? (int) round(255 * max(0, min(1, $share))) : null;
            $hex .= $byte === null ? '' : sprintf('%02X', $byte);
        }

        return $hex;
    }

    /**
     * @param array<mixed> $file
     *
     * @return ?array<string, mixed>
     */
    private static function type(string $id, string $name, array $file, mixed $value): ?array
    {
        $parts = is_array($value) ? $value : [];
        $part = static fn (string $key): mixed => self::resolved($file, $parts[$key] ?? null);
        [$family, $size, $height] = [$part('fontFamily'), $part('fontSize'), $part('lineHeight')];
        $unit = is_array($size) ? $size['unit'] ?? '' : '';
        $px = is_array($size) && is_numeric($size['value'] ?? null) ? (float) $size['value'] : 0.0;
        $weight = $part('fontWeight') ?? 400;

        return self::read([
            'do' => PutNamed::TYPE,
            'id' => $id,
            'type' => [
                'name' => $name,
                'font' => is_array($family) ? $family[0] ?? '' : $family,
                'weight' => is_string($weight) ? self::WEIGHTS[$weight] ?? 0 : $weight,
                'size' => (int) round($unit === 'rem' ? 16 * $px : $px),
                'line_height' => is_int($height) || is_float($height) ? (int) round(1000 * $height) : 0,
            ],
        ]);
    }

    /**
     * @param array<string, mixed> $wanted
     *
     * @return ?array<string, mixed>
     */
    private static function read(array $wanted): ?array
    {
        try {
            return PutNamed::parse(Input::of($wanted))->toArray();
        } catch (Refusal) {
            return null;
        }
    }

    /** @param array<string, mixed> $taken */
    private static function key(string $name, string $id, array $taken): string
    {
        $key = trim(str_replace(['{', '}', '.'], ' ', ltrim($name, '$')));

        return $key === '' || isset($taken[$key]) ? $id : $key;
    }
}
