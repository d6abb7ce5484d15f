<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\Fill\WebFill;

/** Which media a design gains and loses, and which pages it gains, found in what changed alone. */
final class MediaUse
{
    /** @return list<string> media of zones and grounds of the first that the second has not, or has otherwise */
    public static function lost(Design $first, Design $second): array
    {
        $media = [];
        foreach ($first->zones as $id => $zone) {
            $same = ($second->zones[$id] ?? null) === $zone;
            $media = $same
                ? $media
                : [
                    ...$media,
                    ...array_diff($zone->fill()->mediaIds(), ($second->zones[$id] ?? null)?->fill()->mediaIds() ?? []),
                ];
        }
        foreach ($first->scenes as $id => $scene) {
            $media = [
                ...$media,
                ...array_diff($scene->ground->mediaIds(), ($second->scenes[$id] ?? null)?->ground->mediaIds() ?? []),
            ];
        }

        return array_values(array_unique($media));
    }

    /** @return list<string> */
    public static function of(Design $design): array
    {
        return self::lost($design, $design->with(['zones' => [], 'scenes' => []]));
    }

    /** @return list<string> addresses of pages that come with the second */
    public static function addresses(Design $before, Design $after): array
    {
        $found = [];
        foreach ($after->zones as $id => $zone) {
            if (($before->zones[$id] ?? null) !== $zone) {
                $found = [...$found, ...WebFill::addresses($zone->fill())];
            }
        }

        return array_values(array_unique($found));
    }

    public static function mentions(Design $design, string $media): bool
    {
        foreach ($design->zones as $zone) {
            if ($zone->mentions($media)) {
                return true;
            }
        }
        foreach ($design->scenes as $scene) {
            if (in_array($media, $scene->ground->mediaIds(), true)) {
                return true;
            }
        }

        return false;
    }
}
