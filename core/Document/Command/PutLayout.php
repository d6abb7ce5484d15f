<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\Scene;
use UpperPane\Core\Document\Zone;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Tree;

/** `layout.put`: the scene's layout for the other orientation, whole, with the zones only it holds; null takes both away. */
final readonly class PutLayout implements Command
{
    public const NAME = 'layout.put';

    /** @param array<string, Zone> $zones that come with it */
    public function __construct(private string $scene, private ?Part $tree, private array $zones)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'glazing', 'zones']);
        $zones = [];
        foreach ($input->child('zones')->members() as $id => $zone) {
            $zones[$id] = Zone::parse((string) $id, $zone);
        }
        $glazing = $input->child('glazing');

        return new self($input->id('scene'), $glazing->raw() === null ? null : GlazingReader::read($glazing), $zones);
    }

    public function apply(Design $design): Change
    {
        $scene = $design->scene($this->scene);
        $own = array_flip($scene->tree->paneIds());
        $zones = array_intersect_key($scene->zones, $own) + $this->zones;
        $loose = Scene::looseEnds(array_map(strval(...), array_keys($zones)), $scene->tree, $this->tree);
        if ($loose !== []) {
            throw Refusal::because('document.zone_unplaced', '/glazing', ['zones' => $loose]);
        }
        if ($this->tree !== null) {
            $design->sizing(true)->resolve($this->tree);
        }
        $gone = array_diff_key($scene->zones, $own);

        return new Change(
            $design->withScene($scene->withTurned($this->tree, $zones)),
            new self($this->scene, $scene->turned, $gone),
            [],
            array_values(array_unique([
                "layout:{$this->scene}", ...self::parts($scene->turned), ...self::parts($this->tree),
                ...array_map(static fn (int|string $id) => Touched::zone((string) $id), array_keys($gone + $this->zones)),
            ])),
            $this->patch($scene, $gone),
        );
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME, 'scene' => $this->scene, 'glazing' => $this->tree?->toArray(true),
            'zones' => array_map(static fn (Zone $zone) => $zone->toArray(), $this->zones),
        ];
    }

    /** @return list<string> */
    private static function parts(?Part $tree): array
    {
        return $tree === null ? [] : array_map(static fn (string $id) => Touched::part($id).'/turned', Tree::ids($tree));
    }

    /**
     * @param array<string, Zone> $gone
     *
     * @return list<array{op: string, path: string}|array{op: string, path: string, value: mixed}>
     */
    private function patch(Scene $scene, array $gone): array
    {
        $path = "/scenes/{$scene->id}/turned";
        $patch = array_map(static fn (int|string $id) => ['op' => 'remove', 'path' => Touched::zonePath($scene->id, (string) $id)], array_keys($gone));
        foreach ($this->zones as $id => $zone) {
            $patch[] = ['op' => 'add', 'path' => Touched::zonePath($scene->id, (string) $id), 'value' => $zone->toArray()];
        }
        if ($this->tree !== null) {
            $patch[] = ['op' => $scene->turned === null ? 'add' : 'replace', 'path' => $path, 'value' => $this->tree->toArray(true)];
        } elseif ($scene->turned !== null) {
            $patch[] = ['op' => 'remove', 'path' => $path];
        }

        return $patch;
    }
}
