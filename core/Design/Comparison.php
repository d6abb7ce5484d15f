<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Geometry\Rect;

/**
 * What two versions of a design say of the things that were touched: zones with their fill and where they lie in a
 * layout, scenes with their fields, and the design's own fields.
 */
final class Comparison
{
    /** @return list<array<string, mixed>> each with `what`, and `theirs` and `yours`, null where it is not there */
    public static function of(Design $theirs, Design $mine, Scopes $touched): array
    {
        $lines = [];
        foreach ($touched->all() as $scope) {
            $path = $scope->path();
            foreach (self::subjects($theirs, $mine, $path) as [$what, $id, $scene, $turned]) {
                $key = "$what $id";
                $lines[$key] ??= match ($what) {
                    'zone' => self::zone($theirs, $mine, $id, $scene, $turned),
                    'scene' => [
                        'what' => 'scene',
                        'id' => $id,
                        'theirs' => self::scene($theirs, $id),
                        'yours' => self::scene($mine, $id),
                    ],
                    default => [
                        'what' => $what,
                        'theirs' => $theirs->headArray()[$what] ?? null,
                        'yours' => $mine->headArray()[$what] ?? null,
                    ],
                };
            }
        }
        ksort($lines);

        return array_values(array_filter($lines, static fn (array $line) => $line['theirs'] !== $line['yours']));
    }

    /**
     * @param non-empty-list<string> $path
     *
     * @return list<array{string, string, ?string, bool}>
     */
    private static function subjects(Design $theirs, Design $mine, array $path): array
    {
        [$root, $id, $side, $kind, $part] = [...$path, '', '', '', ''];
        $turned = $side === LayoutAt::TURNED;
        if ($root === 'zones') {
            return [['zone', $id, null, false]];
        }
        if ($root !== 'scenes') {
            return [[$root, '', null, false]];
        }
        if (!in_array($side, LayoutAt::NAMES, true)) {
            return [['scene', $id, null, false]];
        }
        $zones =
            $part !== '' && (isset($theirs->zones[$part]) || isset($mine->zones[$part]))
                ? [$part]
                : ($kind === '' || ($kind === 'rect' && $part === '')
                    ? ($theirs->scenes[$id] ?? ($mine->scenes[$id] ?? null))?->zones() ?? []
                    : []);

        return array_map(static fn (string $zone) => ['zone', $zone, $id, $turned], $zones);
    }

    /** @return array<string, mixed> */
    private static function zone(Design $theirs, Design $mine, string $id, ?string $scene, bool $turned): array
    {
        $letter = ($theirs->zones[$id] ?? ($mine->zones[$id] ?? null))?->letter() ?? '';
        $scene ??= array_key_first(array_filter($theirs->scenes, static fn (Scene $one) => $one->holds($id))) ?? '';
        $side = static function (Design $design) use ($id, $scene, $turned): ?array {
            $zone = $design->zones[$id] ?? null;

            return $zone === null
                ? null
                : $zone->toArray() + ['rect' => self::rect($design, (string) $scene, $turned, $id)?->toArray()];
        };

        return [
            'what' => 'zone',
            'zone' => $id,
            'letter' => $letter,
            'theirs' => $side($theirs),
            'yours' => $side($mine),
        ];
    }

    private static function rect(Design $design, string $scene, bool $turned, string $zone): ?Rect
    {
        try {
            $at = LayoutAt::of($design, $scene, $turned);

            return $at->placing()->placed[$zone]->rect ?? null;
        } catch (Refusal) {
            return null;
        }
    }

    /** @return array<string, mixed>|null */
    private static function scene(Design $design, string $id): ?array
    {
        $scene = $design->scenes[$id] ?? null;

        return $scene === null
            ? null
            : [
                'name' => $scene->name,
                'length' => $scene->length->toArray(),
                'ground' => $scene->ground->toArray(),
                'transition' => $scene->transition->toArray(),
            ];
    }
}
