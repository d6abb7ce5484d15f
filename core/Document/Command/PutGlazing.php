<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\Scene;
use UpperPane\Core\Document\SceneLayout;
use UpperPane\Core\Document\Zone;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\PartSize;
use UpperPane\Core\Layout\Tree;

/** `glazing.put`: one part of the glazing replaced by another, with the zones that come and go. It is how splits and merges are taken back. */
final readonly class PutGlazing implements Command
{
    public const NAME = 'glazing.put';

    /** @param array<string, ?Zone> $zones null takes a zone away */
    public function __construct(private string $scene, private string $part, private Part $tree, private array $zones)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'part', 'size', 'tree', 'zones']);
        $zones = [];
        foreach ($input->child('zones')->members() as $id => $zone) {
            $zones[$id] = $zone->raw() === null ? null : Zone::parse((string) $id, $zone);
        }
        $tree = GlazingReader::read($input->child('tree'))->withSize(PartSize::parse($input->child('size')));

        return new self($input->id('scene'), $input->id('part'), $tree, $zones);
    }

    public function apply(Design $design): Change
    {
        $layout = SceneLayout::of($design, $this->scene);
        $old = Tree::find($layout->tree, $this->part) ?? throw Refusal::because('document.part_gone', '/part', ['part' => $this->part]);
        $zones = $layout->scene->zones;
        $before = [];
        foreach ($this->zones as $id => $zone) {
            $before[$id] = $zones[$id] ?? null;
            unset($zones[$id]);
            if ($zone !== null) {
                $zones[$id] = $zone;
            }
        }
        $tree = Tree::replace($layout->tree, $this->part, $this->tree);
        $this->refuseLooseEnds($layout, $tree, array_map(strval(...), array_keys($zones)));
        $ids = array_values(array_unique([...Tree::ids($old), ...Tree::ids($this->tree)]));

        return new Change(
            $layout->with($tree, $zones),
            new self($this->scene, $this->tree->id(), $old, $before),
            [],
            [...array_map($layout->part(...), $ids), ...array_merge(...array_map(static fn ($id) => [Touched::zone((string) $id), Touched::fill((string) $id)], array_keys($this->zones)))],
            $this->patch($layout, $tree, $before),
        );
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME, 'scene' => $this->scene, 'part' => $this->part,
            'size' => $this->tree->size()->toText(), 'tree' => $this->tree->toArray(true),
            'zones' => array_map(static fn (?Zone $zone) => $zone?->toArray(), $this->zones),
        ];
    }

    /** @param list<string> $zoneIds */
    private function refuseLooseEnds(SceneLayout $layout, Part $tree, array $zoneIds): void
    {
        $ids = Tree::ids($tree);
        $twice = array_values(array_diff_assoc($ids, array_unique($ids)));
        if ($twice !== []) {
            throw Refusal::because('document.id_taken', '/tree', ['id' => $twice[0]]);
        }
        $loose = Scene::looseEnds($zoneIds, $tree, $layout->turned ? $layout->scene->tree : $layout->scene->turned);
        if ($loose !== []) {
            throw Refusal::because('document.zone_unplaced', '/tree', ['zones' => $loose]);
        }
    }

    /**
     * @param array<string, ?Zone> $before
     *
     * @return list<array{op: string, path: string}|array{op: string, path: string, value: mixed}>
     */
    private function patch(SceneLayout $layout, Part $tree, array $before): array
    {
        $patch = [];
        foreach ($this->zones as $id => $zone) {
            $path = Touched::zonePath($layout->scene->id, (string) $id);
            $patch[] = match (true) {
                $zone === null => ['op' => 'remove', 'path' => $path],
                default => ['op' => $before[$id] === null ? 'add' : 'replace', 'path' => $path, 'value' => $zone->toArray()],
            };
        }
        $patch[] = $layout->patch($tree);

        return $patch;
    }
}
