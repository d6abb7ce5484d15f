<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

/**
 * Brings designs and commands that were stored in an older version up to this one, a step per version. Version 1 had
 * zones inside their one scene, a second glazing under `turned`, and commands that named a layout by the scene's id
 * with `.turned` behind it.
 */
final class Upgrade
{
    private const TURNED = '.turned';
    private const ZONE_COMMANDS = ['fill.set', 'zone.name', 'entry.add', 'entry.remove', 'entry.move', 'entry.set'];
    private const LAYOUT_COMMANDS = [
        'pane.split',
        'pane.merge',
        'pane.span',
        'mullion.move',
        'part.size',
        'sizes.set',
        'split.gutter',
        'glazing.put',
    ];

    /**
     * @param array<string, string> $parts JSON by name
     *
     * @return array<string, string> of this version
     */
    public static function parts(array $parts): array
    {
        /** @var array<string, mixed> $head */
        $head = json_decode($parts[DesignKind::HEAD] ?? '', true, 16, \JSON_THROW_ON_ERROR);
        if (($head['version'] ?? null) !== 1) {
            return $parts;
        }
        unset($parts[DesignKind::HEAD]);
        $order = [];
        $new = [];
        foreach ($parts as $name => $json) {
            /** @var array<string, mixed> $scene */
            $scene = json_decode($json, true, 512, \JSON_THROW_ON_ERROR);
            $order[] = substr($name, strlen('scenes/'));
            foreach ((array) $scene['zones'] as $id => $zone) {
                $new["zones/$id"] = self::json($zone);
            }
            $new[$name] = self::json(self::scene($scene));
        }

        return [
            'head' => self::json(
                ['version' => 2, 'order' => $order, 'round' => $order] + $head + ['reflow' => 'short_side'],
            ),
        ] + $new;
    }

    /**
     * A whole design of version 1, as keyframes and releases hold it.
     *
     * @param array<string, mixed> $design
     *
     * @return array<string, mixed>
     */
    public static function whole(array $design): array
    {
        if (($design['version'] ?? null) !== 1) {
            return $design;
        }
        /** @var array<string, array<string, mixed>> $scenes */
        $scenes = $design['scenes'];
        $order = array_map(strval(...), array_keys($scenes));

        return [
            'version' => 2,
            'order' => $order,
            'round' => $order,
            'scenes' => array_map(self::scene(...), $scenes),
        ] +
            array_diff_key($design, ['scenes' => 0]) + [
                'reflow' => 'short_side',
                'zones' => array_merge(
                    [],
                    ...array_map(static fn (array $scene) => (array) $scene['zones'], array_values($scenes)),
                ),
            ];
    }

    /**
     * A command of version 1; one of this version is as it was.
     *
     * @param array<string, mixed> $command
     *
     * @return array<string, mixed>
     */
    public static function command(array $command): array
    {
        $scene = is_string($command['scene'] ?? null) ? $command['scene'] : '';
        if (in_array($command['do'], self::ZONE_COMMANDS, true)) {
            return array_diff_key($command, ['scene' => 0]);
        }
        if (in_array($command['do'], self::LAYOUT_COMMANDS, true) && !isset($command['layout'])) {
            $turned = str_ends_with($scene, self::TURNED);
            $command =
                [
                    'scene' => $turned ? substr($scene, 0, -strlen(self::TURNED)) : $scene,
                    'layout' => $turned ? 'turned' : 'own',
                ] + $command;
        }
        if ($command['do'] === 'glazing.put') {
            // A zone that goes was written as null; now it goes by itself when it stands nowhere.
            $command['zones'] = array_filter((array) $command['zones'], static fn (mixed $zone) => $zone !== null);
        }
        if ($command['do'] === 'layout.put' && array_key_exists('glazing', $command)) {
            $command['content'] =
                $command['glazing'] === null ? null : ['glazing' => $command['glazing'], 'floats' => []];
            unset($command['glazing']);
        }

        return $command;
    }

    /** What version 1 called what it read and wrote, as a scope. */
    public static function scope(string $name, string $scene): string
    {
        [$kind, $id] = explode(':', $name, 2) + [1 => ''];
        [$id, $side] = explode('/', $id, 2) + [1 => ''];

        return match ($kind) {
            'zone' => "zones/$id/".($side === '' ? 'there' : $side),
            'fill' => "zones/$id/fill",
            'part' => "scenes/$scene/".($side === '' ? 'own' : $side)."/part/$id",
            'layout' => "scenes/$id/turned",
            default => $id,
        };
    }

    /**
     * @param array<string, mixed> $scene
     *
     * @return array<string, mixed>
     */
    private static function scene(array $scene): array
    {
        $layout = static fn (mixed $glazing) => ['glazing' => $glazing, 'floats' => []];

        return [
            'name' => $scene['name'] === '' ? '–' : $scene['name'],
            'layouts' => ['own' => $layout($scene['glazing'])] +
                (isset($scene['turned']) ? ['turned' => $layout($scene['turned'])] : []),
            'ground' => ['kind' => 'colour', 'colour' => '#0C1216'],
            'length' => ['kind' => 'open'],
            'transition' => ['kind' => 'cut', 'ms' => 0],
        ];
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
    }
}
