<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Commands;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Kind;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Change\Stored;

/**
 * Designs as one kind of document. Each zone and each scene is a part of its own.
 *
 * @implements Kind<Design>
 */
final class DesignKind implements Kind
{
    public const NAME = 'design';
    public const HEAD = 'head';
    private const ZONE = 'zones/';
    private const SCENE = 'scenes/';

    public function name(): string
    {
        return self::NAME;
    }

    public function upgraded(array $parts): array
    {
        return Upgrade::parts($parts);
    }

    public function stored(array $parts): Design
    {
        return Stored::read('', fn () => self::assembled($this->upgraded($parts)));
    }

    /**
     * @param array<string, string> $parts of this version
     *
     * @throws Refusal when a scene or a zone that is named is not there
     */
    private static function assembled(array $parts): Design
    {
        $zones = $scenes = [];
        foreach ($parts as $name => $json) {
            if (str_starts_with($name, self::ZONE)) {
                $id = substr($name, strlen(self::ZONE));
                $zones[$id] = Zone::stored($id, $json);
            } elseif (str_starts_with($name, self::SCENE)) {
                $id = substr($name, strlen(self::SCENE));
                $scenes[$id] = Scene::stored($id, $json);
            }
        }

        $design = Design::assembled(
            Input::of(json_decode($parts[self::HEAD] ?? '', true, 16, \JSON_THROW_ON_ERROR)),
            $zones,
            $scenes,
        );
        foreach ($design->order as $id) {
            $design->scene($id);
        }
        foreach ($scenes as $scene) {
            foreach ($scene->zones() as $id) {
                isset($zones[$id]) || throw Refusal::because('document.zone_gone', "/zones/$id");
            }
        }

        return $design;
    }

    public function read(Input $input): Design
    {
        return DesignReader::read($input);
    }

    public function commands(): Commands
    {
        return DesignCommands::all();
    }

    public function parts(Document $document, ?Document $before = null): array
    {
        $head = $document->headArray();
        $parts = $before?->headArray() === $head ? [] : [
            self::HEAD => json_encode(
                $head,
                \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
            ),
        ];
        foreach ($document->zones as $id => $zone) {
            $same = ($before->zones[$id] ?? null) === $zone;
            $parts += $same ? [] : [self::ZONE.$id => $zone->toJson()];
        }
        foreach ($document->scenes as $id => $scene) {
            $same = ($before->scenes[$id] ?? null) === $scene;
            $parts += $same ? [] : [self::SCENE.$id => $scene->toJson()];
        }
        foreach (array_diff_key($before->zones ?? [], $document->zones) as $id => $_) {
            $parts[self::ZONE.$id] = null;
        }
        foreach (array_diff_key($before->scenes ?? [], $document->scenes) as $id => $_) {
            $parts[self::SCENE.$id] = null;
        }

        return $parts;
    }

    public function versions(Document $theirs, Document $mine, Scopes $touched): array
    {
        return Comparison::of($theirs, $mine, $touched);
    }
}
