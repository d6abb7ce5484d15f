<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Layout\Placed;

/** What is different between an earlier state of a design and a later one, line by line, for people to read. */
final class Differences
{
    /**
     * @return list<array<string, mixed>> `what` is `zone`, `scene` or `design`; `change` is `new`, `gone`, or which
     *     field is another. Where a zone lies, `was` and `is` in px of the canvas, is said per scene
     */
    public static function between(Design $then, Design $now): array
    {
        $lines = [];
        $alike = ['name', 'order', 'round', 'reflow', 'surfaces', 'archived', 'guides', 'lattice', 'style', 'still'];
        foreach ($alike as $field) {
            if (($then->headArray()[$field] ?? null) !== ($now->headArray()[$field] ?? null)) {
                $lines[] = ['what' => 'design', 'change' => $field];
            }
        }

        return [...$lines, ...self::scenes($then, $now), ...self::zones($then, $now), ...self::places($then, $now)];
    }

    /** @return list<array{what: string, change: string, name: string}> */
    private static function scenes(Design $then, Design $now): array
    {
        $lines = [];
        $line = static fn (Scene $scene, string $change) => [
            'what' => 'scene',
            'change' => $change,
            'name' => $scene->name,
        ];
        foreach (array_diff_key($then->scenes, $now->scenes) as $scene) {
            $lines[] = $line($scene, 'gone');
        }
        foreach ($now->scenes as $id => $scene) {
            $before = $then->scenes[$id] ?? null;
            if ($before === null) {
                $lines[] = $line($scene, 'new');
                continue;
            }
            foreach (
                [
                    'name' => $before->name !== $scene->name,
                    'length' => $before->length->toArray() !== $scene->length->toArray(),
                    'ground' => $before->ground->toArray() !== $scene->ground->toArray(),
                    'transition' => $before->transition->toArray() !== $scene->transition->toArray(),
                    'layout' => ($before->turned === null) !== ($scene->turned === null),
                ] as $field => $isOther
            ) {
                $lines = $isOther ? [...$lines, $line($scene, $field)] : $lines;
            }
        }

        return $lines;
    }

    /** @return list<array{what: string, change: string, letter: string}> */
    private static function zones(Design $then, Design $now): array
    {
        $lines = [];
        $line = static fn (Zone $zone, string $change) => [
            'what' => 'zone',
            'change' => $change,
            'letter' => $zone->letter(),
        ];
        foreach (array_diff_key($then->zones, $now->zones) as $zone) {
            $lines[] = $line($zone, 'gone');
        }
        foreach ($now->zones as $id => $zone) {
            $before = $then->zones[$id] ?? null;
            if ($before === null) {
                $lines[] = $line($zone, 'new');
                continue;
            }
            foreach (
                [
                    'name' => $before->name() !== $zone->name(),
                    'fill' => $before->fill()->toArray() !== $zone->fill()->toArray(),
                    'runs_on' => $before->runsOn() !== $zone->runsOn(),
                    'follows' => $before->follow()?->toArray() !== $zone->follow()?->toArray(),
                ] as $field => $isOther
            ) {
                $lines = $isOther ? [...$lines, $line($zone, $field)] : $lines;
            }
        }

        return $lines;
    }

    /** @return list<array<string, mixed>> */
    private static function places(Design $then, Design $now): array
    {
        $lines = [];
        foreach (array_intersect_key($now->scenes, $then->scenes) as $id => $scene) {
            [$was, $is] = [self::placed($then, (string) $id), self::placed($now, (string) $id)];
            foreach (array_intersect_key($is, $was) as $zone => $placed) {
                if (!$placed->equals($was[$zone])) {
                    $lines[] = [
                        'what' => 'zone',
                        'change' => 'place',
                        'letter' => $now->zone((string) $zone)->letter(),
                        'name' => $scene->name,
                        'was' => $was[$zone]->rect->toArray(),
                        'is' => $placed->rect->toArray(),
                    ];
                }
            }
        }

        return $lines;
    }

    /** @return array<string, Placed> */
    private static function placed(Design $design, string $scene): array
    {
        return LayoutAt::of($design, $scene, false)->placing()->placed;
    }
}
