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
    private const LONGEST_NAME = 60;
    private const ID = '/^[a-z][a-z0-9-]{0,39}$/D';
    /** §8.3 Font weight. */
    private const WEIGHTS = [
        ...['thin' => 100, 'hairline' => 100, 'extra-light' => 200, 'ultra-light' => 200, 'light' => 300],
        ...['normal' => 400, 'regular' => 400, 'book' => 400, 'medium' => 500, 'semi-bold' => 600, 'demi-bold' => 600],
        ...['bold' => 700, 'extra-bold' => 800, 'ultra-bold' => 800, 'black' => 900, 'heavy' => 900],
        ...['extra-black' => 950, 'ultra-black' => 950],
    ];
    /** Under which `$extensions` of ours lie (§5.2.3): a name that belongs to nobody else. */
    private const OURS = 'example.upperpane';
    /** Of the line height that the font has of its own, for readers that must be told one. */
    private const USUAL_LINE_HEIGHT = 1.2;
    private const LONGEST_ID = 40;

    /** @return array<string, mixed> */
    public static function of(HouseStyle $style): array
    {
        $colours = $types = $spaces = [];
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
            ] + self::ours($id, $one->name);
        }
        foreach ($style->types as $id => $step) {
            $ownHeight = $step->lineHeightThousandths === 0;
            $types[self::key($step->name, $id, $types)] = [
                '$value' => [
                    'fontFamily' => $step->font,
                    'fontSize' => ['value' => $step->sizePx, 'unit' => 'px'],
                    'fontWeight' => $step->weight,
                    'letterSpacing' => ['value' => 0, 'unit' => 'px'],
                    'lineHeight' => $ownHeight ? self::USUAL_LINE_HEIGHT : $step->lineHeightThousandths / 1000,
                ],
            ] + self::ours($id, $step->name, $ownHeight ? ['line_height' => 0] : []);
        }
        foreach ($style->spaces as $id => $step) {
            $spaces[self::key($step->name, $id, $spaces)] = [
                '$value' => ['value' => $step->px, 'unit' => 'px'],
            ] + self::ours($id, $step->name);
        }

        return [
            '$description' => $style->name,
            'colour' => ['$type' => 'color'] + $colours,
            'type' => ['$type' => 'typography'] + $types,
        ] + ($spaces === [] ? [] : ['space' => ['$type' => 'dimension'] + $spaces]);
    }

    /**
     * What readers of others pass over: so that a style comes back with the ids that designs refer to.
     *
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    private static function ours(string $id, string $name, array $more = []): array
    {
        return ['$extensions' => [self::OURS => ['id' => $id, 'name' => $name] + $more]];
    }

    /**
     * What of a file a style can hold, and the paths of what it cannot. Every token has an id of its own.
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
        $commands = $left = $taken = [];
        foreach (self::tokens($file, '', '', 0) as $path => [$type, $token]) {
            $said = self::said($token);
            $name = $said['name'] ?? self::name($path);
            [$resolved, $type] = self::resolved($file, $token['$value'] ?? null, $type);
            $id = self::id($said['id'] ?? $path, $taken[$type] ?? []);
            $command = match ($type) {
                'color' => self::colour($id, $name, $resolved),
                'typography' => self::type($id, $name, $file, $resolved, ($said['line_height'] ?? null) === 0),
                'dimension' => self::space($id, $name, $resolved),
                default => null,
            };
            if ($command === null) {
                $left[] = $path;
            } else {
                $taken[$type][$id] = true;
                $commands[] = $command;
            }
        }

        return ['commands' => $commands, 'left' => $left];
    }

    /**
     * What an export of ours says of a token beside its value.
     *
     * @param array<mixed> $token
     *
     * @return array{id?: string, name?: string, line_height?: int}
     */
    private static function said(array $token): array
    {
        $ours = $token['$extensions'] ?? null;
        $ours = is_array($ours) && is_array($ours[self::OURS] ?? null) ? $ours[self::OURS] : [];
        $said = [];
        if (is_string($ours['id'] ?? null) && preg_match(self::ID, $ours['id']) === 1) {
            $said['id'] = $ours['id'];
        }
        if (is_string($ours['name'] ?? null) && $ours['name'] !== '') {
            $said['name'] = mb_substr($ours['name'], 0, self::LONGEST_NAME);
        }

        return ($ours['line_height'] ?? null) === 0 ? $said + ['line_height' => 0] : $said;
    }

    private static function name(string $path): string
    {
        $short = (string) preg_replace('/^(?:colou?rs?|types?|typography|spaces?|spacing)\./i', '', $path);

        return mb_substr($short, 0, self::LONGEST_NAME);
    }

    /**
     * Letters and digits of it, numbered where that is another's, as of names in other scripts.
     *
     * @param array<string, true> $taken
     */
    private static function id(string $path, array $taken): string
    {
        $latin = \Transliterator::create('Any-Latin; Latin-ASCII')?->transliterate($path) ?: $path;
        $base = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($latin)), '-');
        $base = trim(substr($base, -self::LONGEST_ID), '-');
        $base = preg_match('/^[a-z]/', $base) === 1 ? $base : substr("t-$base", 0, self::LONGEST_ID);
        $id = $base;
        for ($number = 2; isset($taken[$id]); ++$number) {
            $id = substr($base, 0, self::LONGEST_ID - 1 - strlen((string) $number))."-$number";
        }

        return $id;
    }

    /**
     * Tokens, and what stands where tokens or groups would and is none, such as a group that extends another.
     *
     * @param array<mixed> $group
     *
     * @return iterable<string, array{string, array<mixed>}> type and token by path
     */
    private static function tokens(array $group, string $path, string $type, int $depth): iterable
    {
        $type = is_string($group['$type'] ?? null) ? $group['$type'] : $type;
        if (array_key_exists('$value', $group)) {
            yield $path => [$type, $group];

            return;
        }
        foreach ($group as $key => $part) {
            $below = $path === '' ? (string) $key : "$path.$key";
            if ($key === '$root' && is_array($part)) {
                yield from self::tokens($part, $below, $type, $depth + 1);
            } elseif ($key === '$extends' || $key === '$ref') {
                yield $below => ['', []];
            } elseif (!str_starts_with((string) $key, '$')) {
                if (is_array($part) && $depth < self::DEEPEST) {
                    yield from self::tokens($part, $below, $type, $depth + 1);
                } else {
                    yield $below => ['', []];
                }
            }
        }
    }

    /**
     * Where an alias leads, and of what type that is: a token has its own type, else that of what it refers to, else
     * that of its group (§5.2.2).
     *
     * @param array<mixed> $file
     *
     * @return array{mixed, string} null where an alias leads nowhere, or round in a circle
     */
    private static function resolved(array $file, mixed $value, string $type): array
    {
        for ($step = 0; is_string($value) && preg_match('/^\{([^{}]+)\}$/D', $value, $alias) === 1; ++$step) {
            $found = $file;
            $inherited = '';
            foreach (explode('.', $alias[1]) as $key) {
                $found = is_array($found) ? $found[$key] ?? null : null;
                $own = is_array($found) ? $found['$type'] ?? null : null;
                $inherited = is_string($own) ? $own : $inherited;
            }
            $type = $type === '' ? $inherited : $type;
            $value = $step < self::MOST_ALIASES && is_array($found) ? $found['$value'] ?? null : null;
        }

        return [$value, $type];
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
     * @param bool         $ownHeight whether lines are as high as the font has them
     *
     * @return ?array<string, mixed>
     */
    private static function type(string $id, string $name, array $file, mixed $value, bool $ownHeight): ?array
    {
        $parts = is_array($value) ? $value : [];
        $part = static fn (string $key): mixed => self::resolved($file, $parts[$key] ?? null, '')[0];
        [$family, $size, $height] = [$part('fontFamily'), $part('fontSize'), $part('lineHeight')];
        $weight = $part('fontWeight') ?? 400;

        return self::read([
            'do' => PutNamed::TYPE,
            'id' => $id,
            'type' => [
                'name' => $name,
                'font' => is_array($family) ? $family[0] ?? '' : $family,
                'weight' => self::weight($weight),
                'size' => self::px($size),
                'line_height' => $ownHeight || !is_numeric($height) ? 0 : (int) round(1000 * (float) $height),
            ],
        ]);
    }

    /** @return ?array<string, mixed> */
    private static function space(string $id, string $name, mixed $value): ?array
    {
        return is_array($value)
            ? self::read(['do' => PutNamed::SPACE, 'id' => $id, 'space' => ['name' => $name, 'px' => self::px($value)]])
            : null;
    }

    /** A number, or one of the format's names; 0, which nothing has, for others. */
    private static function weight(mixed $weight): int
    {
        $number = is_string($weight) ? self::WEIGHTS[$weight] ?? 0 : $weight;

        return is_int($number) ? min(900, $number) : 0;
    }

    private static function px(mixed $length): int
    {
        $px = is_array($length) && is_numeric($length['value'] ?? null) ? (float) $length['value'] : 0.0;

        return (int) round(is_array($length) && ($length['unit'] ?? '') === 'rem' ? 16 * $px : $px);
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
