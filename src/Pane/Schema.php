<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Surface\Panel;

/** The pieces that the commands' JSON Schemas share. */
final class Schema
{
    /**
     * @param array<string, mixed> $properties
     * @param list<string>         $required
     *
     * @return array<string, mixed>
     */
    public static function object(array $properties, array $required): array
    {
        return [
            'type' => 'object',
            'properties' => $properties,
            'required' => $required,
            'additionalProperties' => false,
        ];
    }

    /** @return array<string, mixed> */
    public static function whole(int $least, int $most): array
    {
        return ['type' => 'integer', 'minimum' => $least, 'maximum' => $most];
    }

    /** @return array<string, mixed> `[width, height]` in px */
    public static function size(): array
    {
        return self::tuple(self::whole(1, Size::LARGEST_PX), 2);
    }

    /** @return array<string, mixed> `[x, y, width, height]` in px */
    public static function rect(): array
    {
        return [
            'type' => 'array',
            'prefixItems' => [
                self::whole(0, Size::LARGEST_PX),
                self::whole(0, Size::LARGEST_PX),
                self::whole(1, Size::LARGEST_PX),
                self::whole(1, Size::LARGEST_PX),
            ],
            'items' => false,
            'minItems' => 4,
            'maxItems' => 4,
        ];
    }

    /**
     * A number that is taken in whole parts, rounded half up: the bounds are those of what is rounded.
     *
     * @return array<string, mixed>
     */
    public static function parts(int $parts, int $least, int $most): array
    {
        return [
            'type' => 'number',
            'minimum' => ($least - 0.5) / $parts,
            'exclusiveMaximum' => ($most + 0.5) / $parts,
        ];
    }

    /** @return array<string, mixed> mm, taken in µm */
    public static function mm(int $leastUm): array
    {
        return self::parts(1000, $leastUm, Panel::LARGEST_UM);
    }

    /** @return array<string, mixed> mm of a pitch, taken in nm */
    public static function pitchMm(): array
    {
        return self::parts(1_000_000, 1, Panel::LARGEST_UM);
    }

    /**
     * @param array<string, mixed> $item
     *
     * @return array<string, mixed>
     */
    public static function tuple(array $item, int $count): array
    {
        return ['type' => 'array', 'items' => $item, 'minItems' => $count, 'maxItems' => $count];
    }

    /** @return array<string, mixed> */
    public static function id(): array
    {
        return ['type' => 'string', 'pattern' => '^[A-Za-z0-9_.-]{1,64}$'];
    }
}
